<script lang="ts">
	/** The lists: what is bought, what is bent, how each size is cut, bundles end on. */
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { steel as words } from '../../words/steel';
	import { w } from '../../words/words';
	import BendCard from './BendCard.svelte';
	import Bundles from './Bundles.svelte';
	import CutBars from './CutBars.svelte';
	import SteelCall from './SteelCall.svelte';
	import MarkRows from './MarkRows.svelte';
	import type { SteelData } from './steel.svelte';
	let { data }: { data: SteelData } = $props();
	const PAPERS = ['letter', 'a4'] as const;
	const laid = $derived(data.laid);
	const cuts = $derived(data.cuts ?? []);
	let picked = $state('');
	const size = $derived(
		cuts.find((one) => one.bar === (data.held?.bar ?? picked)) ?? cuts.find((one) => one.bar === picked) ?? cuts[0]
	);
	const bent = $derived(data.marks.filter((row) => row.shape !== 'straight'));
	const scale = $derived(92 / Math.max(1, ...bent.flatMap((row) => row.legs_mm)));
</script>

<Verdict
	text={laid ? (data.bought ? words.lists(data.bought.bars, data.bought.bought_text) : words.counting) : words.none}
	under={laid ? words.listsUnder(laid.mass_text, laid.tie_text) : words.noneUnder}
/>
{#if data.share !== null}<p role="status" class="mt-8 text-call leading-[1.12] font-[820]">
		{w.lines.working(data.share)}
		<Act kind="quiet" onclick={() => void data.stopCuts()}>{w.lines.letGo}</Act>
	</p>{/if}
{#if data.gone}<p role="status" class="mt-8 text-call leading-[1.12] font-[820]">
		{w.lines.letGone}
		<Act kind="quiet" onclick={() => void data.loadCuts()}>{w.lines.cutAgain}</Act>
	</p>{/if}
{#if data.cutProblem}<p class="wrong" role="alert">{data.cutProblem}</p>{/if}
{#if laid}
	<h2 class="mt-10 font-[800]">{words.bend} <span class="label">{words.bendHow}</span></h2>
	{#if bent.length}<div class="mt-4 flex flex-wrap gap-y-10">
			{#each bent as row (row.key)}<BendCard
					{row}
					{scale}
					on={data.held?.mark === row.mark}
					press={() => data.hold(row.mark)}
				/>{/each}
		</div>{:else}<p>{words.straight}</p>{/if}
	{#if cuts.length > 1}<div class="mt-12">
			<Choice
				name={words.sizes}
				rows={cuts.map((one) => ({ value: one.bar, label: `${one.bar}: ${one.bars}` }))}
				value={size?.bar ?? null}
				pick={(now) => now && ((picked = now), data.held && data.held.bar !== now && data.hold(data.held.mark))}
			/>
		</div>{/if}
	{#if size}<CutBars {size} held={data.held?.mark ?? ''} />{/if}
	<SteelCall {data} of={{ kind: 'hand', mark: '' }} name={words.onHand} done={() => void data.loadCuts()} />
	{#if data.onHand}<p class="mt-4">
			{data.onHand}
			<Act
				kind="quiet"
				onclick={() => void data.store.keep([{ op: 'call_on_hand', text: '' }], 'steel-hand').then(() => data.loadCuts())}
				>{words.noneThere}</Act
			>
		</p>{/if}
	<Bundles {cuts} sizes={laid.sizes} />
	<h2 class="panel-head">{words.papers}</h2>
	<p class="flex flex-wrap gap-4">
		{#each PAPERS as paper (paper)}<Act kind="quiet" href="/api/jobs/{data.store.id}/steel.pdf?paper={paper}" download
				>{w.lines.paper[paper]}</Act
			>{/each}
		<Act kind="quiet" href="/api/jobs/{data.store.id}/steel.xlsx" download>{words.xlsx}</Act>
		<Act kind="quiet" href="/api/jobs/{data.store.id}/steel.csv" download>{words.csv}</Act>
		<Act kind="quiet" href="/api/jobs/{data.store.id}/plan.dxf" download>{words.dxf}</Act>
	</p>
	<p class="label mt-4">{words.papersHow}</p>
	<h2 class="panel-head">{words.marks}</h2>
	<MarkRows {data} rows={data.marks} />
{/if}
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
