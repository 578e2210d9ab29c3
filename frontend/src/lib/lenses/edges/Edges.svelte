<script lang="ts">
	/** Edges, turn by turn: the cut first, then beams and pads, the top, what it meets, frost, the ledger. */
	import { onTab } from '../../state/findings';
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import Sheet from '../../drawing/Sheet.svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import Bench from '../../shell/Bench.svelte';
	import Turns from '../../shell/Turns.svelte';
	import type { JobDesk } from '../../state/job.svelte';
	import { w } from '../../words/words';
	import { GroundData } from '../ground/ground.svelte';
	import CutDesk from './CutDesk.svelte';
	import CutDrawing from './CutDrawing.svelte';
	import { EdgesData } from './edges.svelte';
	import FrostDesk from './FrostDesk.svelte';
	import GridDesk from './GridDesk.svelte';
	import MeetsDesk from './MeetsDesk.svelte';
	import OverCut from './OverCut.svelte';
	import OverLetters from './OverLetters.svelte';
	import OverLevels from './OverLevels.svelte';
	import OverWings from './OverWings.svelte';
	import SumDesk from './SumDesk.svelte';
	import TopDesk from './TopDesk.svelte';
	import { isTurn, questionOf, TURNS, type Turn } from './turns';
	let { desk, pick }: { desk: JobDesk; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one of each for the life of this lens)
	const [data, ground] = [new EdgesData(desk), new GroundData(desk)];
	const turn = $derived.by((): Turn => {
		const asked = page.url.searchParams.get('turn');
		return isTurn(asked) ? asked : 'cut';
	});
	const strips = $derived(desk.figure?.drawing?.strips ?? []);
	const revision = $derived(desk.kept?.revision);
	$effect(() => {
		if (pick.side !== null) {
			const side = pick.side;
			untrack(() => data.choose('side', side));
		}
	});
	$effect(() => {
		void [revision, desk.draft, data.line];
		untrack(() => void data.load());
	});
	$effect(() => {
		void revision;
		if (turn === 'frost' || turn === 'meets') untrack(() => void data.loadState());
		if (turn === 'sum') untrack(() => void ground.load());
	});
	const also = $derived((desk.document?.side_pads ?? []).flatMap((pad) => pad.polygon));
	let across = $state(1280);
	const doubts = $derived(onTab(desk.figure?.findings, 'cut'));
</script>

<svelte:window bind:innerWidth={across} />
<Sheet {desk} {pick} {also} title={w.edges.turns[turn].sheet} strips letters={across > 600} sizes={turn === 'cut' || turn === 'grid'} labels={turn !== 'sum'}>
	{#snippet key()}
		{#if strips.length}
			<p class="keys">
				<span class="full"></span>{w.edges.full}
				{#if strips.some((one) => one.face === 'haunch')}<span class="haunch"></span>{w.edges.haunch}{/if}
				{#if desk.figure?.drawing?.steps.length}<span class="step"></span>{w.edges.step}{/if}
			</p>
		{:else}<p class="label">{w.edges.none}</p>{/if}
	{/snippet}
	{#snippet over(view)}
		{#if turn === 'frost'}<OverWings {view} options={data.state?.options ?? []} />{/if}
		<OverCut {view} {desk} {data} {pick} marks={turn !== 'sum' && turn !== 'frost'} lined={turn !== 'frost' && turn !== 'meets'} />
		{#if turn === 'top'}<OverLevels {view} levels={desk.figure?.levels ?? []} />{/if}
		{#if turn === 'sum'}<OverLetters {view} parts={desk.figure?.concrete?.parts ?? []} />{/if}
	{/snippet}
</Sheet>
<Bench question={questionOf(turn)} jobId={desk.id}>
	{#if desk.figure?.outline}
		<Turns turns={TURNS.map((one) => ({ key: one, name: w.edges.turns[one].name }))} here={turn} name={w.edges.turnsName} tight />
		{#if turn === 'cut'}
			<CutDesk {desk} {data} {pick} />
			{#each doubts as doubt}<p class="wrong">{doubt.words} {doubt.remedy}</p>{/each}
		{:else}
			{#if (turn === 'grid' || turn === 'top' || turn === 'sum') && data.cut && data.picked}
				<p class="label" aria-live="polite">{data.cut.words}</p>
				<CutDrawing {desk} cut={data.cut} tall={230} />
			{/if}
			{#if turn === 'grid'}<GridDesk {desk} {data} />
			{:else if turn === 'top'}<TopDesk {desk} {data} />
			{:else if turn === 'meets'}<MeetsDesk {desk} {data} />
			{:else if turn === 'frost'}<FrostDesk {desk} {data} />
			{:else}<SumDesk {desk} {data} dug={ground.state?.ground.parts ?? []} />{/if}
		{/if}
	{:else}<p>{w.edges.needOutline}</p>{/if}
	<p class="caution">{w.edges.caution}</p>
</Bench>

<style>
	.keys {
		display: flex;
		gap: 6px;
		align-items: center;
		font-size: 13.5px;
		font-weight: 560;
		white-space: nowrap;
	}
	.keys span {
		display: inline-block;
		width: 26px;
		height: 14px;
		border: 1.3px dashed var(--ink2);
		margin-left: 8px;
	}
	.keys span:first-child {
		margin-left: 0;
	}
	.full {
		background: var(--water);
	}
	.haunch {
		background: color-mix(in srgb, var(--water) 45%, var(--slab));
	}
	.keys .step {
		border: 0;
		height: 5px;
		background: var(--ink);
	}
	.caution {
		margin-top: 14px;
		font-size: 13.5px;
		color: var(--ink2);
		border-top: 1px solid var(--hair);
		padding-top: 6px;
	}
</style>
