<script lang="ts">
	/** What drives the pour day? Trades on the string over days; each is picked, dragged, called; trials are kept or dropped. */
	import type { TaskTold } from '../../api/schema';
	import type { Edit } from '../../state/job.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import Field from '../../ui/Field.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Switch from '../../ui/Switch.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { holdWords } from '../../words/holds';
	import CallBox from '../CallBox.svelte';
	import { dayText } from '../../ui/days';
	import DaysString from './DaysString.svelte';
	import type { GateData } from './holds.svelte';
	import TaskCard from './TaskCard.svelte';
	let { data, small }: { data: GateData; small: boolean } = $props();
	const words = holdWords.trades;
	const store = $derived(data.store);
	const told = $derived(data.schedule);
	const one = $derived(data.taskTold);
	const trial = $derived(store.trying.length > 0);
	let wide = $state(796);
	let name = $state('');
	/** the wet day that holds something, else the first */
	const refused = $derived(told?.tasks.flatMap((row) => row.refused)[0]?.on ?? '');
	const wet = $derived(told?.days.find((day) => day.rain_text && (refused ? day.on === refused : day.rain_mm >= 6)) ?? null);
	const dayRow = $derived(told?.days.find((day) => day.on === data.day) ?? null);
	const tried = (edits: object[]) => store.try(edits as Edit[], 'trades');
	const move = (task: TaskTold, on: string) =>
		void tried([{ op: 'set_task', task: task.key, changes: { on, booked_by: task.booked_by || session.who || null } }]);
	const set = (changes: Record<string, unknown>, at: string) => data.keep([{ op: 'set_schedule', changes } as Edit], at);
	async function add() {
		if (
			name.trim() &&
			(await data.keep(
				[{ op: 'add_task', name: name.trim(), after: [one?.key ?? 'forms'], before: ['pour'] } as Edit],
				'task-add'
			))
		)
			name = '';
	}
	function weekday(n: number) {
		const on = told?.county_weekdays ?? [];
		const now = on.includes(n) ? on.filter((day) => day !== n) : [...on, n].sort();
		if (now.length) void set({ county_weekdays: now }, 'county');
	}
</script>

<div bind:clientWidth={wide}>
	{#if data.state?.wrong}<Verdict text={words.flag} under={data.state.wrong} is="bad" />
	{:else if told}
		<Verdict text={told.verdict} under={told.beside} is={told.none || told.clashes.length ? 'bad' : 'plain'} />
		{#if trial}<div class="mt-6 flex flex-wrap items-center gap-8 border-2 border-chalk px-10 py-6" role="status">
				<b class="flex-1 text-chalk">{words.trial}</b>
				<Act kind="main" onclick={() => void store.keepDraft('trades').then(() => data.load())}>{words.keep}</Act>
				<Act kind="plain" onclick={() => store.dropDraft()}>{words.drop}</Act>
			</div>{/if}
		{#if store.problemFor('trades')}<p class="wrong" role="alert">{store.problemFor('trades')?.detail}</p>{/if}
		{#if told.tasks.length}
			<div class="mt-8">
				<DaysString
					{told}
					{wide}
					task={data.task}
					day={data.day}
					pick={(task) => (data.task = task)}
					look={(day) => (data.day = day)}
					{move}
				/>
			</div>
			<p class="label">{words.key} {told.usual_from ? words.usual(dayText(told.usual_from)) : ''}</p>
		{/if}
		{#each told.clashes as clash (clash)}<p class="mt-4 font-heavy text-flag">{clash}</p>{/each}
		{#if store.problemFor('task')}<p class="wrong" role="alert">{store.problemFor('task')?.detail}</p>{/if}
		{#if one && small}<TaskCard {data} {one} />{/if}
		<div class="mt-8 flex flex-wrap gap-6">
			{#if wet}<Act kind="plain" onclick={() => void tried([{ op: 'say_day', on: wet.on, rain_mm: 0 }])}
					>{words.moveRain(dayText(wet.on))}</Act
				>{/if}
			{#if dayRow && !dayRow.rain_text}<Act
					kind="plain"
					onclick={() => void tried([{ op: 'say_day', on: dayRow.on, rain_mm: 15 }])}>{words.wetDay(dayText(dayRow.on))}</Act
				>{/if}
			<Act kind="quiet" href="/api/jobs/{store.id}/calendar.ics" download>{words.calendar}</Act>
		</div>
	{:else}<Verdict text="…" under={holdWords.working} />{/if}
	<CallBox
		{store}
		at="call-day"
		name={words.call}
		hint={words.callHint}
		heardName={words.heard}
		edit={(text) => ({ op: 'call_day', text, seen_from: told?.start ?? '' }) as Edit}
		done={() => data.load()}
	/>
	<Fold name={words.county} class="mt-10" aside={(told?.county_weekdays ?? []).map((n) => words.weekdays[n]).join(' ')}>
		<div class="flex flex-wrap gap-6">
			{#each words.weekdays as day, n (day)}<Switch on={told?.county_weekdays.includes(n) ?? false} set={() => weekday(n)}
					>{day}</Switch
				>{/each}
		</div>
		<div class="mt-8 grid grid-cols-3 gap-14 max-phone:grid-cols-1">
			<Field
				label={words.hands}
				value={`${told?.hands ?? ''}`}
				mode="numeric"
				problem={store.problemFor('hands')}
				keep={(text) => set({ hands: text.trim() ? Number(text) : null }, 'hands')}
			/>
			<Field
				label={words.startOn}
				value={store.document?.schedule?.start_on ?? ''}
				type="date"
				calm
				problem={store.problemFor('start-on')}
				keep={(text) => set({ start_on: text || null }, 'start-on')}
			/>
			<Field
				label={words.lookAhead}
				value={`${store.document?.schedule?.horizon_days ?? 60}`}
				mode="numeric"
				problem={store.problemFor('horizon')}
				keep={(text) => set({ horizon_days: Number(text) || null }, 'horizon')}
			/>
		</div>
		<div class="mt-8 flex items-end gap-8">
			<label class="label flex-1"
				>{words.add}, {words.addName}<input
					class="well w-full"
					maxlength="60"
					bind:value={name}
					onkeydown={(event) => event.key === 'Enter' && void add()}
				/></label
			>
			<Act kind="plain" onclick={() => void add()}>{words.addIt}</Act>
		</div>
		{#if store.problemFor('task-add')}<p class="wrong" role="alert">{store.problemFor('task-add')?.detail}</p>{/if}
	</Fold>
	<p class="mt-12 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
</div>
