<script lang="ts">
	/** Cure: what lies on it, how strong it is and when it may be built on, what is sawn and stripped. */
	import { onDestroy, untrack } from 'svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import type { XY } from '../../drawing/viewport';
	import FirstActs from '../../shell/FirstActs.svelte';
	import LensFrame from '../../shell/LensFrame.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import { cureWords as words } from '../../words/cure';
	import { Turn } from '../turn.svelte';
	import CoverPanel from './CoverPanel.svelte';
	import { CureData } from './cure.svelte';
	import { cureLens } from './lens';
	import OverCure from './OverCure.svelte';
	import StrengthPanel from './StrengthPanel.svelte';
	import WorkPanel from './WorkPanel.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one for the life of this lens)
	const data = new CureData(store);
	const turn = new Turn(cureLens);
	const tab = $derived(turn.tab);
	$effect(() => {
		void [store.kept?.revision, store.kept?.records];
		untrack(() => void data.load());
	});
	onDestroy(() => data.leave());
	const told = $derived(data.told);
	const rings = $derived(
		(store.figure?.drawing?.zones ?? []).map((row) => ({ id: store.rowId('zones', row.index), rings: row.rings as XY[][] }))
	);
</script>

<LensFrame {turn} name={words.tabsName} ready={!!store.figure?.outline}>
	{#snippet sheet()}
		<Sheet {store} {pick} title={words.sheet} strips={false} flat sizes={false} labels={false} letters={false}>
			{#snippet key()}
				{#if told}<p class="mt-2 max-phone:hidden" data-cure-now={told.now_text}>
						<b class="text-title font-black">{told.now_text}</b>
						<span class="block text-note">{told.age_text}</span>
					</p>{/if}
			{/snippet}
			{#snippet over(view)}<OverCure {view} {data} {tab} {rings} />{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="cure" why={words.needOutline} />{/snippet}
	{#if data.problem}<p class="wrong" role="alert">{data.problem}</p>{/if}
	{#if data.missing && words.missing[data.missing]}<p class="mt-10 text-read" data-missing>{words.missing[data.missing]}</p>{/if}
	{#if data.wrong}<p class="wrong" role="alert">{data.wrong}</p>{/if}
	{#if told}
		<p class="hidden pt-6 text-read max-phone:block"><b class="text-key font-black">{told.now_text}</b> {told.age_text}</p>
		{#if tab === 'cover'}<CoverPanel {data} />
		{:else if tab === 'strength'}<StrengthPanel {data} />
		{:else}<WorkPanel {data} />{/if}
		{#if !data.live}<div class="mt-14 flex flex-wrap items-center gap-8 border-t border-hair pt-8" data-practice>
				<p class="text-note">{words.practice} <b class="text-key">{told.now_text}</b></p>
				{#each words.steps as [hours, name] (hours)}<Act
						kind="quiet"
						aria-label={words.later(name)}
						onclick={() => data.move(hours)}>{name}</Act
					>{/each}
				{#if data.shift}<Act kind="quiet" onclick={() => data.move(-data.shift)}>{words.back}</Act>{/if}
			</div>{/if}
		<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
	{/if}
</LensFrame>
