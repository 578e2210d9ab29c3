<script lang="ts">
	/** Steel, tab by tab: how each slab is held together, mats, cages, dowels, chairs, lists. */
	import { untrack } from 'svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import FirstActs from '../../shell/FirstActs.svelte';
	import LensFrame from '../../shell/LensFrame.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { steel as words } from '../../words/steel';
	import { Turn } from '../turn.svelte';
	import CagesPanel from './CagesPanel.svelte';
	import ChairsPanel from './ChairsPanel.svelte';
	import DowelsPanel from './DowelsPanel.svelte';
	import { steelLens } from './lens';
	import LookPanel from './LookPanel.svelte';
	import ListsPanel from './ListsPanel.svelte';
	import MatPanel from './MatPanel.svelte';
	import OverSteel from './OverSteel.svelte';
	import { SteelData } from './steel.svelte';
	import WayPanel from './WayPanel.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one of each for the life of this lens)
	const data = new SteelData(store);
	const turn = new Turn(steelLens);
	const tab = $derived(turn.tab);
	$effect(() => {
		void [store.kept?.revision, store.draft];
		untrack(() => void data.load());
	});
	$effect(() => {
		void store.kept?.revision;
		if (tab === 'lists') untrack(() => void data.loadCuts());
	});
	/** the marks that a tab is about */
	const rows = $derived(
		{
			way: data.mats.filter((row) => row.key.startsWith('mat') || row.key.startsWith('rim')),
			mat: data.mats,
			cages: data.caged,
			dowels: data.marks.filter((row) => row.key.startsWith('dowels')),
			chairs: [],
			look: data.marks,
			lists: data.marks
		}[tab]
	);
	const every = $derived(Math.max(1, ...rows.map((row) => row.every)));
	const title = $derived(
		tab === 'mat' ? words.sheets.mat(every) : tab === 'lists' ? words.sheets.lists(data.held?.mark ?? '') : words.sheets[tab]
	);
	function keys(event: KeyboardEvent) {
		const typing = event.target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT'].includes(event.target.tagName);
		if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
		if (event.key === ',') data.step(-1, rows);
		if (event.key === '.') data.step(1, rows);
	}
</script>

<svelte:window onkeydown={keys} />
<LensFrame {turn} name={words.tabsName} ready={!!store.figure?.outline}>
	{#snippet sheet()}
		<Sheet {store} {pick} {title} strips={false} flat sizes={false} labels={false}>
			{#snippet over(view)}<OverSteel {view} {data} {tab} {rows} />{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="steel" why={words.needOutline} />{/snippet}
	{#if data.problem && !store.trying.length}<p class="wrong" role="alert">{data.problem}</p>{/if}
	{#if tab === 'look'}<LookPanel {data} />{:else if tab === 'way'}<WayPanel {data} />{:else if tab === 'mat'}<MatPanel
			{data}
		/>{:else if tab === 'cages'}<CagesPanel {data} />{:else if tab === 'dowels'}<DowelsPanel
			{data}
		/>{:else if tab === 'chairs'}<ChairsPanel {data} />{:else}<ListsPanel {data} />{/if}
</LensFrame>
