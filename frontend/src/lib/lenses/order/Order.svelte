<script lang="ts">
	/** Order: how much do I order? */
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import Bench from '../../shell/Bench.svelte';
	import { forOrder } from '../../state/findings';
	import type { JobStore } from '../../state/job.svelte';
	import { w } from '../../words/words';
	import CallCard from './CallCard.svelte';
	import Ledger from './Ledger.svelte';
	import Loads from './Loads.svelte';
	import SecondPours from './SecondPours.svelte';
	import OwnWays from './OwnWays.svelte';
	import SliceBars from './SliceBars.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	const concrete = $derived(store.figure?.concrete ?? null);
	const unit = $derived(store.units === 'mm' ? 'm³' : 'yd');
	const doubts = $derived(forOrder(store.doubts?.findings ?? store.figure?.findings).filter((one) => one.severity !== 'stop'));
</script>

<Sheet
	{store}
	{pick}
	title={store.units === 'mm' ? w.order.whereM : w.order.where}
	strips
	labels={false}
	sizes={false}
	letters={false}
	footHeight={182}
>
	{#snippet over(view)}
		{#each concrete?.parts ?? [] as part}
			{@const [x, y] = view.px(part.at)}
			<g transform="translate({x} {y})" class="part" data-on-plan={part.letter}>
				<circle r="13" /><text text-anchor="middle" y="5">{part.letter}</text>
				{#if part.kind === 'slab'}<text text-anchor="middle" y="31" class="size">{part.text}</text>{/if}
			</g>
		{/each}
	{/snippet}
	{#snippet foot()}{#if concrete}<SliceBars {concrete} counting={store.counting} units={store.units} {unit} />{/if}{/snippet}
</Sheet>
<Bench question={w.ask.order} jobId={store.id}>
	{#if concrete}
		<div class="two">
			<div class="count">
				<Ledger {concrete} {unit} />
				<Loads ordered={concrete.ordered} {unit} />
				<SecondPours pours={store.figure?.second_pours ?? []} />
				{#each doubts as doubt}<p class="wrong" data-finding={doubt.code}>{doubt.words} {doubt.remedy}</p>{/each}
				<OwnWays {store} />
				<p class="caution">{w.order.caution}</p>
			</div>
			<CallCard {store} lines={store.figure?.call_in ?? []} stops={store.doubts?.stops ?? []} />
		</div>
	{:else}<p>{w.order.needOutline}</p>{/if}
</Bench>

<style>
	.two {
		display: grid;
		grid-template-columns: minmax(0, 1.25fr) minmax(280px, 1fr);
		gap: 18px;
		align-items: start;
	}
	.part circle {
		fill: var(--color-well);
		stroke: var(--color-ink);
		stroke-width: 1.8;
	}
	.part text {
		font-weight: 780;
		font-size: 15px;
		fill: var(--color-ink);
	}
	.part .size {
		font-size: 14px;
		font-weight: 640;
		paint-order: stroke;
		stroke: var(--color-slab);
		stroke-width: 5px;
	}
	.caution {
		margin-top: 10px;
		font-size: 13.5px;
		color: var(--color-ink2);
	}
	@media (max-width: 860px) {
		.two {
			grid-template-columns: 1fr;
		}
	}
	@media print {
		.two {
			display: block;
		}
		.count {
			display: none;
		}
	}
</style>
