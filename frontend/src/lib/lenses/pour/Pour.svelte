<script lang="ts">
	/** Pour: what is next and by when, tickets, how much is left, what sets when, trouble, the day on one page. */
	import { onDestroy, onMount, untrack } from 'svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import { clock } from '../../api/clock.svelte';
	import { boardSays } from '../../shell/board_says.svelte';
	import FirstActs from '../../shell/FirstActs.svelte';
	import LensFrame from '../../shell/LensFrame.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { pourWords as words } from '../../words/pour';
	import { Turn } from '../turn.svelte';
	import FinishPanel from './FinishPanel.svelte';
	import LeftPanel from './LeftPanel.svelte';
	import { pourLens } from './lens';
	import NotesPanel from './NotesPanel.svelte';
	import NowPanel from './NowPanel.svelte';
	import OverPour from './OverPour.svelte';
	import PracticeClock from './PracticeClock.svelte';
	import { PourData } from './pour.svelte';
	import TicketsPanel from './TicketsPanel.svelte';
	import TroublePanel from './TroublePanel.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one for the life of this lens)
	const data = new PourData(store);
	const turn = new Turn(pourLens);
	const tab = $derived(turn.tab);
	$effect(() => {
		void [store.kept?.revision, store.kept?.records];
		untrack(() => void data.load_now());
	});
	onMount(() => data.aloud.start());
	onDestroy(() => [data.leave(), (boardSays.next = null), (boardSays.pour = null)]);
	const told = $derived(data.told);
	$effect(() => {
		const act = data.acts[0];
		boardSays.next = act ? { act: act.title, when: act.at_text } : null;
		if (act) data.aloud.act(act.key, act.late_min >= -0.5);
		const left = told?.left;
		boardSays.pour = left
			? { placed: left.placed_text, of: left.total_text, last: words.lastTruck(left), by: words.lastBy(left) }
			: null;
	});
</script>

<LensFrame {turn} name={words.tabsName} ready={!!store.figure?.outline}>
	{#snippet sheet()}
		<Sheet {store} {pick} title={words.sheet} strips={false} flat sizes={false} labels={false} letters={false}>
			{#snippet key()}
				{#if told}<div class="mt-2 flex items-start gap-14 max-phone:hidden" data-now={told.now_text}>
						<b class="text-[44px] leading-none font-black font-stretch-[90%]">{told.now_text}</b>
						<p class="max-w-320 text-read leading-tight">
							<b><Frac text={words.inForms(told.left.placed_text)} /></b>
							<span class="block text-note"
								><Frac text={words.ofAll(told.left.total_text)} />{told.late_text ? `, ${told.late_text}` : ''}</span
							>
						</p>
					</div>
					<p class="text-note text-ink2 max-phone:hidden">
						{tab === 'finish' && told.sun ? told.sun.text : words.sheetHow}
					</p>{/if}
			{/snippet}
			{#snippet over(view)}<OverPour {view} {data} {tab} />{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="pour" why={words.needOutline} />{/snippet}
	{#if data.problem}<p class="wrong" role="alert">{data.problem}</p>{/if}
	{#if data.missing && words.missing[data.missing]}<p class="mt-10 text-read" data-missing>{words.missing[data.missing]}</p>{/if}
	{#if data.wrong}<p class="wrong" role="alert">{data.wrong}</p>{/if}
	{#if clock.off_ms}<p class="mt-8 border-l-6 border-flag bg-well px-10 py-6 text-read" role="status" data-clock-off>
			{words.clockOff(clock.ahead_min)}
		</p>{/if}
	{#if told}
		<p class="hidden pt-6 text-read max-phone:block">
			<b class="text-ask font-black">{told.now_text}</b>
			<b><Frac text={words.inForms(told.left.placed_text)} /></b>
			<Frac text={words.ofAll(told.left.total_text)} />
		</p>
		{#if tab === 'now'}<NowPanel {data} turn={(to) => turn.to(to)} />
		{:else if tab === 'tickets'}<TicketsPanel {data} />
		{:else if tab === 'left'}<LeftPanel {data} />
		{:else if tab === 'finish'}<FinishPanel {data} />
		{:else if tab === 'trouble'}<TroublePanel {data} />
		{:else}<NotesPanel {data} />{/if}
		<FindingList findings={data.findings(tab)} />
		{#if !data.live}<PracticeClock {data} />{/if}
		<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
	{/if}
</LensFrame>
