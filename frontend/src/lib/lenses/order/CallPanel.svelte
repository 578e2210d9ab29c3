<script lang="ts">
	/** Call-in: the card line by line with what was read back, the call written down, and the flag where the plan changed since. */
	import { untrack } from 'svelte';
	import { alike } from '../../state/findings';
	import { addRecord, isWrong } from '../../state/record';
	import { note, restored } from '../../state/remember.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import PaperRow from '../../ui/PaperRow.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { orderWords } from '../../words/order';
	import CallCard from './CallCard.svelte';
	import CallOne from './CallOne.svelte';
	import type { OrderData } from './order.svelte';
	let { data }: { data: OrderData } = $props();
	const words = orderWords.call;
	const store = $derived(data.store);
	const lines = $derived(store.figure?.call_in ?? []);
	const stops = $derived(store.doubts?.stops ?? []);
	const called = $derived(data.called);
	const concrete = $derived(store.figure?.concrete ?? null);
	const key = untrack(() => `${data.store.id}/call`);
	const before = restored<{ ticks: string[]; heard: string; number: string }>(key);
	let ticks = $state<string[]>(before?.ticks ?? []);
	let heard = $state(before?.heard ?? '');
	let number = $state(before?.number ?? '');
	$effect(() => note(key, ticks.length || heard || number ? { ticks: [...ticks], heard, number } : ''));
	let one = $state(false);
	let wrong = $state('');
	const said = $derived(lines.filter((line) => line.says));
	const left = $derived(said.filter((line) => !ticks.includes(line.key)).length);
	const tick = (line: string) => (ticks = ticks.includes(line) ? ticks.filter((other) => other !== line) : [...ticks, line]);
	async function keep() {
		if (!concrete) return;
		const trucks = concrete.ordered.trucks;
		const values = {
			at: local(),
			by: session.who,
			heard_by: heard.trim(),
			number: number.trim(),
			ordered_m3: concrete.order_m3,
			loads_m3: trucks.map((truck) => truck.load_m3),
			spacing_min: store.document?.order.spacing_min ?? null,
			lines: Object.fromEntries(said.filter((line) => ticks.includes(line.key)).map((line) => [line.key, line.says])),
			parts_m3: Object.fromEntries(concrete.parts.map((part) => [part.part, part.m3]))
		};
		const got = await addRecord(store, 'order-called', values, session.who);
		if (isWrong(got)) return void (wrong = got.words);
		wrong = '';
		[ticks, heard, number] = [[], '', ''];
		if (got) await store.load();
		await data.load();
	}
	const lastKey = untrack(() => `${data.store.id}/call-last`);
	let last = $state(restored<string>(lastKey) ?? '');
	$effect(() => note(lastKey, last));
	/** The held load, said during the day: what was firm stays, the last is as it was said. */
	async function keepLast() {
		const trucks = concrete?.ordered.trucks ?? [];
		if (!called || trucks.length < 2) return;
		const [firm, m3] = [trucks.slice(0, -1).map((truck) => truck.load_m3), yards(last)];
		if (m3 === null) return void (wrong = words.lastWrong);
		const values = {
			at: local(),
			by: session.who,
			heard_by: called.heard_by,
			number: called.number,
			ordered_m3: [...firm, m3].reduce((a, b) => a + b, 0),
			loads_m3: [...firm, m3],
			spacing_min: store.document?.order.spacing_min ?? null,
			last: true
		};
		const got = await addRecord(store, 'order-called', values, session.who);
		if (isWrong(got)) return void (wrong = got.words);
		[wrong, last] = ['', ''];
		if (got) await store.load();
		await data.load();
	}
	/** 5 1/2, 5.5 or 5,5 in the job's unit, as m3; null where it is no number. */
	function yards(text: string): number | null {
		const parts = text
			.trim()
			.replace(',', '.')
			.split(/\s+/)
			.map((part) => {
				const [over, under] = part.split('/').map(Number);
				return under === undefined ? (over ?? NaN) : (over ?? NaN) / under;
			});
		const sum = parts.reduce((a, b) => a + b, 0);
		return text.trim() && Number.isFinite(sum) && sum > 0 ? sum * (store.units === 'mm' ? 1 : 0.764554857984) : null;
	}
	/** Now, as a clock on the wall says it. */
	function local(now = new Date()): string {
		return new Date(now.getTime() - now.getTimezoneOffset() * 60000).toISOString().slice(0, 19);
	}
	const text = $derived(
		called?.stale ? words.flag : called ? words.called(called.at.slice(11, 16), called.heard_by, called.number) : words.never
	);
</script>

<Verdict
	{text}
	under={called?.stale ? called.words : left ? words.left(left) : words.all}
	is={called?.stale ? 'bad' : called ? 'good' : 'plain'}
/>
{#if called?.changes.length}
	<h2 class="mt-8">{words.changes}</h2>
	<ul data-changes={called.changes.length}>
		{#each called.changes as change (change.name)}<li class="border-b border-hair py-3"><Frac text={change.words} /></li>{/each}
	</ul>
{/if}
{#if one && !stops.length}
	<CallOne lines={said} {ticks} {tick} />
	<Act kind="plain" class="mt-8" onclick={() => (one = false)}>{words.list}</Act>
{:else}
	<div class="mt-8 hidden max-phone:block">
		{#if !stops.length}<Act kind="main" class="w-full" onclick={() => (one = true)}>{words.one}</Act>{/if}
	</div>
	<div class="mt-10"><CallCard {store} {lines} {stops} {ticks} {tick} /></div>
{/if}
{#if !alike(stops).length}
	<form
		class="mt-12 flex flex-wrap items-end gap-10"
		onsubmit={(event) => {
			event.preventDefault();
			void keep();
		}}
	>
		<label class="min-w-160 flex-1"
			><span class="label">{words.heardBy}</span><input class="well w-full" maxlength="120" bind:value={heard} /></label
		>
		<label class="w-160"
			><span class="label">{words.number}</span><input
				class="well w-full"
				maxlength="60"
				autocomplete="off"
				bind:value={number}
			/></label
		>
		<Act kind="main" type="submit" disabled={!concrete?.ordered.trucks.length}>{words.keep}</Act>
	</form>
	<p class="label mt-4">{words.log}</p>
	{#if called && (concrete?.ordered.trucks.length ?? 0) > 1}
		<form
			class="mt-8 flex flex-wrap items-end gap-10"
			onsubmit={(event) => {
				event.preventDefault();
				void keepLast();
			}}
		>
			<label class="w-260"
				><span class="label">{words.lastName}, {store.units === 'mm' ? 'm³' : 'yd'}</span><input
					class="well w-full"
					autocomplete="off"
					bind:value={last}
				/></label
			>
			<Act kind="plain" type="submit" disabled={!last.trim()}>{words.last}</Act>
		</form>
	{/if}
	{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
{/if}
{#if store.figure?.outline}<PaperRow href="/api/jobs/{store.id}/call.pdf" name={words.sheet} />{/if}
<p class="mt-12 border-t border-hair pt-6 text-note text-ink2">{orderWords.caution}</p>
