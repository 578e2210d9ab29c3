<script lang="ts">
	/** Ground, tab by tab: shots and rod card first, then laser, build-up, falls, stone, trenches as dug, tests. */
	import { onDestroy, untrack } from 'svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import type { XY } from '../../drawing/viewport';
	import FirstActs from '../../shell/FirstActs.svelte';
	import LensFrame from '../../shell/LensFrame.svelte';
	import { inBox, ownsArrows } from '../../shell/keys';
	import type { JobStore } from '../../state/job.svelte';
	import { ground as groundWords } from '../../words/ground';
	import DugPanel from './DugPanel.svelte';
	import FallsPanel from './FallsPanel.svelte';
	import { GroundData } from './ground.svelte';
	import { LaserLink } from './laser.svelte';
	import LaserPanel from './LaserPanel.svelte';
	import OverFalls from './OverFalls.svelte';
	import OverPegs from './OverPegs.svelte';
	import OverPlaces from './OverPlaces.svelte';
	import OverShots from './OverShots.svelte';
	import { Reading } from './reading.svelte';
	import RodPanel from './RodPanel.svelte';
	import ShotsPanel from './ShotsPanel.svelte';
	import StackPanel from './StackPanel.svelte';
	import StonePanel from './StonePanel.svelte';
	import TestsPanel from './TestsPanel.svelte';
	import { Turn } from '../turn.svelte';
	import { groundLens } from './lens';
	import { coarse } from '../../ui/pointer.svelte';
	import RodMark from '../../ui/RodMark.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one of each for the life of this lens)
	const [data, laser] = [new GroundData(store), new LaserLink()];
	let surface = $state(-1);
	const rod = new Reading(data, () => data.state?.ground.rod[surface]?.id ?? null);
	const shot = new Reading(data, () => null);
	let trial = $state.raw<{ at: XY; mm: number }[]>([]);
	let trench = $state(0);
	const stands = $derived(`${store.kept?.revision} ${store.kept?.records}`);
	const turn = new Turn(groundLens);
	const tab = $derived(turn.tab);
	$effect(() => {
		void stands;
		untrack(() => void data.load());
	});
	$effect(() => {
		if (data.state) untrack(begin);
	});
	$effect(() => {
		void tab;
		untrack(() => {
			data.stick = null;
			shot.clear();
			if (data.state) begin();
		});
	});
	onDestroy(() => laser.close());
	const connect = () => laser.connect(store.id, data.layer, data.state?.ground.stands.length ?? 1);
	const outline = $derived(store.figure?.outline ?? null);
	const ring = $derived(store.document?.outline ?? []);
	const marks = $derived((store.document?.ground.benchmarks ?? []) as { name: string; at?: XY | null }[]);
	const also = $derived(tab === 'laser' ? marks.flatMap((row) => (row.at ? [row.at] : [])) : []);
	/** The first look: the rod on the base, and on the worst spot or in the largest gap. */
	function begin() {
		if (surface < 0) chooseSurface(data.state?.ground.rod.findIndex((row) => row.heavy) ?? -1);
		else if (!rod.typed) void rod.check();
		if (tab === 'shots' && data.stick && !shot.typed) void shot.check();
		if (data.stick || tab !== 'shots' || !data.state) return;
		data.stick = data.state.shots.rakes[0]?.at ?? data.state.shots.enough.next_at;
		shot.clear();
	}
	function chooseSurface(index: number) {
		surface = index;
		rod.clear();
	}
	async function stand(at: XY) {
		data.stick = [Math.round(at[0]), Math.round(at[1])];
		if (tab !== 'shots') return;
		shot.clear();
		if (!laser.on) return;
		const mm = await laser.shoot({ at: data.stick });
		if (mm !== null) await shot.take(mm);
	}
	const ARROWS: Record<string, XY> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };
	function keys(event: KeyboardEvent) {
		const arrow = ARROWS[event.key];
		if (!arrow || tab !== 'shots' || !data.stick || inBox(event) || ownsArrows(event)) return;
		const step = store.units === 'mm' ? 250 : 304.8;
		event.preventDefault();
		void stand([data.stick[0] + arrow[0] * step, data.stick[1] + arrow[1] * step]);
	}
	let across = $state(1280);
	const layerName = $derived(data.state?.layers.find((row) => row.key === data.layer)?.name ?? '');
	const held = $derived(data.state?.ground.rod[surface] ?? null);
	const title = $derived(
		coarse.now && tab === 'rod' && held
			? `${held.surface[0]?.toUpperCase()}${held.surface.slice(1)}, ${held.at}`
			: tab === 'shots'
				? coarse.now && shot.where
					? `${layerName[0]?.toUpperCase()}${layerName.slice(1)}, ${shot.where}`
					: `${groundWords.tabs.shots.sheet}: ${layerName}`
				: groundWords.tabs[tab].sheet
	);
