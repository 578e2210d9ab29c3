<script lang="ts">
	/** Call-in: the card line by line with what was read back, the call written down, and the flag where the plan changed since. */
	import { untrack } from 'svelte';
	import { alike } from '../../state/findings';
	import { addRecord, isWrong } from '../../state/record';
	import { note, restored } from '../../state/remember.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
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
	<h3 class="mt-8">{words.changes}</h3>
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
	{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
{/if}
<p class="mt-12 border-t border-hair pt-6 text-note text-ink2">{orderWords.caution}</p>
