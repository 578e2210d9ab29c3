<script lang="ts">
	/** Setting, on the board with a wet glove: the next station in large type, one press that keeps it and goes on, or why not. */
	import { addRecord, isWrong } from '../../state/record';
	import { note, restored } from '../../state/remember.svelte';
	import { session } from '../../state/session.svelte';
	import { onTab } from '../../state/findings';
	import PhotoStrip from '../../photos/PhotoStrip.svelte';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { embeds as words } from '../../words/embeds';
	import PaperRow from '../../ui/PaperRow.svelte';
	import BoltCut from './BoltCut.svelte';
	import CrayonMark from './CrayonMark.svelte';
	import type { EmbedsData } from './embeds.svelte';
	import type { ItemTold } from '../../api/schema';
	let { data }: { data: EmbedsData } = $props();
	const store = $derived(data.store);
	const items = $derived(data.items);
	const item = $derived(data.item);
	const next = $derived(item ? data.after(item) : null);
	const left = $derived(items.filter((row) => row.state !== 'set').length);
	const cannot = $derived(items.filter((row) => row.state === 'cannot').length);
	let list = $state(false);
	let asking = $state(false);
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	const key = `${store.id}/set-why`;
	let why = $state(restored<string>(key) ?? '');
	$effect(() => note(key, why));
	let wrong = $state('');
	const nameOf = (row: ItemTold) => (row.kind === 'bolt' ? `${row.n}` : (words.what[row.kind] ?? row.kind));
	async function keep(row: ItemTold, is_set: boolean, said = '') {
		const after = data.after(row);
		const values = { of: row.of, at_mm: row.at_mm, is_set, why: said };
		// the next one stands there at once: a hand that goes on is not moved under its own press
		const asked = asking;
		asking = false;
		if (after) data.holdItem(after.key);
		const got = await addRecord(store, 'embed-set', values, session.who);
		if (isWrong(got)) {
			data.holdItem(row.key);
			[asking, wrong] = [asked, got.words];
			return;
		}
		wrong = '';
		if (said === why) why = '';
		if (got) {
			data.noteKept(values);
			await store.load();
		}
		await data.load();
	}
</script>

<Verdict
	text={items.length ? words.left(left, items.length) : words.settingNone}
	under={cannot ? words.cannotCount(cannot) : ''}
	is={cannot ? 'bad' : items.length && !left ? 'good' : 'plain'}
/>
{#if item && !list}
	<p class="mt-6 flex justify-between gap-10 text-key font-[800]">
		<span>{item.corner ? words.tapeFrom(item.name, item.corner) : item.name}</span><span
			>{item.kind === 'bolt' ? words.bolt(item.n) : words.what[item.kind]}</span
		>
	</p>
	{#if item.at_text}<p class="text-[88px] leading-none font-black font-stretch-[86%] max-phone:text-[80px]" data-station>
			<Frac text={item.at_text} />
		</p>{/if}
	{#if item.strip}<p class="text-note">{words.inStrip(item.strip, item.strip_text)}</p>{/if}
	{#if item.was_text}<p class="mt-4 font-[800] text-flag"><Frac text={words.moved(item.was_text)} /></p>{/if}
	{#if item.state !== 'open'}<p class={['mt-4 font-[800]', item.state === 'set' ? 'text-chalk' : 'text-flag']}>
			{words.state[item.state]}{item.why ? `: ${item.why}` : ''}
		</p>{/if}
	<div class="mt-8 grid grid-cols-1 gap-8">
		<Act kind="main" class="min-h-72! w-full text-call!" onclick={() => void keep(item, true)}
			>{next ? words.setGo(nameOf(item), nameOf(next)) : words.setLast(nameOf(item))}</Act
		>
		<div class="grid grid-cols-2 gap-8">
			<Act kind="plain" aria-expanded={asking} onclick={() => (asking = !asking)}>{words.cannot}</Act>
			<Act kind="plain" onclick={() => (list = true)}>{words.list}</Act>
		</div>
	</div>
	{#if asking}
		<div class="mt-8 grid gap-6">
			{#each words.reasons as reason (reason)}<Act kind="quiet" onclick={() => void keep(item, false, reason)}>{reason}</Act
				>{/each}
			<label class="label">{words.otherReason}<input class="well w-full" maxlength="200" bind:value={why} /></label>
			<Act kind="plain" disabled={!why.trim()} onclick={() => void keep(item, false, why)}>{words.keepIt}</Act>
		</div>
	{/if}
	{#if wrong}<p class="wrong mt-6" role="alert">{wrong}</p>{/if}
	{#if item.kind === 'bolt' && data.found}
		<div class="mt-8 grid grid-cols-[1fr_210px] items-end gap-10 max-phone:grid-cols-1">
			<CrayonMark {item} /><BoltCut found={data.found} edge={item.edge_text} plate={null} />
		</div>
	{/if}
	<PhotoStrip {store} of="embeds/{item.kind}/{item.key.replaceAll('/', '_')}" title="{item.name} {item.at_text}" />
	{#if next?.at_text}<p class="mt-8">{words.then} <b><Frac text={next.at_text} /></b>, {next.name}</p>{/if}
{:else if list}
	<div class="mt-8"><Act kind="plain" onclick={() => (list = false)}>{words.back}</Act></div>
	<ul class="mt-8">
		{#each items as row (row.key)}
			<li class="flex min-h-48 items-center justify-between gap-10 border-b border-hair">
				<button type="button" class="min-h-44 flex-1 text-left" onclick={() => (data.holdItem(row.key), (list = false))}
					><b>{row.kind === 'bolt' ? words.bolt(row.n) : words.what[row.kind]}</b>
					{row.name}
					<Frac text={row.at_text} />
					<span class="label">{words.state[row.state]}{row.strip ? `, ${words.inStrip(row.strip, row.strip_text)}` : ''}</span
					></button
				>
				{#if row.state !== 'set'}<Act
						kind="quiet"
						aria-label="{words.setLast(nameOf(row))}, {row.name}"
						onclick={() => void keep(row, true)}>✓</Act
					>{/if}
			</li>
		{/each}
	</ul>
{/if}
<FindingList findings={onTab(data.findings, 'setting')} />
<h2 class="panel-head">{words.paper}</h2>
<PaperRow href="/api/jobs/{store.id}/embeds.pdf" />
<p class="mt-4" data-day>{data.day || words.later}</p>
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
