<script lang="ts">
	/** Edges, tab by tab: the cut first, then beams and pads, the top, what it meets, frost, the ledger. */
	import { onTab } from '../../state/findings';
	import { untrack } from 'svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import FirstActs from '../../shell/FirstActs.svelte';
	import LensFrame from '../../shell/LensFrame.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { footings } from '../../words/footings';
	import { edges as edgeWords } from '../../words/edges';
	import { GroundData } from '../ground/ground.svelte';
	import SectionPanel from './SectionPanel.svelte';
	import SectionDrawing from './SectionDrawing.svelte';
	import BayBox from './BayBox.svelte';
	import { CallHere } from './call_here.svelte';
	import CallSheet from './CallSheet.svelte';
	import { EdgesData } from './edges.svelte';
	import FootingsPanel from './FootingsPanel.svelte';
	import FrostPanel from './FrostPanel.svelte';
	import GridPanel from './GridPanel.svelte';
	import MeetsPanel from './MeetsPanel.svelte';
	import OverCall from './OverCall.svelte';
	import OverFootings from './OverFootings.svelte';
	import OverSection from './OverSection.svelte';
	import OverLetters from './OverLetters.svelte';
	import OverLevels from './OverLevels.svelte';
	import OverTop from './OverTop.svelte';
	import OverWalls from './OverWalls.svelte';
	import OverWings from './OverWings.svelte';
	import SumPanel from './SumPanel.svelte';
	import TopPanel from './TopPanel.svelte';
	import WalksPanel from './WalksPanel.svelte';
	import WallsPanel from './WallsPanel.svelte';
	import { Turn } from '../turn.svelte';
	import { edgesLens } from './lens';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one of each for the life of this lens)
	const [data, ground] = [new EdgesData(store), new GroundData(store)];
	const turn = new Turn(edgesLens);
	// svelte-ignore state_referenced_locally (one pick for the life of this lens)
	const call = new CallHere(store, pick, data);
	let bay = $state.raw<{ pressed: { beam: string; side: string; behind: boolean; text: string }; x: number; y: number } | null>(
		null
	);
	const tab = $derived(turn.tab);
	const strips = $derived(store.figure?.drawing?.strips ?? []);
	const revision = $derived(store.kept?.revision);
	$effect(() => {
		if (pick.side !== null) {
			const side = pick.side;
			untrack(() => data.choose('side', side));
		}
	});
	$effect(() => {
		void [revision, store.draft, data.line];
		untrack(() => void data.load());
	});
	$effect(() => {
		void revision;
		if (tab === 'frost' || tab === 'meets') untrack(() => void data.loadState());
		if (tab === 'sum') untrack(() => void ground.load());
	});
	$effect(() => {
		if (data.picked && data.picked.kind !== 'side') untrack(() => (call.spot = null));
	});
	/** levels that no level line says: corners of what falls, off zero */
	const falling = $derived((store.figure?.levels ?? []).filter((row) => row.text !== '0' && row.corner !== 'drain'));
	const drawn = $derived(tab === 'grid' || tab === 'top' ? tab : null);
	/** the tab on which things are called along a side that is pressed */
	const called = $derived(
		drawn ?? ((tab === 'walks' || tab === 'footings' || tab === 'walls') && store.figure?.outline ? tab : null)
	);
	const showCut = () => turn.to('cut');
	const under = $derived(store.figure?.footings ?? null);
	/** what stands under the slab, with or without one; with what lies along it no matter of its thick parts */
	const low = $derived(tab === 'footings' || tab === 'walls');
	const apart = $derived(low || tab === 'walks');
	/** bars that tie kerbs and knee walls to the slab */
	const starters = $derived((store.figure?.second_pours ?? []).flatMap((pour) => pour.starters ?? []));
	let peg = $state<number | null>(null);
	let wall = $state(0);
	const also = $derived([
		...(store.document?.side_pads ?? []).flatMap((pad) => pad.polygon),
		...(store.figure?.beside ?? []).flatMap((one) => one.rings[0] ?? []),
		...(low || !store.figure?.outline ? (under?.drawn ?? []).flatMap((row) => row.rings[0] ?? []) : [])
	]);
	let across = $state(1280);
	let down = $state(800);
	/** the call box lies on the sheet; where that is a strip it stands in the bench */
	const roomy = $derived(across > 600 && down > 500);
	const doubts = $derived(onTab(store.figure?.findings, 'cut'));
</script>

