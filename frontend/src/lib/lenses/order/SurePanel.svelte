<script lang="ts">
	/** How sure: twenty pours and the board, short against long, the held load, what takes the rest. */
	import { untrack } from 'svelte';
	import { note, restored } from '../../state/remember.svelte';
	import { session } from '../../state/session.svelte';
	import { onTab } from '../../state/findings';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { orderWords } from '../../words/order';
	import { dollars, rowOf, shortOf } from './board';
	import DoubtRows from './DoubtRows.svelte';
	import HoldString from './HoldString.svelte';
	import type { OrderData } from './order.svelte';
	import ShortLong from './ShortLong.svelte';
	import SpareRows from './SpareRows.svelte';
	import TwentyPours from './TwentyPours.svelte';
	let { data }: { data: OrderData } = $props();
	const words = orderWords.sure;
	const store = $derived(data.store);
	const told = $derived(data.sure);
	const row = $derived(told ? rowOf(told, data.order) : null);
	const trial = $derived(!!told && Math.abs(data.order - told.called.order_m3) > 1e-6);
	const isBest = $derived(!!told && Math.abs(data.order - told.best.order_m3) < 1e-6);
	const own = $props.id();
	const key = untrack(() => `${data.store.id}/order-why`);
	let why = $state(restored<string>(key) ?? '');
	$effect(() => note(key, why));
	const reason = $derived(why.trim() || (isBest ? words.bestWhy : ''));
	const under = $derived.by(() => {
		if (!told || !row) return '';
		if (told.pours_m3.length < 2) return words.nothing;
		const said = told.said && !trial ? ` ${words.said(told.by, told.why)}` : '';
		return `${words.short(shortOf(told.pours_m3, data.order))}, ${words.left(row.left_text, told.unit)}${said}`;
	});
	async function say() {
		if (!row) return;
		const said = why;
		const kept = await data.keep({ op: 'say_order', ordered: row.order_m3, why: reason, by: session.who }, 'say-order');
		if (!kept) return;
		data.board = null;
		if (why === said) why = '';
	}
	async function drop() {
		if (await data.keep({ op: 'drop_order' }, 'say-order')) data.board = null;
	}
	const under_drawn = $derived(onTab(data.findings, 'sure').some((one) => one.code === 'order-under-drawn'));
</script>

{#if told && row}
	<Verdict
		text={trial ? words.ask(row.text, told.unit) : orderWords.verdict(row.text, told.unit)}
		{under}
		is={under_drawn && !trial ? 'bad' : 'plain'}
	/>
	{#if trial}
		<div class="mt-6 flex flex-wrap items-end gap-8">
			<label class="min-w-200 flex-1" for={own}
				><span class="label">{words.why}</span>
				<input id={own} class="well w-full" maxlength="200" placeholder={isBest ? words.bestWhy : ''} bind:value={why} /></label
			>
			<Act kind="main" disabled={!reason} onclick={() => void say()}><Frac text={words.overrule(row.text, told.unit)} /></Act>
			<Act kind="plain" onclick={() => (data.board = null)}>{orderWords.letGo}</Act>
		</div>
	{:else if told.said}
		<p class="mt-4"><Act kind="quiet" onclick={() => void drop()}>{words.drop}</Act></p>
	{/if}
	{#if store.problemFor('say-order')}<p class="wrong" role="alert">{store.problemFor('say-order')?.detail}</p>{/if}
	<div class="mt-8"><TwentyPours {told} order={data.order} go={(m3) => (data.board = m3)} /></div>
	<div class="grid grid-cols-[minmax(0,1.5fr)_minmax(250px,1fr)] gap-18 max-mid:grid-cols-1">
		<div><ShortLong {told} order={data.order} go={(m3) => (data.board = m3)} /></div>
		<div class="border-l-2 border-ink pl-14 max-mid:border-0 max-mid:pl-0">
			{#if told.hold}<HoldString hold={told.hold} unit={told.unit} />{:else}<p class="mt-8">{words.noHold}</p>{/if}
		</div>
	</div>
	{#if told.saves_cents !== null && told.saves_cents > 500}
		<p class="mt-8">
			{words.saves(dollars(told.saves_cents))}
			<a class="inline-flex min-h-44 items-center font-semibold underline" href="/job/{store.id}/ground?tab=shots"
				>{words.shoot}</a
			>
		</p>
	{/if}
	<FindingList findings={data.doubts('sure')} />
	<div class="mt-12 hidden max-phone:block"><DoubtRows {data} {told} /></div>
	<SpareRows {data} {told} />
	<p class="mt-10 text-note"><a class="inline-flex min-h-44 items-center underline" href="/ways">{words.decide}</a></p>
{:else}<Verdict text={words.none} />{/if}
