<script lang="ts">
	/** What sticks up, tab by tab: walls, bolts, straps and plates, setting. */
	import { untrack } from 'svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import FirstActs from '../../shell/FirstActs.svelte';
	import LensFrame from '../../shell/LensFrame.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { embeds as words } from '../../words/embeds';
	import { Turn } from '../turn.svelte';
	import BoltsPanel from './BoltsPanel.svelte';
	import { EmbedsData } from './embeds.svelte';
	import { embedsLens } from './lens';
	import OverEmbeds from './OverEmbeds.svelte';
	import SettingPanel from './SettingPanel.svelte';
	import StrapsPanel from './StrapsPanel.svelte';
	import WallsPanel from './WallsPanel.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one of each for the life of this lens)
	const data = new EmbedsData(store);
	const turn = new Turn(embedsLens);
	const tab = $derived(turn.tab);
	$effect(() => {
		void [store.kept?.revision, store.kept?.records, store.draft];
		untrack(() => void data.load());
	});
	function keys(event: KeyboardEvent) {
		const typing = event.target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT'].includes(event.target.tagName);
		if (typing || event.ctrlKey || event.metaKey || event.altKey || tab !== 'bolts') return;
		if (event.key === ',') data.step(-1);
		if (event.key === '.') data.step(1);
	}
</script>

<svelte:window onkeydown={keys} />
<LensFrame {turn} name={words.tabsName} ready={!!store.figure?.outline}>
	{#snippet sheet()}
		<Sheet {store} {pick} title={words.sheets[tab]} strips={false} flat sizes={false} labels={false}>
			{#snippet over(view)}<OverEmbeds {view} {data} {tab} />{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="embeds" why={words.needOutline} />{/snippet}
	{#if data.problem && !store.trying.length}<p class="wrong" role="alert">{data.problem}</p>{/if}
	{#if tab === 'walls'}<WallsPanel {data} />{:else if tab === 'bolts'}<BoltsPanel {data} />{:else if tab === 'straps'}<StrapsPanel
			{data}
		/>{:else}<SettingPanel {data} />{/if}
</LensFrame>
