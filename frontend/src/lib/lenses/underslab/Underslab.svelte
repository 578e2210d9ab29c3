<script lang="ts">
	/** Underslab, tab by tab: runs and risers first, then all that is in something's way. */
	import { untrack } from 'svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import FirstActs from '../../shell/FirstActs.svelte';
	import LensFrame from '../../shell/LensFrame.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { underslab as words } from '../../words/underslab';
	import { Turn } from '../turn.svelte';
	import BarrierPanel from './BarrierPanel.svelte';
	import CheckPanel from './CheckPanel.svelte';
	import ClashesPanel from './ClashesPanel.svelte';
	import FoamPanel from './FoamPanel.svelte';
	import { underslabLens } from './lens';
	import OverCover from './OverCover.svelte';
	import OverRuns from './OverRuns.svelte';
	import OverTests from './OverTests.svelte';
	import OverTubes from './OverTubes.svelte';
	import ServicesPanel from './ServicesPanel.svelte';
	import TestsPanel from './TestsPanel.svelte';
	import TubingPanel from './TubingPanel.svelte';
	import { UnderslabData } from './underslab.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one of each for the life of this lens)
	const data = new UnderslabData(store);
	const turn = new Turn(underslabLens);
	const tab = $derived(turn.tab);
	/** tabs whose own drawing covers the slab */
	const COVERED: string[] = ['barrier', 'foam', 'tubing'];
	$effect(() => {
		void [store.kept?.revision, store.draft];
		untrack(() => void data.load());
	});
	const tubes = $derived(tab === 'tubing' || (tab === 'tests' && data.line?.kind === 'tubing'));
	const also = $derived(data.runs.flatMap((run) => run.path));
	function keys(event: KeyboardEvent) {
		const typing = event.target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT'].includes(event.target.tagName);
		if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
		if (event.key === ',') data.step(-1);
		if (event.key === '.') data.step(1);
	}
</script>

<svelte:window onkeydown={keys} />
<LensFrame {turn} name={words.tabsName} ready={!!store.figure?.outline}>
	{#snippet sheet()}
		<Sheet
			{store}
			{pick}
			{also}
			title={words.sheets[tubes ? 'tubing' : tab]}
			strips={!tubes && !COVERED.includes(tab)}
			sizes={false}
			labels={false}
		>
			{#snippet over(view)}{#if tubes}<OverTubes {view} {data} />{:else if tab === 'barrier' || tab === 'foam'}<OverCover
						{view}
						{data}
						foam={tab === 'foam'}
					/>{:else}<OverRuns
						{view}
						{data}
						check={tab === 'check'}
						of={tab === 'tests' ? data.line?.steps.map((step) => step.riser) : undefined}
					/>{/if}{#if tab === 'tests' && !tubes}<OverTests {view} {data} />{/if}{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="underslab" why={words.needOutline} />{/snippet}
	{#if data.problem && !store.trying.length}<p class="wrong" role="alert">{data.problem}</p>{/if}
	{#if tab === 'services'}<ServicesPanel {data} />{:else if tab === 'check'}<CheckPanel
			{data}
		/>{:else if tab === 'tests'}<TestsPanel {data} />{:else if tab === 'barrier'}<BarrierPanel
			{data}
		/>{:else if tab === 'foam'}<FoamPanel {data} />{:else if tab === 'tubing'}<TubingPanel {data} />{:else}<ClashesPanel
			{data}
		/>{/if}
</LensFrame>
