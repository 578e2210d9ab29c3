<script lang="ts">
	/** One line under test: how, what it must hold, the clock while it stands, the reading at its end, and whether it held. */
	import { onDestroy } from 'svelte';
	import type { TestedLine } from '../../api/schema';
	import { addRecord, isWrong } from '../../state/record';
	import { note, restored } from '../../state/remember.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Switch from '../../ui/Switch.svelte';
	import { cover } from '../../words/underslab_cover';
	import GaugePart from './GaugePart.svelte';
	import { minutesSince, wallClock } from './local_time';
	import School from './School.svelte';
	import type { UnderslabData } from './underslab.svelte';
	let { data, line }: { data: UnderslabData; line: TestedLine } = $props();
	const words = cover.tests;
	const store = $derived(data.store);
	const told = $derived(line.told);
	const standing = $derived(told?.state === 'standing' ? told : null);
	type Typed = Record<'start' | 'end' | 'started' | 'ended' | 'alarm' | 'how' | 'watched', string>;
	const blank: Typed = { start: '', end: '', started: '', ended: '', alarm: '', how: '', watched: '' };
	// svelte-ignore state_referenced_locally (one line for the life of this component)
	const key = `${store.id}/test/${line.id}`;
	let typed = $state<Typed>({ ...blank, ...restored<Typed>(key) });
	$effect(() => note(key, Object.values(typed).some(Boolean) ? { ...typed } : ''));
	let again = $state(false);
	let over = $state(false);
	let wrong = $state('');
	let wrongAt = $state('');
	let fromGauge = $state(false);
	let now = $state(new Date());
	const tick = setInterval(() => (now = new Date()), 5000);
	onDestroy(() => clearInterval(tick));
	const how = $derived(standing ? standing.how : line.kind === 'drain' ? (typed.how === 'air' ? 'air' : 'water') : 'pressure');
	const unit = $derived(how === 'water' ? 'mm' : 'kpa');
	const minutes = $derived(standing ? minutesSince(standing.started, now) : 0);
	const timeUp = $derived(minutes >= line.hold_min);
	async function keep(values: Record<string, unknown>, supersedes: string | null = null) {
		const alarm = typed.watched ? { watched: true, alarm_kpa: typed.alarm || null } : {};
		const said = { runs: line.runs, rooms: line.rooms, how, read: fromGauge ? 'stand-in' : 'typed', ...values, ...alarm };
		const got = await addRecord(store, 'line-test', said, session.who, supersedes);
		if (isWrong(got)) return void ([wrong, wrongAt] = [got.words, got.path]);
		[wrong, wrongAt, typed, again, over, fromGauge] = ['', '', { ...blank, how: typed.how }, false, false, false];
		data.holdLine(line.id); // what was tested stays in the hand, passed or not
		if (got) await store.load();
		await data.load();
	}
	const begin = () => keep({ started: wallClock(new Date()), [`start_${unit}`]: typed.start.trim() || null });
	const finish = (later = 0) =>
		standing &&
		keep({
			started: standing.started,
			ended: wallClock(later ? new Date(standing.started) : new Date(), later),
			start_mm: standing.start_mm,
			start_kpa: standing.start_kpa,
			[`end_${unit}`]: typed.end.trim() || null
		});
	const iso = (text: string) => text.trim().replace(' ', 'T') || null;
	const keepOver = () =>
		keep({
			started: iso(typed.started) ?? '',
			ended: iso(typed.ended),
			[`start_${unit}`]: typed.start.trim() || null,
			[`end_${unit}`]: typed.end.trim() || null
		});
	let later = 0;
	async function read(into: 'start' | 'end', after: number, text: string) {
		fromGauge = true;
		typed[into] = text;
		later = into === 'end' ? after : 0;
	}
	const kept = async () => (later ? finish(later) : finish());
</script>

