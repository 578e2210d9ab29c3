<script lang="ts">
	/** Screed: what boards are pulled to, pads, their order, and where the slab may crack. */
	import { untrack } from 'svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import FirstActs from '../../shell/FirstActs.svelte';
	import LensFrame from '../../shell/LensFrame.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { screed as words } from '../../words/screed';
	import { Turn } from '../turn.svelte';
	import JointsPanel from './JointsPanel.svelte';
	import { screedLens } from './lens';
	import OrderPanel from './OrderPanel.svelte';
	import OverJoints from './OverJoints.svelte';
	import OverStrips from './OverStrips.svelte';
	import PadsPanel from './PadsPanel.svelte';
	import { ScreedData } from './screed.svelte';
	import StripKey from './StripKey.svelte';
	import { StripsData } from './strips.svelte';
	import StripsPanel from './StripsPanel.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one of each for the life of this lens)
	const data = new ScreedData(store);
	// svelte-ignore state_referenced_locally (one of each for the life of this lens)
	const strips = new StripsData(store);
	const turn = new Turn(screedLens);
	const tab = $derived(turn.tab);
	const here = $derived(tab === 'joints' ? data : strips);
	$effect(() => {
		void [store.kept?.revision, store.kept?.records, store.draft, here];
		untrack(() => void here.load());
	});
	$effect(() => {
		void [store.kept?.revision, tab];
		untrack(() => {
			if (tab === 'joints') void data.loadProposals();
			if (tab === 'strips') void strips.loadProposal();
		});
	});
	/* trucks stand beside the slab */
	const also = $derived(tab === 'order' ? (strips.found?.stands ?? []).map((row) => row.at as [number, number]) : []);
	function keys(event: KeyboardEvent) {
		const typing = event.target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT'].includes(event.target.tagName);
		if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
		const held = tab === 'joints' ? data : strips;
		if (event.key === ',') held.step(-1);
		if (event.key === '.') held.step(1);
	}
</script>

<svelte:window onkeydown={keys} />
<LensFrame {turn} name={words.tabsName} ready={!!store.figure?.outline}>
	{#snippet sheet()}
		<Sheet {store} {pick} title={words.sheets[tab]} strips={false} flat sizes={false} labels={false} {also}>
			{#snippet key()}{#if tab !== 'joints' && strips.found}<StripKey {tab} />{/if}{/snippet}
			{#snippet over(view)}{#if tab === 'joints'}<OverJoints {view} {data} />{:else}<OverStrips
						{view}
						data={strips}
						{tab}
					/>{/if}{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="screed" why={words.needOutline} />{/snippet}
	{#if here.problem && !store.trying.length}<p class="wrong" role="alert">{here.problem}</p>{/if}
	{#if tab === 'joints'}<JointsPanel {data} />{:else if tab === 'strips'}<StripsPanel
			data={strips}
		/>{:else if tab === 'pads'}<PadsPanel data={strips} />{:else}<OrderPanel data={strips} />{/if}
</LensFrame>
