<script lang="ts">
	/** Cure: what lies on it, how strong it is and when it may be built on, what is sawn and stripped. */
	import { onDestroy, untrack } from 'svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import type { XY } from '../../drawing/viewport';
	import FirstActs from '../../shell/FirstActs.svelte';
	import LensFrame from '../../shell/LensFrame.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { boardSays } from '../../shell/board_says.svelte';
	import Act from '../../ui/Act.svelte';
	import { afterWords } from '../../words/after';
	import { cureWords as words } from '../../words/cure';
	import { Turn } from '../turn.svelte';
	import CoverPanel from './CoverPanel.svelte';
	import { AfterData } from './after.svelte';
	import BuiltPanel from './BuiltPanel.svelte';
	import { CureData } from './cure.svelte';
	import LessonsPanel from './LessonsPanel.svelte';
	import { cureLens } from './lens';
	import OverBuilt from './OverBuilt.svelte';
	import OverCure from './OverCure.svelte';
	import OverLessons from './OverLessons.svelte';
	import PapersPanel from './PapersPanel.svelte';
	import StrengthPanel from './StrengthPanel.svelte';
	import WentTape from './WentTape.svelte';
	import WorkPanel from './WorkPanel.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one for the life of this lens)
	const data = new CureData(store);
	const after = new AfterData(data);
	const turn = new Turn(cureLens);
	const tab = $derived(turn.tab);
	const late = $derived(tab === 'built' || tab === 'lessons' || tab === 'papers');
	$effect(() => {
		void [store.kept?.revision, store.kept?.records];
		untrack(() => void data.load());
	});
	$effect(() => {
		void [store.kept?.revision, store.kept?.records];
		const now = tab;
		untrack(() => void after.load(now));
	});
	onDestroy(() => [data.leave(), after.leave(), (boardSays.lessons = null), (boardSays.build = '')]);
	let windowWide = $state(1280);
	const told = $derived(data.told);
	$effect(() => {
		boardSays.build = told?.verdict ?? '';
		const own = tab === 'lessons' ? after.told : null;
		const first = own?.lessons.find((one) => one.state === 'open' && one.worth);
		boardSays.lessons = own?.next
			? {
					was: own.next.would_text === own.next.now_text ? '' : own.next.now_text,
					would: own.next.would_text,
					unit: own.next.unit,
					over: own.next.over_text,
					next: first ? `${afterWords.lessons.take} ${first.name.toLowerCase()}` : '',
					taken: afterWords.lessons.count(own.taken, own.open),
					kept: own.kept_text
				}
			: null;
	});
	const rings = $derived(
		(store.figure?.drawing?.zones ?? []).map((row) => ({ id: store.rowId('zones', row.index), rings: row.rings as XY[][] }))
	);
</script>

<svelte:window bind:innerWidth={windowWide} />
<LensFrame {turn} name={words.tabsName} ready={!!store.figure?.outline}>
	{#snippet sheet()}
		<Sheet
			{store}
			{pick}
			title={afterWords.sheet[tab] ?? words.sheet}
			strips={false}
			flat
			sizes={false}
			labels={false}
			letters={tab === 'built' && windowWide > 700}
			footHeight={tab === 'lessons' && after.told?.went ? 150 : 0}
		>
			{#snippet key()}
				{#if told && !late}<p class="mt-2 max-phone:hidden" data-cure-now={told.now_text}>
						<b class="text-title font-black">{told.now_text}</b>
						<span class="block text-note">{told.age_text}</span>
					</p>{/if}
			{/snippet}
			{#snippet over(view)}
				{#if tab === 'built'}<OverBuilt {view} data={after} {rings} />
				{:else if tab === 'lessons'}<OverLessons {view} data={after} {rings} />
				{:else}<OverCure {view} {data} {tab} {rings} />{/if}
			{/snippet}
			{#snippet foot(width)}
				{#if tab === 'lessons'}<div class="absolute inset-x-20 bottom-6 border-t-2 border-ink pt-6">
						<WentTape data={after} wide={width - 40} />
					</div>{/if}
			{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="cure" why={words.needOutline} />{/snippet}
	{#if data.problem}<p class="wrong" role="alert">{data.problem}</p>{/if}
	{#if !late && data.missing && words.missing[data.missing]}<p class="mt-10 text-read" data-missing>
			{words.missing[data.missing]}
		</p>{/if}
	{#if data.wrong}<p class="wrong" role="alert">{data.wrong}</p>{/if}
	{#if late}
		{#if after.problem}<p class="wrong" role="alert">{after.problem}</p>{/if}
		{#if after.offline}<p class="mt-6 text-note" role="status">{afterWords.offline}</p>{/if}
		{#if tab === 'built'}<BuiltPanel data={after} />
		{:else if tab === 'lessons'}<LessonsPanel data={after} />
		{:else}<PapersPanel data={after} />{/if}
		<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
	{:else if told}
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
