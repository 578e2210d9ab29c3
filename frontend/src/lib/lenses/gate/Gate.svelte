<script lang="ts">
	/** Gate: may we pour? Its day: sun and shade over the plan, drying, the set clock, when to start. */
	import { onDestroy, untrack } from 'svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import FirstActs from '../../shell/FirstActs.svelte';
	import LensFrame from '../../shell/LensFrame.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { gateWords as words } from '../../words/gate';
	import { Turn } from '../turn.svelte';
	import DayPanel from './DayPanel.svelte';
	import { DayData } from './gate.svelte';
	import { gateLens } from './lens';
	import OverDay from './OverDay.svelte';
	import SunTape from './SunTape.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one for the life of this lens)
	const data = new DayData(store);
	const turn = new Turn(gateLens);
	const ready = $derived((store.figure?.concrete ?? null) !== null);
	$effect(() => {
		void [store.kept?.revision, store.kept?.records, store.draft];
		untrack(() => void data.load());
	});
	onDestroy(() => data.leave());
	const moment = $derived(data.moment);
	/* what stands about is drawn where it is near; a loft far off stays off the sheet */
	const also = $derived((data.state?.blocking ?? []).flatMap((one) => one.ring as [number, number][]));
</script>

<LensFrame {turn} name={words.tabsName} {ready}>
	{#snippet sheet()}
		<Sheet
			{store}
			{pick}
			title={moment ? moment.text : words.sheet}
			labels={false}
			sizes={false}
			letters={false}
			strips={false}
			{also}
			footHeight={data.sheet?.place ? 150 : 0}
			clear={20}
		>
			{#snippet key()}{#if moment}<p class="max-w-420 text-note" data-moment>
						<Frac text={moment.words} />
					</p>{/if}{/snippet}
			{#snippet over(view)}<OverDay {view} {data} />{/snippet}
			{#snippet foot(width)}{#if data.sheet?.place}<SunTape {data} sheet={data.sheet} {width} />{/if}{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="gate" why={words.needOutline} />{/snippet}
	{#if data.problem && !store.trying.length}<p class="wrong" role="alert">{data.problem}</p>{/if}
	<DayPanel {data} />
</LensFrame>