<svelte:window bind:innerWidth={across} bind:innerHeight={down} />
{#snippet box()}{#if called && !roomy}<CallSheet {call} {data} tab={called} {showCut} />{/if}{/snippet}
<LensFrame {turn} name={edgeWords.tabsName} ready={!!store.figure?.outline || low}>
	{#snippet sheet()}
		<Sheet
			{store}
			{pick}
			{also}
			title={edgeWords.tabs[tab].sheet}
			strips={tab !== 'top' && !apart}
			flat={tab === 'top' || tab === 'walks'}
			letters={across > 600}
			sizes={tab === 'cut' || tab === 'grid'}
			labels={tab !== 'sum' && tab !== 'top' && !low}
			clear={called && roomy ? 104 : 0}
		>
			{#snippet key()}
				{#if tab === 'top'}<p class="label">
						{#if store.figure?.top?.step_text}<Frac text={edgeWords.levelLines(store.figure.top.step_text)} />{/if}
					</p>
				{:else if strips.length && !apart}
					<p class="flex items-center gap-6 text-note font-label whitespace-nowrap">
						<span class="ml-8 inline-block h-14 w-26 border-[1.3px] border-dashed border-ink2 bg-water first:ml-0"
						></span>{edgeWords.full}
						{#if strips.some((one) => one.face === 'haunch')}<span
								class={[
									'ml-8 border-[1.3px] border-dashed border-ink2',
									'inline-block h-14 w-26 bg-[color-mix(in_srgb,_var(--color-water)_45%,_var(--color-slab))] first:ml-0'
								]}
							></span>{edgeWords.haunch}{/if}
						{#if store.figure?.drawing?.steps.length}<span
								class="ml-8 inline-block h-5 w-26 border-0 border-dashed border-ink2 bg-ink first:ml-0"
							></span>{edgeWords.step}{/if}
					</p>
				{:else if !apart}<p class="label">{edgeWords.none}</p>{/if}
			{/snippet}
			{#snippet over(view)}
				{#if called}<OverCall {view} {call} tab={called} openBay={(pressed, [x, y]) => (bay = { pressed, x, y })} />{/if}
				{#if tab === 'frost'}<OverWings {view} options={data.state?.options ?? []} />{/if}
				<OverSection
					{view}
					{store}
					{data}
					{pick}
					marks={tab !== 'sum' && tab !== 'frost' && tab !== 'top' && !apart}
					lined={tab !== 'frost' && tab !== 'meets' && !low && (!drawn || (!!data.picked && data.picked.kind !== 'side'))}
				/>
				{#if tab === 'top' && store.figure?.top && store.figure.drawing}<OverTop
						{view}
						top={store.figure.top}
						drawing={store.figure.drawing}
						picked={call.zone?.id ?? null}
					/><OverLevels {view} levels={falling} />{/if}
				{#if tab === 'meets'}{#each starters as spot}{@const [x, y] = view.px(spot)}<circle
							cx={x}
							cy={y}
							r="3.5"
							class="fill-rust"
						/>{/each}{/if}
				{#if tab === 'sum'}<OverLetters {view} parts={store.figure?.concrete?.parts ?? []} />{/if}
			{/snippet}
			{#snippet loose(view)}
				{#if low && under}<OverFootings
						{view}
						found={tab === 'walls' ? { ...under, pegs: [] } : under}
						picked={peg}
						pick={(now) => (peg = now)}
					/>{/if}
				{#if tab === 'walls' && store.figure?.walls}<OverWalls
						{view}
						found={store.figure.walls}
						picked={wall}
						pick={(now) => (wall = now)}
					/>{/if}
			{/snippet}
			{#snippet foot(width, height, view)}
				{#if called && roomy}{#key called}<CallSheet
							{call}
							{data}
							tab={called}
							{showCut}
							place={{ view, width, height }}
						/>{/key}{/if}
				{#if bay && tab === 'grid'}{#key bay}<BayBox
							{store}
							bay={bay.pressed}
							x={bay.x}
							y={bay.y}
							close={() => (bay = null)}
						/>{/key}{/if}
			{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="edges" why={edgeWords.needOutline} />
		<p class="mt-14"><Act kind="quiet" href="?tab=footings">{footings.alone}</Act></p>{/snippet}
	{#snippet foot()}
		<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{edgeWords.caution}</p>{/snippet}
	{#if tab === 'cut'}
		<SectionPanel {store} {data} {pick} />
		<FindingList findings={doubts} />
	{:else}
		{#if tab === 'sum' && data.section && data.picked}
			<p class="label" aria-live="polite">{data.section.words}</p>
			<SectionDrawing {store} section={data.section} tall={230} />
		{/if}
		{#if tab === 'grid'}<GridPanel {store} {data} {call} {showCut} boxed={!roomy} />
		{:else if tab === 'top'}<TopPanel {store} {data} {call} {showCut} boxed={!roomy} />
		{:else if tab === 'meets'}<MeetsPanel {store} {data} />
		{:else if tab === 'walks'}<WalksPanel {store} side={pick.side} {box} />
		{:else if tab === 'footings'}<FootingsPanel {store} {box} picked={peg} pick={(now) => (peg = now)} />
		{:else if tab === 'walls'}<WallsPanel {store} {box} picked={wall} pick={(now) => (wall = now)} />
		{:else if tab === 'frost'}<FrostPanel {store} {data} />
		{:else}<SumPanel {store} {data} dug={ground.state?.ground.parts ?? []} />{/if}
	{/if}
</LensFrame>