{#snippet reading(into: 'start' | 'end', label: string)}
	<label class="label min-w-160 flex-1"
		>{label}<input
			class="well font-pencil text-call font-[520] text-pencil"
			autocomplete="off"
			aria-invalid={wrongAt.startsWith(`${into}_`)}
			bind:value={typed[into]}
			oninput={() => (fromGauge = false)}
			placeholder={how === 'water' ? '' : words.unit[store.units]}
		/></label
	>
{/snippet}

{#if told && told.state !== 'standing'}
	<p
		class={['mt-10 text-call leading-[1.15] font-black', told.state === 'passed' ? 'text-chalk' : 'text-flag']}
		data-told={told.state}
	>
		<Frac text={told.words} />
	</p>
	{#if told.remedy}<p>{told.remedy}</p>{/if}
	{#if told.watched}<p class="label">{words.watch}{told.alarm_text ? `, ${words.alarm} ${told.alarm_text}` : ''}</p>{/if}
{/if}
{#if standing}
	<p class="mt-10 text-tally leading-[1.1] font-black" role="timer" data-told="standing">
		{timeUp ? words.done : words.since(minutes, line.hold_min)}
	</p>
	<p class="label"><Frac text={words.began(standing.start_text)} /></p>
	<div class="mt-8 flex flex-wrap items-end gap-10">
		{@render reading('end', how === 'water' ? words.endWater : words.endGauge)}
		<Act kind="main" onclick={() => void kept()}>{words.endNow}</Act>
	</div>
{:else if !told || again || told.state !== 'passed'}
	{#if line.kind === 'drain'}<School
			name={words.how}
			school="drain-test"
			labels={words.ways}
			value={how}
			pick={(pick) => (typed.how = pick)}
		/>{/if}
	<p class="mt-8 font-mid">
		<Frac
			text="{how === 'water' ? words.head(line.head_text) : words.need(line.need_text, line.hold_min)} {how === 'water'
				? words.hold(line.hold_min)
				: ''}"
		/>
	</p>
	<div class="mt-8 flex flex-wrap items-end gap-10">
		{@render reading('start', how === 'water' ? words.startWater : words.startGauge)}
		{#if over}{@render reading('end', how === 'water' ? words.endWater : words.endGauge)}{:else}<Act
				kind="main"
				onclick={() => void begin()}>{words.startNow}</Act
			>{/if}
	</div>
	{#if over}<div class="mt-8 flex flex-wrap items-end gap-10">
			{#each ['started', 'ended'] as const as at (at)}<label class="label min-w-160 flex-1"
					>{words[at]}<input
						class="well text-key"
						autocomplete="off"
						aria-invalid={wrongAt === at}
						placeholder={words.when}
						bind:value={typed[at]}
					/></label
				>{/each}
			<Act kind="main" onclick={() => void keepOver()}>{words.keepOver}</Act>
		</div>{/if}
{:else}
	<p class="mt-8"><Act kind="quiet" onclick={() => (again = true)}>{words.again}</Act></p>
{/if}
{#if wrong}<p class="wrong mt-6" role="alert">{wrong}</p>{/if}
{#if standing || !told || again || told.state !== 'passed'}
	{#if line.kind !== 'drain'}<div class="mt-8 flex flex-wrap items-end gap-12">
			<Switch on={!!typed.watched} set={(on) => (typed.watched = on ? 'yes' : '')}>{words.watch}</Switch>
			{#if typed.watched}<label class="label"
					>{words.alarm}<input
						class="well w-120 text-key"
						autocomplete="off"
						placeholder={words.unit[store.units]}
						bind:value={typed.alarm}
					/></label
				>{/if}
		</div>{/if}
	<GaugePart job={store.id} line={line.id} {how} hold={line.hold_min} ends={!!standing || over} {read} {minutes} />
	{#if !standing}<p class="mt-8"><Act kind="quiet" on={over} onclick={() => (over = !over)}>{words.later}</Act></p>{/if}
{/if}
