<script lang="ts">
	/** The practice yard: a made-up thing drawn, one question, and what the answer comes to. Nothing of it is a job's. */
	import { page } from '$app/state';
	import { tick, untrack } from 'svelte';
	import Who from '../shell/Who.svelte';
	import { events } from '../site/events.svelte';
	import { session } from '../state/session.svelte';
	import Act from '../ui/Act.svelte';
	import Choice from '../ui/Choice.svelte';
	import Frac from '../ui/Frac.svelte';
	import Verdict from '../ui/Verdict.svelte';
	import { practiceWords as words } from '../words/practice';
	import { w } from '../words/words';
	import Asks from './Asks.svelte';
	import { lastOf } from './book.svelte';
	import GivenRows from './GivenRows.svelte';
	import KindString from './KindString.svelte';
	import LastTen from './LastTen.svelte';
	import PracticeBoard from './PracticeBoard.svelte';
	import PracticeSheet from './PracticeSheet.svelte';
	import { Practice } from './practice.svelte';
	import Result from './Result.svelte';
	const practice = new Practice();
	async function begin(asked: { get(name: string): string | null }) {
		if (!session.ways) await session.loadWays().catch(() => undefined);
		const units = asked.get('units') ?? session.ways?.reading.new_job_units ?? 'ft-in';
		practice.units = units === 'mm' ? 'mm' : 'ft-in';
		await practice.yard.load();
		const seed = asked.get('seed');
		await practice.show(asked.get('kind') ?? 'rack', Number(asked.get('level') ?? 1), seed === null ? null : Number(seed));
		void practice.book.send();
	}
	$effect(() => {
		const asked = page.url.searchParams;
		untrack(() => void begin(asked));
		return events.on('back', () => void practice.book.send());
	});
	const open = $derived(practice.open);
	const marked = $derived(practice.marked);
	const readings = $derived(open?.readings ?? []);
	const read = $derived(
		Object.fromEntries(readings.filter((one) => marked || practice.read.includes(one.id)).map((one) => [one.id, one.text]))
	);
	const press = $derived(
		Object.fromEntries([
			...readings.map((one) => [one.id, one.name]),
			...(open?.asks ?? []).filter((ask) => ask.kind === 'press').map((ask) => [ask.id, ask.label])
		]) as Record<string, string>
	);
	const on = $derived([...practice.read, ...Object.keys(practice.answer).filter((id) => practice.answer[id] === 'yes')]);
	const clock = $derived(open?.asks.find((ask) => ask.kind === 'clock'));
	const over = $derived([
		...(clock ? (open?.moments?.[Number(practice.answer[clock.id] ?? 0)]?.shapes ?? []) : []),
		...(marked?.shapes ?? [])
	]);
	function take(id: string) {
		if (readings.some((one) => one.id === id)) practice.look(id);
		else practice.set(id, practice.answer[id] === 'yes' ? 'no' : 'yes');
	}
	/** on a phone the answer may stand above what is looked at */
	async function say() {
		void practice.say();
		await tick();
		document.querySelector('[data-bench] [data-verdict-is]')?.scrollIntoView({ block: 'nearest' });
	}
	const next = () => practice.show(practice.kind, practice.level);
	const levels = $derived(
		(practice.yard.value?.levels ?? [1, 2, 3]).map((n) => ({ value: String(n), label: words.level[n] ?? String(n) }))
	);
	const IS = { right: 'good', near: 'plain', off: 'bad' } as const;
	const is = $derived(marked ? IS[marked.grade] : 'plain');
</script>

