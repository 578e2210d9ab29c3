<script lang="ts">
	/** Order: how much do I order? */
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import FirstActs from '../../shell/FirstActs.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import LensFrame from '../../shell/LensFrame.svelte';
	import { Turn } from '../turn.svelte';
	import { orderLens } from './lens';
	import { forOrder } from '../../state/findings';
	import type { JobStore } from '../../state/job.svelte';
	import { orderWords } from '../../words/order';
	import CallCard from './CallCard.svelte';
	import Ledger from './Ledger.svelte';
	import Loads from './Loads.svelte';
	import SecondPours from './SecondPours.svelte';
	import OwnWays from './OwnWays.svelte';
	import SliceBars from './SliceBars.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	const turn = new Turn(orderLens);
	const concrete = $derived(store.figure?.concrete ?? null);
	const unit = $derived(store.units === 'mm' ? 'm³' : 'yd');
	const doubts = $derived(forOrder(store.doubts?.findings ?? store.figure?.findings).filter((one) => one.severity !== 'stop'));
</script>

<LensFrame {turn} ready={concrete !== null}>
	{#snippet sheet()}
		<Sheet
			{store}
			{pick}
			title={store.units === 'mm' ? orderWords.whereM : orderWords.where}
			strips
			labels={false}
			sizes={false}
			letters={false}
			footHeight={182}
		>
			{#snippet over(view)}
				{#each concrete?.parts ?? [] as part}
					{@const [x, y] = view.px(part.at)}
					<g transform="translate({x} {y})" data-on-plan={part.letter}>
						<circle class="fill-well stroke-ink stroke-[1.8px]" r="13" /><text
							class="fill-ink text-body font-heavy"
							text-anchor="middle"
							y="5">{part.letter}</text
						>
						{#if part.kind === 'slab'}<text
								text-anchor="middle"
								y="31"
								class="fill-ink stroke-slab stroke-5 text-note font-mid [paint-order:stroke]">{part.text}</text
							>{/if}
					</g>
				{/each}
			{/snippet}
			{#snippet foot()}{#if concrete}<SliceBars {concrete} counting={store.counting} units={store.units} {unit} />{/if}{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="order" why={orderWords.needOutline} />{/snippet}
	{#if concrete}
		<div class="print:hidden">
			<Verdict
				text={orderWords.verdict(concrete.ordered.text, unit)}
				under={orderWords.verdictUnder(
					concrete.net_text,
					concrete.ordered.trucks.map((truck) => truck.text),
					(store.doubts?.stops ?? []).length
				)}
				is={(store.doubts?.stops ?? []).length ? 'bad' : 'plain'}
			/>
		</div>
		<div
			class={[
				'mt-8 grid grid-cols-[minmax(0,1.25fr)_minmax(280px,1fr)] items-start gap-18 max-mid:grid-cols-[1fr]',
				'print:block'
			]}
		>
			<div class="count print:hidden">
				<Ledger {concrete} {unit} />
				<Loads ordered={concrete.ordered} {unit} />
				<SecondPours pours={(store.figure?.second_pours ?? []).filter((pour) => !pour.with_slab)} />
				<FindingList findings={doubts} />
				<OwnWays {store} />
				<p class="mt-10 text-note text-ink2">{orderWords.caution}</p>
			</div>
			<CallCard {store} lines={store.figure?.call_in ?? []} stops={store.doubts?.stops ?? []} />
		</div>
	{/if}</LensFrame
>
