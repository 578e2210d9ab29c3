<script lang="ts">
	/** Grade pegs on the plan. */
	import type { Peg } from '../../api/schema';
	import type { Viewport } from '../../drawing/viewport';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	let { view, pegs, roomy }: { view: Viewport; pegs: Peg[]; roomy: boolean } = $props();
</script>

{#each pegs as peg}
	{@const [x, y] = view.px(peg.at)}
	<path d="M{x - 5} {y - 7}h10v9l-5 7-5-7z" fill="var(--color-board)" stroke="var(--color-ink)" stroke-width="1.4" />
	{#if pegs.length < 60}<text class="fill-ink stroke-slab stroke-4 text-note font-[620] [paint-order:stroke]" x={x + 8} y={y - 1}
			>{peg.number}</text
		>{/if}
	{#if roomy && pegs.length < 40}<text
			class="fill-ink stroke-slab stroke-4 text-note font-[620] [paint-order:stroke]"
			{x}
			y={y + 18}
			text-anchor="middle"><SvgFrac text={peg.reading_text} /></text
		>{/if}
{/each}
