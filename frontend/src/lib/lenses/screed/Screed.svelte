<script lang="ts">
	/** Joints: where the slab may crack, and where it is told to. */
	import { untrack } from 'svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import FirstActs from '../../shell/FirstActs.svelte';
	import LensFrame from '../../shell/LensFrame.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { joints as words } from '../../words/joints';
	import { Turn } from '../turn.svelte';
	import JointsPanel from './JointsPanel.svelte';
	import { screedLens } from './lens';
	import OverJoints from './OverJoints.svelte';
	import { ScreedData } from './screed.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one of each for the life of this lens)
	const data = new ScreedData(store);
	const turn = new Turn(screedLens);
	$effect(() => {
		void [store.kept?.revision, store.draft];
		untrack(() => void data.load());
	});
	$effect(() => {
		void store.kept?.revision;
		untrack(() => void data.loadProposals());
	});
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
		<Sheet {store} {pick} title={words.sheet} strips={false} flat sizes={false} labels={false}>
			{#snippet over(view)}<OverJoints {view} {data} />{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="screed" why={words.needOutline} />{/snippet}
	{#if data.problem && !store.trying.length}<p class="wrong" role="alert">{data.problem}</p>{/if}
	<JointsPanel {data} />
</LensFrame>
