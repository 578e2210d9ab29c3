<script lang="ts">
	/** Gate: may we pour? Its day: sun and shade over the plan, drying, the set clock, when to start. */
	import { onDestroy, untrack } from 'svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import { boundsOf } from '../../drawing/viewport';
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
	const NEAR = 0.17;
	/* what stands about is on the sheet as far as it is near; the slab keeps most of the room */
	const also = $derived.by(() => {
		const ring = (store.document?.outline ?? []) as [number, number][];
		const rows = (data.state?.blocking ?? []).flatMap((one) => one.ring as [number, number][]);
		if (!ring.length || !rows.length) return [];
		const box = boundsOf(ring);
		const near = NEAR * Math.max(box.x1 - box.x0, box.y1 - box.y0);
		return rows.map(([x, y]): [number, number] => [
			Math.min(Math.max(x, box.x0 - near), box.x1 + near),
			Math.min(Math.max(y, box.y0 - near), box.y1 + near)
		]);
	});
</script>

<LensFrame {turn} name={words.tabsName} {ready}>
	{#snippet sheet()}
		<Sheet
			{store}
			{pick}
			title={words.sheet}
			labels={false}
			sizes={false}
			letters={false}
			strips={false}
			{also}
			footHeight={data.sheet?.place ? 150 : 0}
			clear={20}
		>
			{#snippet key()}{#if moment}<p class="mt-2 flex items-start gap-12 max-phone:gap-8" data-moment>
						<b class="text-verdict leading-none font-black font-stretch-[90%] max-phone:text-ask">{moment.text}</b>
						<span class="max-w-360 text-note max-phone:hidden"><Frac text={moment.words} /></span>
					</p>{/if}{/snippet}
			{#snippet over(view)}<OverDay {view} {data} />{/snippet}
			{#snippet foot(width)}{#if data.sheet?.place}<SunTape {data} sheet={data.sheet} {width} foot />{/if}{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="gate" why={words.needOutline} />{/snippet}
	{#if data.problem && !store.trying.length}<p class="wrong" role="alert">{data.problem}</p>{/if}
	<DayPanel {data} />
</LensFrame>
