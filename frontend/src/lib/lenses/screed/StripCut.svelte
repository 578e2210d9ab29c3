<script lang="ts">
	/** A strip cut across, looking along the pull: the board over what it rides on, at one scale for all, so that a gap is seen. */
	import type { SideTold, StripTold } from '../../api/schema';
	import { screed as words } from '../../words/screed';
	let { strip, scale, wide }: { strip: StripTold; scale: number; wide: number } = $props();
	const middle = $derived(wide / 2);
	const half = $derived((strip.wide_mm / 2) * scale);
	const [left, right] = $derived([middle - half, middle + half]);
	/* its left end lies where it should; what is missing shows at the right */
	const from = $derived(
		left - strip.left.on_mm * scale - (strip.short_mm ? 0 : ((strip.board_mm - strip.needed_mm) * scale) / 2)
	);
	const to = $derived(from + strip.board_mm * scale);
	const TOP = 20;
	const heap = (x: number) => `M${x - 13} 42L${x - 7} ${TOP}H${x + 7}L${x + 13} 42Z`;
	const name = $derived(strip.vibrates ? words.vib(strip.board_text) : strip.board_text);
</script>

{#snippet guide(side: SideTold, x: number, out: number)}
	{#if side.kind === 'wet' || side.kind === 'edge'}
		<path d={heap(x)} class="fill-line stroke-ink stroke-[1.4px]" />
		{#if side.kind === 'wet'}<path d="M{x - 4} 26l8 8m0-8l-8 8" class="stroke-paint stroke-[2.2px]" />{/if}
	{:else if side.kind === 'rail'}
		<circle cx={x} cy={TOP + 4} r="4" class="fill-well stroke-ink stroke-[1.6px]" />
		<path d="M{x} {TOP + 8}v14" class="stroke-ink stroke-[1.6px]" />
	{:else if side.kind === 'wall' || side.kind === 'hard'}
		<rect
			x={out < 0 ? x - 12 : x}
			y={side.kind === 'wall' ? 2 : TOP}
			width="12"
			height={side.kind === 'wall' ? 40 : 22}
			class="fill-hair stroke-ink stroke-[1.2px]"
		/>
	{:else if side.kind === 'form'}
		<rect x={out < 0 ? x - 6 : x} y={TOP} width="6" height="24" class="fill-board stroke-ink stroke-[1.2px]" />
	{/if}
{/snippet}

<svg width={wide} height="48" viewBox="0 0 {wide} 48" class="block" aria-hidden="true">
	<rect x={left} y={TOP} width={Math.max(0, right - left)} height="22" class="fill-slab stroke-ink stroke-[1px]" />
	{@render guide(strip.left, left, -1)}
	{@render guide(strip.right, right, 1)}
	<rect
		x={from}
		y="3"
		width={Math.max(2, to - from)}
		height="16"
		class={['fill-well stroke-[1.8px]', strip.short_mm ? 'stroke-flag' : 'stroke-ink']}
	/>
	{#if strip.vibrates}<path d="M{from + 8} 11q3 -5 6 0t6 0" class="fill-none stroke-ink stroke-[1.4px]" />{/if}
	<text
		x={(from + to) / 2}
		y="16"
		text-anchor="middle"
		class={['text-note font-[760]', strip.short_mm ? 'fill-flag' : 'fill-ink']}>{name}</text
	>
	{#if strip.short_mm}
		{@const miss = Math.max(3, strip.short_mm * scale)}
		<path d="M{to} 11h{miss}" class="stroke-flag stroke-[5px]" data-gap />
	{/if}
</svg>
