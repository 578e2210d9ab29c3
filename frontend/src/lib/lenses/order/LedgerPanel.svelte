<script lang="ts">
	/** The ledger: every part of the order, its loads, second pours, what is doubtful, what this job does otherwise. */
	import type { Concrete } from '../../api/schema';
	import { forOrder } from '../../state/findings';
	import type { JobStore } from '../../state/job.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { orderWords } from '../../words/order';
	import Ledger from './Ledger.svelte';
	import Loads from './Loads.svelte';
	import OwnWays from './OwnWays.svelte';
	import SecondPours from './SecondPours.svelte';
	import Stops from './Stops.svelte';
	let { store, concrete, unit }: { store: JobStore; concrete: Concrete; unit: string } = $props();
	const doubts = $derived(forOrder(store.doubts?.findings ?? store.figure?.findings).filter((one) => one.severity !== 'stop'));
	const stops = $derived(store.doubts?.stops ?? []);
</script>

<Verdict
	text={orderWords.verdict(concrete.ordered.text, unit)}
	under={orderWords.verdictUnder(
		concrete.net_text,
		concrete.ordered.trucks.map((truck) => truck.text),
		stops.length
	)}
	is={stops.length ? 'bad' : 'plain'}
/>
<Stops {store} {stops} />
<div class="mt-8 grid grid-cols-[minmax(0,1.5fr)_minmax(240px,1fr)] items-start gap-18 max-mid:grid-cols-[1fr]">
	<div>
		<Ledger {concrete} {unit} />
	</div>
	<div>
		<Loads ordered={concrete.ordered} {unit} />
		<SecondPours pours={(store.figure?.second_pours ?? []).filter((pour) => !pour.with_slab)} />
		<FindingList findings={doubts} />
		<OwnWays {store} />
		<p class="mt-10 text-note text-ink2">{orderWords.caution}</p>
	</div>
</div>
