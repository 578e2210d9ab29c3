<script lang="ts">
	/** The day: when to start, how fast it dries, the set clock of every load, what buys time, prints, and what it rests on. */
	import { onDestroy } from 'svelte';
	import Field from '../../ui/Field.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { gateWords as words } from '../../words/gate';
	import AroundRows from './AroundRows.svelte';
	import BuysRows from './BuysRows.svelte';
	import DryString from './DryString.svelte';
	import type { DayData } from './gate.svelte';
	import PlaceFields from './PlaceFields.svelte';
	import PrintAct from './PrintAct.svelte';
	import Ribbons from './Ribbons.svelte';
	import RibbonWhy from './RibbonWhy.svelte';
	import StartKnots from './StartKnots.svelte';
	import SunTape from './SunTape.svelte';
	import WeatherBox from './WeatherBox.svelte';
	let { data }: { data: DayData } = $props();
	const store = $derived(data.store);
	const sheet = $derived(data.sheet);
	const missing = $derived(data.missing);
	let wide = $state(636);
	const bad = $derived(sheet !== null && sheet.best_h === null);
	onDestroy(() => (data.peg = null));
</script>

<div bind:clientWidth={wide} data-counting={data.counting !== null}>
	{#if missing}
		<Verdict text={words.missing[missing] ?? ''} under={words.missing[`${missing}How`] ?? ''} />
		{#if missing === 'day'}<div class="mt-10 max-w-320">
				<Field
					label={words.firstTruck}
					value=""
					type="datetime-local"
					problem={store.problemFor('pour-day')}
					keep={(text) => data.set({ 'order.pour_at': text || null }, 'pour-day')}
				/>
			</div>{/if}
	{:else if sheet}
		<Verdict text={sheet.verdict} under={sheet.words} is={bad ? 'bad' : 'plain'} />
	{:else if data.counting !== null}
		<Verdict text="…" under={words.counting(data.counting)} />
	{:else if data.state}<Verdict text={words.missing['none'] ?? ''} />{/if}
	{#if sheet && !missing}
		<!-- in the hand the heel and the hour come first -->
		<div class="flex flex-col">
			<div class="order-3 max-phone:order-1"><PrintAct {data} {sheet} /></div>
			{#if sheet.place && data.moment}<div class="order-1 hidden max-phone:block">
					<SunTape {data} {sheet} width={wide} />
					<p class="mt-4 text-note"><b>{data.moment.text}</b> {data.moment.words}</p>
				</div>{/if}
			<div class="order-2">
				<DryString {data} {sheet} {wide} />
				<Ribbons {data} {sheet} {wide} />
				<RibbonWhy {data} />
				<div class="mt-10 grid grid-cols-[minmax(0,1fr)_260px] gap-18 border-t-2 border-ink pt-8 max-mid:grid-cols-1">
					<StartKnots {data} {sheet} />
					<BuysRows {data} {sheet} />
				</div>
			</div>
		</div>
		<FindingList findings={data.findings} />
	{/if}
	{#if data.wrong}<p class="wrong" role="alert">{data.wrong}</p>{/if}
	{#if store.problemFor('day')}<p class="wrong" role="alert">{store.problemFor('day')?.detail}</p>{/if}
	<WeatherBox {data} {sheet} open={missing === 'weather'} />
	<AroundRows {data} />
	<PlaceFields {data} open={sheet !== null && !sheet.place} />
	<p class="mt-12 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
</div>
