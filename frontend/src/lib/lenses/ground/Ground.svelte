<script lang="ts">
	/** Ground, turn by turn: shots and rod card first, then laser, build-up, falls, stone, trenches as dug, tests. */
	import { onDestroy, untrack } from 'svelte';
	import { page } from '$app/state';
	import Sheet from '../../drawing/Sheet.svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import type { XY } from '../../drawing/viewport';
	import Bench from '../../shell/Bench.svelte';
	import Turns from '../../shell/Turns.svelte';
	import { inBox } from '../../shell/keys';
	import type { JobDesk } from '../../state/job.svelte';
	import { w } from '../../words/words';
	import DugDesk from './DugDesk.svelte';
	import FallsDesk from './FallsDesk.svelte';
	import { GroundData } from './ground.svelte';
	import { LaserLink } from './laser.svelte';
	import LaserDesk from './LaserDesk.svelte';
	import OverFalls from './OverFalls.svelte';
	import OverPegs from './OverPegs.svelte';
	import OverPlaces from './OverPlaces.svelte';
	import OverShots from './OverShots.svelte';
	import { Reading } from './reading.svelte';
	import RodDesk from './RodDesk.svelte';
	import ShotsDesk from './ShotsDesk.svelte';
	import StackDesk from './StackDesk.svelte';
	import StoneDesk from './StoneDesk.svelte';
	import TestsDesk from './TestsDesk.svelte';
	import { isTurn, questionOf, TURNS, type Turn } from './turns';
	let { desk, pick }: { desk: JobDesk; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one of each for the life of this lens)
	const [data, laser] = [new GroundData(desk), new LaserLink()];
	let surface = $state(-1);
	const rod = new Reading(data, () => data.state?.ground.rod[surface]?.id ?? null);
	const shot = new Reading(data, () => null);
	let trial = $state.raw<{ at: XY; mm: number }[]>([]);
	let trench = $state(0);
	const revision = $derived(desk.kept?.revision);
	const turn = $derived.by((): Turn => {
		const asked = page.url.searchParams.get('turn');
		return isTurn(asked) ? asked : 'shots';
	});
	$effect(() => {
		void revision;
		untrack(() => void data.load());
	});
	$effect(() => {
		if (data.state) untrack(begin);
	});
	$effect(() => {
		void turn;
		untrack(() => {
			data.stick = null;
			shot.clear();
			if (data.state) begin();
		});
	});
	onDestroy(() => laser.close());
	const connect = () => laser.connect(desk.id, data.layer, data.state?.ground.stands.length ?? 1);
	const outline = $derived(desk.figure?.outline ?? null);
	const ring = $derived((desk.document?.outline ?? []));
	const marks = $derived((desk.document?.ground.benchmarks ?? []) as { name: string; at?: XY | null }[]);
	const also = $derived(turn === 'laser' ? marks.flatMap((row) => (row.at ? [row.at] : [])) : []);
	/** The first look: the rod on the base, and on the worst spot or in the largest gap. */
	function begin() {
		if (surface < 0) chooseSurface(data.state?.ground.rod.findIndex((row) => row.heavy) ?? -1);
		else if (!rod.typed) void rod.check();
		if (turn === 'shots' && data.stick && !shot.typed) void shot.check();
		if (data.stick || turn !== 'shots' || !data.state) return;
		data.stick = (data.state.shots.rakes[0]?.at ?? data.state.shots.enough.next_at);
		shot.clear();
	}
	function chooseSurface(index: number) {
		surface = index;
		rod.clear();
	}
	async function stand(at: XY) {
		data.stick = [Math.round(at[0]), Math.round(at[1])];
		if (turn !== 'shots') return;
		shot.clear();
		if (!laser.on) return;
		const mm = await laser.shoot({ at: data.stick });
		if (mm !== null) await shot.take(mm);
	}
	const ARROWS: Record<string, XY> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };
	function keys(event: KeyboardEvent) {
		const arrow = ARROWS[event.key];
		if (!arrow || turn !== 'shots' || !data.stick || inBox(event)) return;
		const step = desk.units === 'mm' ? 250 : 304.8;
		event.preventDefault();
		void stand([data.stick[0] + arrow[0] * step, data.stick[1] + arrow[1] * step]);
	}
	let across = $state(1280);
	const title = $derived(turn === 'shots' ? `${w.ground.turns.shots.sheet}: ${data.state?.layers.find((row) => row.key === data.layer)?.name ?? ''}` : w.ground.turns[turn].sheet);
