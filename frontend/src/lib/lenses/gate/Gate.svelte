<script lang="ts">
	/** Gate: may we pour? What holds it, its day, trades and their days, the week of all jobs, papers, changes. */
	import { onDestroy, untrack } from 'svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import { boundsOf } from '../../drawing/viewport';
	import { boardSays } from '../../shell/board_says.svelte';
	import FirstActs from '../../shell/FirstActs.svelte';
	import { inBox } from '../../shell/keys';
	import LensFrame from '../../shell/LensFrame.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { session } from '../../state/session.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { gateWords } from '../../words/gate';
	import { holdWords as words } from '../../words/holds';
	import { Turn } from '../turn.svelte';
	import ChangesPanel from './ChangesPanel.svelte';
	import DayPanel from './DayPanel.svelte';
	import { dayText, today } from '../../ui/days';
	import { DayData } from './gate.svelte';
	import GroundCore from './GroundCore.svelte';
	import HoldsPanel from './HoldsPanel.svelte';
	import { GateData, type GateTab } from './holds.svelte';
	import { gateLens } from './lens';
	import OverChanges from './OverChanges.svelte';
	import OverDay from './OverDay.svelte';
	import OverGround from './OverGround.svelte';
	import OverWalk from './OverWalk.svelte';
	import PapersPanel from './PapersPanel.svelte';
	import TaskCard from './TaskCard.svelte';
	import SunTape from './SunTape.svelte';
	import TradesPanel from './TradesPanel.svelte';
	import WalkAsk from './WalkAsk.svelte';
	import { WeekData } from './week.svelte';
	import WeekPanel from './WeekPanel.svelte';
	import WeekSheet from './WeekSheet.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one for the life of this lens)
	const [day, gate, week] = [new DayData(store), new GateData(store), new WeekData(store)];
	const turn = new Turn(gateLens);
	const tab = $derived(turn.tab);
	const ready = $derived((store.figure?.concrete ?? null) !== null);
	let screen = $state(1280);
	const small = $derived(screen <= 600);
	$effect(() => {
		void [store.kept?.revision, store.kept?.records, store.draft, tab];
		untrack(() => {
			if (tab === 'day') void day.load();
			else if (tab === 'week') void week.load();
			else void gate.load(tab as GateTab);
		});
	});
	onDestroy(() => [day.leave(), gate.leave(), (boardSays.hold = '')]);
	$effect(() => {
		boardSays.hold = gate.told?.holds[0]?.title ?? '';
	});
	/** `,` and `.` go from place to place on the walk */
	function walkKeys(event: KeyboardEvent) {
		const by = { ',': -1, '.': 1 }[event.key];
		if (tab !== 'holds' || !by || inBox(event) || !session.letters || event.ctrlKey || event.metaKey || event.altKey) return;
		event.preventDefault();
		event.stopPropagation();
		gate.step(by);
	}
	const moment = $derived(day.moment);
	const NEAR = 0.17;
	/* what stands about is on the sheet as far as it is near; the slab keeps most of the room */
	const also = $derived.by(() => {
		if (tab === 'holds') return gate.places.flatMap((one) => (one.at ? [one.at as [number, number]] : []));
		const ring = (store.document?.outline ?? []) as [number, number][];
		const rows = tab === 'day' ? (day.state?.blocking ?? []).flatMap((one) => one.ring as [number, number][]) : [];
		if (!ring.length || !rows.length) return [];
		const box = boundsOf(ring);
		const near = NEAR * Math.max(box.x1 - box.x0, box.y1 - box.y0);
		return rows.map(([x, y]): [number, number] => [
			Math.min(Math.max(x, box.x0 - near), box.x1 + near),
			Math.min(Math.max(y, box.y0 - near), box.y1 + near)
		]);
	});
	const title = $derived(
		tab === 'holds'
			? words.sheet
			: tab === 'trades'
				? words.trades.sheet(dayText(gate.day || gate.schedule?.pour_at || today()))
				: tab === 'changes'
					? words.changes.sheet
					: tab === 'papers'
						? words.papers.box
						: gateWords.sheet
	);
	const footHigh = $derived(
		tab === 'day'
			? day.sheet?.place
				? 150
				: 0
			: tab === 'holds' && !small
				? 286
				: tab === 'trades' && !small
					? gate.taskTold
						? 252
						: 150
					: 0
	);
