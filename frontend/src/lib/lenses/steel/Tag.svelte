<script lang="ts">
	/** A bundle's tag with its wire hole: the mark, the same on plan, cut, list and paper. In an SVG at x, y; by itself elsewhere. */
	let { mark, on = false, x, y }: { mark: string; on?: boolean; x?: number; y?: number } = $props();
	const wide = $derived(20 + mark.length * 8);
</script>

{#snippet shape()}
	<path
		d="M{-wide / 2 - 5} 0L{-wide / 2 + 4} -10H{wide / 2}V10H{-wide / 2 + 4}Z"
		class={['stroke-[1.6px]', on ? 'fill-chalk stroke-chalk' : 'fill-well stroke-ink']}
	/>
	<circle cx={-wide / 2 + 3} r="1.8" class={on ? 'fill-on-chalk' : 'fill-ink'} />
	<text x="3" y="5.5" text-anchor="middle" class={['text-body font-black', on ? 'fill-on-chalk' : 'fill-rust']}>{mark}</text>
{/snippet}
{#if x !== undefined && y !== undefined}<g transform="translate({x} {y})" class="pointer-events-none">{@render shape()}</g
	>{:else}<svg width={wide + 12} height="24" viewBox="{-wide / 2 - 7} -12 {wide + 10} 24" aria-hidden="true" class="flex-none"
		>{@render shape()}</svg
	>{/if}