</script>

<svelte:window bind:innerWidth={across} onkeydown={keys} />
<Sheet {desk} {pick} {title} {also} strips={turn === 'dug' || turn === 'shots'} labels={!['falls', 'stone'].includes(turn) && (turn !== 'shots' || !data.state?.shots.count)} sizes={false} letters={turn !== 'shots' && across > 600} roving={turn !== 'shots'}>
	{#snippet key()}
		{#if turn === 'shots'}<p class="label key"><span class="tri up"></span> {w.ground.high}, {w.ground.rakeOff.toLowerCase()} <span class="tri dn"></span> {w.ground.low}, fill <span class="x">✕</span> inside</p>{/if}
	{/snippet}
	{#snippet over(view)}
		{#if data.state}
			{#if turn === 'shots'}<OverShots {view} shots={data.state.shots} stick={data.stick} trial={trial.map((row) => row.at)} roomy={across > 600} pick={(at) => void stand(at)} />
			{:else if turn === 'falls'}<OverFalls {view} state={data.state} stick={data.stick} pick={(at) => void stand(at)} />
			{:else if turn === 'stone'}<OverPegs {view} pegs={data.state.ground.pegs} roomy={across > 600} />
			{:else}<OverPlaces {view} state={data.state} {turn} {ring} picked={trench} stick={data.stick} benchmarks={marks} spot={turn === 'rod' ? ((data.state.ground.rod[surface]?.spot ?? null)) : null} pick={(at) => void stand(at)} />{/if}
		{/if}
	{/snippet}
</Sheet>
<Bench question={questionOf(turn)} jobId={desk.id}>
	{#if outline}
		<Turns turns={TURNS.map((one) => ({ key: one, name: w.ground.turns[one].name }))} here={turn} name={w.ground.turnsName} tight />
		{#if data.problem}<p class="wrong" role="alert">{data.problem}</p>{/if}
		{#if !data.state}<p class="label">{w.ground.loading}</p>
		{:else if turn === 'shots'}<ShotsDesk {data} {laser} box={shot} {connect} bind:trial />
		{:else if turn === 'rod'}<RodDesk {data} {laser} box={rod} {surface} choose={chooseSurface} />
		{:else if turn === 'laser'}<LaserDesk {data} {laser} {connect} />
		{:else if turn === 'stack'}<StackDesk {data} />
		{:else if turn === 'falls'}<FallsDesk {data} />
		{:else if turn === 'stone'}<StoneDesk {data} />
		{:else if turn === 'dug'}<DugDesk {data} picked={trench} choose={(index) => (trench = index)} />
		{:else}<TestsDesk {data} />{/if}
	{:else}<p>{w.ground.needOutline}</p>{/if}
</Bench>

<style>
	.key {
		display: flex;
		gap: 5px;
		align-items: center;
	}
	@media (max-width: 600px) {
		.key {
			display: none;
		}
	}
	.tri {
		border: 6px solid transparent;
	}
	.up {
		border-bottom: 11px solid var(--paint);
		border-top: 0;
	}
	.dn {
		border-top: 11px solid var(--paint);
		border-bottom: 0;
		margin-left: 8px;
	}
	.x {
		color: var(--paint);
		font-weight: 800;
		margin-left: 8px;
	}
</style>