<div class="flex h-dvh flex-col bg-bench max-mid:h-auto max-mid:min-h-dvh">
	<header
		class={[
			'grid h-92 flex-none grid-cols-[200px_1fr] border-b-3 border-ink bg-ground',
			'max-mid:h-auto max-mid:min-h-66 max-mid:grid-cols-[150px_1fr]'
		]}
	>
		<div class="pt-9 pl-18 max-mid:pt-4 max-mid:pl-10">
			<p class="text-label leading-24 font-[600] text-ink2">
				<a href="/" class="relative block min-h-24 after:absolute after:-inset-12">‹ {w.yardTitle}</a>
			</p>
			<h1 class="text-act leading-[1.06] font-heavy font-stretch-[84%] max-mid:text-body">{words.title}</h1>
		</div>
		<KindString
			kinds={practice.yard.value?.kinds ?? []}
			here={practice.kind}
			tries={practice.book.tries}
			pick={(key) => void practice.show(key, practice.level)}
		/>
	</header>
	<main class="grid min-h-0 flex-1 grid-cols-[minmax(0,47fr)_minmax(0,53fr)] max-mid:block">
		<div class="flex min-h-0 flex-col border-r-3 border-ink bg-sheet max-mid:border-r-0 max-mid:border-b-3">
			{#if open}
				<div class="px-20 pt-14 max-mid:px-12 max-mid:pt-8">
					<h2 class="text-key">{practice.title}</h2>
					{#each open.lead as line, i (i)}<p class="text-read text-ink2"><Frac text={line} /></p>{/each}
				</div>
				<div class="min-h-0 flex-1 px-8 pt-8 max-mid:h-[62vw] max-mid:max-h-400">
					<PracticeSheet shapes={open.drawing} {over} {read} {press} {on} {take} />
				</div>
				{#if readings.length}
					<div class="flex flex-wrap items-center gap-6 px-20 pt-4 max-mid:px-12">
						<span class="label">{words.tape}</span>
						{#each readings as one (one.id)}<Act
								kind="quiet"
								class="min-h-44"
								on={one.id in read}
								onclick={() => practice.look(one.id)}><Frac text={one.id in read ? `${one.name} ${one.text}` : one.name} /></Act
							>{/each}
					</div>
				{/if}
				<p class="px-20 py-8 text-note text-ink2 max-mid:hidden">{words.nothing}</p>
			{/if}
		</div>
		<div class="min-h-0 overflow-auto px-20 pt-12 max-mid:overflow-visible max-mid:px-12" data-bench>
			<div class="flex flex-wrap items-center justify-between gap-8">
				<Choice
					rows={levels}
					value={String(practice.level)}
					pick={(n) => n && void practice.show(practice.kind, Number(n))}
					name={words.levels}
					class="flex"
				/>
				<div class={session.who ? 'max-phone:hidden' : ''}><Who /></div>
			</div>
			{#if practice.problem}<p class="wrong" role="alert">{practice.problem}</p>{/if}
			{#if practice.offline}<p class="label" role="status">{open ? words.noSignal : words.none}</p>
			{:else if !open && !practice.problem}<p class="label" role="status">{words.making}</p>{/if}
			{#if open}
				<div class="mt-8" aria-live="polite"><Verdict text={marked?.verdict ?? open.question} {is} /></div>
				{#if marked}<Result exercise={open} {marked} />{/if}
				<Asks {practice} exercise={open} />
				<div class="sticky bottom-0 flex flex-wrap items-center gap-12 border-t-2 border-ink bg-bench py-8">
					{#if marked}<Act kind="main" onclick={() => void next()}>{words.next}</Act>
						<Act kind="quiet" class="min-h-44" onclick={() => void practice.show(open.kind, open.level, open.seed)}
							>{words.again}</Act
						>
					{:else}<Act kind="main" disabled={practice.missing !== ''} onclick={() => void say()}>{words.say}</Act>
						{#if practice.missing}<span class="label">{words.missing(practice.missing)}</span>{/if}{/if}
				</div>
				<LastTen rows={lastOf(practice.book.tries, practice.kind)} under={open.under ?? ''} over={open.over ?? ''} />
				<GivenRows {practice} />
				<p class="mt-12 pb-16 text-note text-ink2">{words.nothing} {words.caution}</p>
			{/if}
		</div>
	</main>
	<PracticeBoard {practice} />
</div>
