<script lang="ts">
	/** Radiant tube: which rooms, how long each loop runs against the longest, how the held one is laid, what is cut from which coil. */
	import { onTab } from '../../state/findings';
	import type { Edit } from '../../state/job.svelte';
	import Choice from '../../ui/Choice.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Switch from '../../ui/Switch.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { tubing as words } from '../../words/tubing';
	import CoilBars from './CoilBars.svelte';
	import LoopStrings from './LoopStrings.svelte';
	import RoomCall from './RoomCall.svelte';
	import TubeFields from './TubeFields.svelte';
	import PrintSheet from './PrintSheet.svelte';
	import type { UnderslabData } from './underslab.svelte';
	let { data }: { data: UnderslabData } = $props();
	const store = $derived(data.store);
	const laid = $derived(data.tubing);
	const loops = $derived(laid?.loops ?? []);
	const loop = $derived(data.loop);
	const over = $derived(loops.filter((one) => one.over).length);
	const heated = $derived(store.document?.underslab?.heated ?? []);
	const zones = $derived(store.document?.zones ?? []);
	const warm = (id: string) => heated.some((row) => row.zone === id);
	const LEGS = 12;
	let all = $state(false);
	const shown = $derived(loop ? (all ? loop.calls : loop.calls.slice(0, LEGS)) : []);
</script>

<Verdict
	text={!laid
		? words.none
		: !loops.length
			? words.noLoop
			: over
				? words.long(loops.length, laid.total_text)
				: words.total(laid.total_text, loops.length)}
	is={over || (laid && !loops.length) ? 'bad' : 'plain'}
	under={laid && loops.length ? words.under(laid.area_text, laid.cover_text) : laid ? '' : words.noneUnder}
/>
<p class="label mt-8">{words.zones}</p>
<div class="flex flex-wrap gap-4">
	{#each zones as zone (zone.id)}
		<Switch on={warm(zone.id ?? '')} set={(on) => void store.keep([{ op: 'heat_zone', zone: zone.id, on } as Edit], 'heat')}
			>{zone.name}</Switch
		>
	{/each}
</div>
<FindingList findings={onTab(data.tubingFindings, 'tubing')} />
{#if laid && loop}
	<LoopStrings {laid} {loop} hold={(n) => data.holdLoop(n)} />
	{#if loops.length > 1}<div class="mt-8">
			<Choice
				name={words.which}
				rows={loops.map((one) => ({ value: `${one.n}`, label: `${one.n}` }))}
				value={`${loop.n}`}
				pick={(now) => now && data.holdLoop(Number(now))}
			/>
		</div>{/if}
	<h2 class="panel-head">{words.lay(loop.n, loop.room)}</h2>
	<ol class="flex flex-wrap border-t-[1.5px] border-ink">
		{#each shown as call, i}<li
				class="grid min-h-34 min-w-90 flex-1 place-items-center border-r border-b border-hair px-8 font-[680]"
				value={i + 1}
			>
				<span><Frac text={call} /></span>
			</li>{/each}
	</ol>
	{#if loop.calls.length > LEGS}<p class="mt-4">
			<Switch on={all} set={(on) => (all = on)}>{all ? words.fewer : words.legs(loop.calls.length)}</Switch>
		</p>{/if}
	<CoilBars {laid} held={loop.n} />
	<p class="mt-6">{store.units === 'mm' ? words.tiesMm(laid.ties) : words.ties(laid.ties)}.</p>
{/if}
{#if laid}<TubeFields {data} />{/if}
<RoomCall {data} />
<PrintSheet job={store.id} />
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