</script>

<svelte:window bind:innerWidth={screen} onkeydowncapture={walkKeys} />
<LensFrame {turn} name={gateWords.tabsName} {ready}>
	{#snippet sheet()}
		{#if tab === 'week'}<WeekSheet data={week} {store} />
		{:else}
			<Sheet
				{store}
				{pick}
				{title}
				labels={false}
				sizes={false}
				letters={false}
				strips={false}
				{also}
				footHeight={footHigh}
				clear={20}
			>
				{#snippet key()}
					{#if tab === 'day' && moment}<p class="mt-2 flex items-start gap-12 max-phone:gap-8" data-moment>
							<b class="text-verdict leading-none font-black font-stretch-[90%] max-phone:text-ask">{moment.text}</b>
							<span class="max-w-360 text-note max-phone:hidden"><Frac text={moment.words} /></span>
						</p>
					{:else if tab === 'holds' && gate.state?.walk}<p class="text-note max-phone:hidden" data-walk>
							<b>{words.tied(gate.places.filter((one) => one.state === 'pass').length, gate.places.length)}</b>,
							{words.open(
								gate.rows.filter((row) => row.state === 'mend').length,
								gate.rows.filter((row) => row.state === 'open' || row.state === 'second').length
							)}
						</p>
					{:else if tab === 'trades'}<p class="text-note">{words.trades.sheetHow}</p>
					{:else if tab === 'changes'}<p class="text-note">{words.changes.spot}</p>{/if}
				{/snippet}
				{#snippet over(view)}
					{#if tab === 'day'}<OverDay {view} data={day} />
					{:else if tab === 'holds'}<OverWalk {view} data={gate} />
					{:else if tab === 'trades'}<OverGround {view} data={gate} />
					{:else if tab === 'changes'}<OverChanges {view} data={gate} />{/if}
				{/snippet}
				{#snippet foot(width)}
					{#if tab === 'day'}{#if day.sheet?.place}<SunTape data={day} sheet={day.sheet} {width} foot />{/if}
					{:else if tab === 'holds' && !small && gate.state?.walk}
						<div class="absolute inset-x-0 bottom-0 h-286 overflow-auto border-t-2 border-ink bg-sheet px-20 pb-10">
							<WalkAsk data={gate} />
						</div>
					{:else if tab === 'trades' && !small}
						{#if gate.taskTold}<div
								class="absolute inset-x-0 bottom-0 h-252 overflow-auto border-t-2 border-ink bg-sheet px-16 pb-10"
							>
								<TaskCard data={gate} one={gate.taskTold} />
							</div>
						{:else}<GroundCore data={gate} />{/if}
					{/if}
				{/snippet}
			</Sheet>
		{/if}
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="gate" why={words.needOutline} />{/snippet}
	{#if gate.problem && !store.trying.length && tab !== 'day'}<p class="wrong" role="alert">{gate.problem}</p>{/if}
	{#if day.problem && !store.trying.length && tab === 'day'}<p class="wrong" role="alert">{day.problem}</p>{/if}
	{#if tab === 'holds'}<HoldsPanel data={gate} {small} turn={(to) => turn.to(to)} />
	{:else if tab === 'day'}<DayPanel data={day} />
	{:else if tab === 'trades'}<TradesPanel data={gate} {small} />
	{:else if tab === 'week'}<WeekPanel data={week} />
	{:else if tab === 'papers'}<PapersPanel data={gate} />
	{:else}<ChangesPanel data={gate} />{/if}
</LensFrame>
