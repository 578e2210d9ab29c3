<script lang="ts">
	/** Order: the ledger, how sure it is, the mix, the trucks, the cost, the call to the plant. */
	import { untrack } from 'svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import FirstActs from '../../shell/FirstActs.svelte';
	import LensFrame from '../../shell/LensFrame.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { orderWords as words } from '../../words/order';
	import { Turn } from '../turn.svelte';
	import CallPanel from './CallPanel.svelte';
	import CostPanel from './CostPanel.svelte';
	import DoubtRows from './DoubtRows.svelte';
	import HeatPlank from './HeatPlank.svelte';
	import LedgerPanel from './LedgerPanel.svelte';
	import { orderLens } from './lens';
	import MixPanel from './MixPanel.svelte';
	import { OrderData } from './order.svelte';
	import OverLedger from './OverLedger.svelte';
	import OverMix from './OverMix.svelte';
	import OverSure from './OverSure.svelte';
	import OverTrucks from './OverTrucks.svelte';
	import PlayBar from './PlayBar.svelte';
	import SliceBars from './SliceBars.svelte';
	import SurePanel from './SurePanel.svelte';
	import TrucksPanel from './TrucksPanel.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one for the life of this lens)
	const data = new OrderData(store);
	const turn = new Turn(orderLens);
	const tab = $derived(turn.tab);
	const concrete = $derived(store.figure?.concrete ?? null);
	const unit = $derived(store.units === 'mm' ? 'm³' : 'yd');
	$effect(() => {
		void [store.kept?.revision, store.kept?.records, store.draft];
		data.tab = tab;
		untrack(() => void data.load());
	});
	const title = $derived(tab === 'ledger' && store.units === 'mm' ? words.whereM : words.sheets[tab]);
	const FEET = { ledger: 182, sure: 70, mix: 244, trucks: 122, cost: 0, call: 0 } as const;
	const foot_px = $derived(tab === 'sure' ? FEET.sure + 46 * (data.sure?.doubts.length ?? 5) : FEET[tab]);
	const also = $derived(tab === 'trucks' ? (store.document?.screed.standing ?? []).map((row) => row.at as [number, number]) : []);
</script>

<LensFrame {turn} name={words.tabsName} ready={concrete !== null}>
	{#snippet sheet()}
		<Sheet
			{store}
			{pick}
			{title}
			{also}
			strips={tab !== 'trucks' && tab !== 'mix'}
			flat={tab === 'trucks'}
			labels={false}
			sizes={false}
			letters={false}
			footHeight={foot_px}
			clear={tab === 'sure' ? 40 : 0}
		>
			{#snippet over(view)}
				{#if tab === 'sure'}{#if data.sure}<OverSure
							{view}
							told={data.sure}
							ring={(store.document?.outline ?? []) as [number, number][]}
						/>{/if}
				{:else if tab === 'trucks'}{#if data.delivery}<OverTrucks {view} {data} told={data.delivery} />{/if}
				{:else if tab === 'mix'}<OverMix {view} {data} />
				{:else if tab === 'ledger'}<OverLedger {view} parts={concrete?.parts ?? []} />{/if}
			{/snippet}
			{#snippet foot(width)}
				{#if tab === 'ledger' && concrete}<SliceBars {concrete} counting={store.counting} units={store.units} {unit} />
				{:else if tab === 'sure' && data.sure}<div class="absolute inset-x-20 bottom-8">
						<DoubtRows {data} told={data.sure} />
					</div>
				{:else if tab === 'trucks' && data.delivery}<div class="absolute inset-x-20 bottom-8">
						<PlayBar {data} told={data.delivery} keys />
					</div>
				{:else if tab === 'mix' && data.heat}<div class="absolute inset-x-0 bottom-6 border-t-2 border-ink pt-6">
						<h2 class="px-20">{words.mix.heat}</h2>
						<p class="label px-20">{words.mix.heatHow}</p>
						<HeatPlank heat={data.heat} units={store.units} wide={width} />
					</div>{/if}
			{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="order" why={words.needOutline} />{/snippet}
	{#if data.problem && !store.trying.length}<p class="wrong" role="alert">{data.problem}</p>{/if}
	{#if concrete}
		{#if tab === 'ledger'}<LedgerPanel {store} {concrete} {unit} />
		{:else if tab === 'sure'}<SurePanel {data} />
		{:else if tab === 'mix'}<MixPanel {data} />
		{:else if tab === 'trucks'}<TrucksPanel {data} />
		{:else if tab === 'cost'}<CostPanel {data} />
		{:else}<CallPanel {data} />{/if}
	{/if}
</LensFrame>
