<script lang="ts">
	/** Grade pegs on the plan. */
	import type { Peg } from '../../api/schema';
	import type { Viewport } from '../../drawing/viewport';
	let { view, pegs }: { view: Viewport; pegs: Peg[] } = $props();
</script>

{#each pegs as peg}
	{@const [x, y] = view.px(peg.at)}
	<path d="M{x - 5} {y - 7}h10v9l-5 7-5-7z" fill="var(--board)" stroke="var(--ink)" stroke-width="1.4" />
	{#if pegs.length < 60}<text x={x + 8} y={y + 5}>{peg.number}</text>{/if}
{/each}

<style>
	text {
		font-size: 14px;
		font-weight: 620;
		fill: var(--ink);
	}
</style>
