<script lang="ts">
	/** Trucks: the pour played with its spacing, what each spacing costs, days by chance, what it rests on. */
	import { onMount } from 'svelte';
	import { onTab } from '../../state/findings';
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import Field from '../../ui/Field.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { orderWords } from '../../words/order';
	import { dollars } from './board';
	import type { OrderData } from './order.svelte';
	import PlayBar from './PlayBar.svelte';
	import SpacingCurve from './SpacingCurve.svelte';
	import TruckTape from './TruckTape.svelte';
	import TwentyDays from './TwentyDays.svelte';
	let { data }: { data: OrderData } = $props();
	const words = orderWords.trucks;
	const store = $derived(data.store);
	const told = $derived(data.delivery);
	const plan = $derived(store.document);
	const per = $derived(store.units === 'mm' ? 1 : 0.764554857984);
	const spacing = $derived(told ? `${+told.spacing_min.toFixed(0)}` : '');
	const trial = $derived(data.spacing !== null && data.spacing !== (plan?.order.spacing_min ?? null));
	const lates = $derived(Object.entries(data.late).filter(([, minutes]) => minutes));
	const waits = $derived((told?.waits_min ?? []).map(Math.round).filter((one) => one > 0));
	const bad = $derived(onTab(data.findings, 'trucks').length > 0);
	onMount(() => () => {
		data.minutes = null;
		data.spacing = null;
		data.late = {};
		data.seed = 1;
	});
	const under = $derived.by(() => {
		if (!told) return '';
		const money = told.charge_cents >= 50 ? words.charge(dollars(told.charge_cents)) : words.noCharge;
		const unsaid = !told.spacing_said && told.trucks.length > 1 ? ` ${words.unsaid}` : '';
		return `${money} ${words.stands(Math.round(told.idle_min), told.done_text)}${unsaid}`;
	});
	async function keep() {
		if (data.spacing === null) return;
		if (await data.set({ 'order.spacing_min': data.spacing }, 'spacing')) data.spacing = null;
		await data.load();
	}
	const number = (text: string) => (text.trim() === '' ? null : Number(text.replace(',', '.')));
	const methods = (['chute', 'pump', 'barrows', 'conveyor'] as const).map((value) => ({
		value,
		label: orderWords.methods[value]
	}));
</script>

{#if told}
	<Verdict
		text={told.trucks.length === 1 ? words.one : trial || lates.length ? words.ask(spacing) : words.verdict(spacing)}
		{under}
		is={bad && !trial ? 'bad' : 'plain'}
	/>
	<div class="flex flex-wrap gap-8 not-empty:mt-6">
		{#if trial || (!told.spacing_said && told.trucks.length > 1)}<Act
				kind="main"
				onclick={() => {
					data.spacing ??= told.spacing_min;
					void keep();
				}}>{words.keep(spacing)}</Act
			>{/if}
		{#if trial || lates.length}<Act kind="plain" onclick={() => data.letTrucksGo()}>{orderWords.letGo}</Act>{/if}
		{#each lates as [load, minutes] (load)}<span class="self-center font-[760] text-flag"
				>{words.late(Number(load) + 1, minutes)}</span
			>{/each}
	</div>
	{#if store.problemFor('spacing')}<p class="wrong" role="alert">{store.problemFor('spacing')?.detail}</p>{/if}
	<div class="mt-8 hidden max-phone:block"><PlayBar {data} {told} /></div>
	<div class="mt-8"><TruckTape {data} {told} /></div>
	<dl class="mt-4 grid grid-cols-4 gap-10 border-y-2 border-ink py-6 max-phone:grid-cols-2">
		<div data-of-pour="wait">
			<dt class="label">{words.wait}</dt>
			<dd class="text-ask font-black">
				{waits.length ? `${waits.slice(0, 4).join(' + ')}${waits.length > 4 ? ' …' : ''}` : '0'} min
			</dd>
			<dd class="text-label">{words.free(Math.round(told.free_min[0] ?? 0))}</dd>
		</div>
		<div data-of-pour="joint">
			<dt class="label">{words.joint}</dt>
			<dd class={['text-ask font-black', told.joint.age_min > told.joint.limit_min && 'text-flag']}>
				{Math.round(told.joint.age_min)} min
			</dd>
			<dd class="text-label">{words.about(Math.round(told.joint.limit_min / 5) * 5)}</dd>
		</div>
		<div data-of-pour="latest">
			<dt class="label">{words.latest}</dt>
			<dd class={['text-ask font-black', told.discharge_max_min > told.load_limit_min && 'text-flag']}>
				{Math.round(told.discharge_max_min)} min
			</dd>
			<dd class="text-label">{words.limit(told.load_limit_min)}</dd>
		</div>
		<div data-of-pour="charge">
			<dt class="label">{words.waiting}</dt>
			<dd class="text-ask font-black">{dollars(told.charge_cents)}</dd>
			<dd class={['text-label', told.crew_h > told.day_h && 'font-[720] text-flag']}>
				{words.crewHours(told.crew_h.toFixed(1))}
			</dd>
		</div>
	</dl>
	<FindingList findings={data.doubts('trucks')} />
	<div class="grid grid-cols-[minmax(0,1fr)_250px] gap-18 max-mid:grid-cols-1">
		<div>
			{#if told.spacings.length}<SpacingCurve {told} go={(minutes) => data.space(minutes)} />{/if}
		</div>
		<div><TwentyDays {told} seed={data.seed} other={() => ((data.seed += 20), void data.load())} /></div>
	</div>
	<h2 class="mt-12">{words.rests}</h2>
	<Choice
		rows={methods}
		value={plan?.order.method ?? null}
		pick={(method) => method && void data.set({ 'order.method': method }, 'rest-method')}
		name={orderWords.fields['order.method']}
		class="mt-6"
	/>
	<div class="mt-6 grid grid-cols-4 gap-10 max-phone:grid-cols-2">
		<Field
			label={words.travel}
			value={`${told.travel_min}`}
			problem={store.problemFor('rest-travel')}
			keep={(text) => data.set({ 'order.travel_min': number(text) }, 'rest-travel')}
		/>
		<Field
			label={words.place(store.units === 'mm' ? 'm³' : 'yd')}
			value={`${+(60 / Number(told.pace_text)).toFixed(1)}`}
			problem={store.problemFor('rest-place')}
			keep={(text) => {
				const said = number(text);
				return data.set({ 'order.place_m3_h': said === null ? null : said * per }, 'rest-place');
			}}
		/>
		<Field
			label={words.places}
			value={`${told.places}`}
			problem={store.problemFor('rest-places')}
			keep={(text) => data.set({ 'order.places': number(text) }, 'rest-places')}
		/>
		<Field
			label={words.fleet}
			value={`${told.fleet}`}
			problem={store.problemFor('rest-fleet')}
			keep={(text) => data.set({ 'order.fleet': number(text) }, 'rest-fleet')}
		/>
	</div>
	<p class="mt-10 text-note text-ink2">{words.caution}</p>
{:else}<Verdict text={data.loading ? '' : words.none} />{/if}