</script>

<svelte:window bind:innerWidth={across} onkeydown={keys} />
<LensFrame {turn} name={groundWords.tabsName} ready={outline !== null}>
	{#snippet sheet()}
		<Sheet
			{store}
			{pick}
			{title}
			{also}
			strips={tab === 'dug' || tab === 'shots'}
			labels={!['falls', 'stone'].includes(tab) && (tab !== 'shots' || !data.state?.shots.count)}
			sizes={false}
			letters={tab !== 'shots' && across > 600}
			roving={tab !== 'shots'}
		>
			{#snippet key()}
				{#if tab === 'shots'}<p class="label flex items-center gap-5 max-phone:hidden side:hidden">
						<RodMark is="high" size={12} />
						{groundWords.high}, {groundWords.rakeOff.toLowerCase()}
						<span class="ml-8 flex"><RodMark is="low" size={12} /></span>
						{groundWords.low}, {groundWords.fillIt} <span class="ml-8 flex"><RodMark is="inside" size={12} /></span>
						{groundWords.insideWord}
					</p>{/if}
			{/snippet}
			{#snippet over(view)}
				{#if data.state}
					{#if tab === 'shots'}<OverShots
							{view}
							shots={data.state.shots}
							stick={data.stick}
							trial={trial.map((row) => row.at)}
							roomy={across > 600}
							pick={(at) => void stand(at)}
						/>
					{:else if tab === 'falls'}<OverFalls {view} state={data.state} stick={data.stick} pick={(at) => void stand(at)} />
					{:else if tab === 'stone'}<OverPegs {view} pegs={data.state.ground.pegs} roomy={across > 600} />
					{:else}<OverPlaces
							{view}
							state={data.state}
							{tab}
							{ring}
							picked={trench}
							stick={data.stick}
							benchmarks={marks}
							spot={tab === 'rod' ? (held?.spot ?? null) : null}
							pick={(at) => void stand(at)}
						/>{/if}
				{/if}
			{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<FirstActs jobId={store.id} here="ground" why={groundWords.needOutline} />{/snippet}
	{#if data.problem}<p class="wrong" role="alert">{data.problem}</p>{/if}
	{#if !data.state}<p class="label">{groundWords.loading}</p>
	{:else if tab === 'shots'}<ShotsPanel {data} {laser} box={shot} {connect} bind:trial />
	{:else if tab === 'rod'}<RodPanel {data} {laser} box={rod} {surface} choose={chooseSurface} />
	{:else if tab === 'laser'}<LaserPanel {data} {laser} {connect} />
	{:else if tab === 'stack'}<StackPanel {data} />
	{:else if tab === 'falls'}<FallsPanel {data} />
	{:else if tab === 'stone'}<StonePanel {data} />
	{:else if tab === 'dug'}<DugPanel {data} picked={trench} choose={(index) => (trench = index)} />
	{:else}<TestsPanel {data} />{/if}
</LensFrame>
