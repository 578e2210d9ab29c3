<script lang="ts">
	/** Underslab, tab by tab: runs and risers first, then all that is in something's way. */
	import { untrack } from 'svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import FirstActs from '../../shell/FirstActs.svelte';
	import LensFrame from '../../shell/LensFrame.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { underslab as words } from '../../words/underslab';
	import { w } from '../../words/words';
	import { Turn } from '../turn.svelte';
	import CheckPanel from './CheckPanel.svelte';
	import ClashesPanel from './ClashesPanel.svelte';
	import { underslabLens } from './lens';
	import OverRuns from './OverRuns.svelte';
	import ServicesPanel from './ServicesPanel.svelte';
	import { UnderslabData } from './underslab.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one of each for the life of this lens)
	const data = new UnderslabData(store);
	const turn = new Turn(underslabLens);
	const tab = $derived(turn.tab);
	$effect(() => {
		void [store.kept?.revision, store.draft];
		untrack(() => void data.load());
	});
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
		<Sheet {store} {pick} {also} title={w.underslab.tabs[tab].sheet} strips sizes={false} labels={false}>
			{#snippet over(view)}<OverRuns {view} {data} check={tab === 'check'} />{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="underslab" why={words.needOutline} />{/snippet}
	{#if data.problem && !store.trying.length}<p class="wrong" role="alert">{data.problem}</p>{/if}
	{#if tab === 'services'}<ServicesPanel {data} />{:else if tab === 'check'}<CheckPanel {data} />{:else}<ClashesPanel
			{data}
		/>{/if}
</LensFrame>
