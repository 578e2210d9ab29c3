<script lang="ts">
	/** The slab small, with the pad lines that the rule lays; a press takes them in place of those there are. */
	import { boundsOf, Viewport, type XY } from '../../drawing/viewport';
	import Act from '../../ui/Act.svelte';
	import { screed as words } from '../../words/screed';
	import type { StripsData } from './strips.svelte';
	let { data, outline }: { data: StripsData; outline: XY[] } = $props();
	const row = $derived(data.proposal);
	const view = $derived(Viewport.fit(boundsOf(outline), 200, 130, { x: 8, top: 8, bottom: 8 }));
	const take = () =>
		void data.keep({ op: 'lay_strips', pads: row?.pads, strips: row?.strips, stands: row?.stands }, 'screed-lay');
</script>

{#if row}
	<h2 class="panel-head">{words.byRule}</h2>
	<div class="grid grid-cols-[200px_1fr] items-center gap-12">
		<svg viewBox="0 0 200 130" class="w-full border-2 border-ink bg-well" aria-hidden="true">
			<path d={view.path([outline])} class="fill-slab stroke-ink stroke-[1.6px]" />
			{#each row.pads as line, i (i)}<path d={view.path([line as XY[]], false)} class="stroke-paint stroke-[1.8px]" />{/each}
			{#each row.strips as spot, i (i)}
				{@const at = view.px(spot)}
				<text x={at[0]} y={at[1] + 4} text-anchor="middle" class="fill-ink text-label font-[760]">{i + 1}</text>
			{/each}
		</svg>
		<div>
			<p>{words.byRuleCard(row.strips.length, row.pads.length, row.pad_count)}</p>
			{#if row.wrong.length}<p class="text-flag">{words.byRuleWrong(row.wrong.length)}</p>{/if}
			<div class="mt-6"><Act kind={data.found ? 'plain' : 'main'} onclick={take} data-take-strips>{words.takeIt}</Act></div>
		</div>
	</div>
	{#if data.store.problemFor('screed-lay')}<p class="wrong mt-4" role="alert">
			{data.store.problemFor('screed-lay')?.detail}
		</p>{/if}
{/if}
