<script lang="ts">
	/** Beams and pads: types by their call, a grid from a wall, posts on bays. */
	import { onTab } from '../../state/findings';
	import { remember } from '../../state/remember.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { shownLength } from '../../ui/typed';
	import { w } from '../../words/words';
	import { cornerName } from '../../drawing/pick.svelte';
	import { nextMark } from './section_edits';
	import type { EdgesData } from './edges.svelte';
	import KindTable from './KindTable.svelte';
	import { addPads, takeOut } from './shape_edits';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	let { store, data }: { store: JobStore; data: EdgesData } = $props();
	const plan = $derived(store.document);
	const sides = $derived(store.figure?.outline?.sides ?? []);
	const mm = $derived(store.units === 'mm');
	const say = (value: number | null | undefined) => shownLength(value ?? 0, store.units);
	let beam = $state('');
	let pad = $state('');
	const beamMark = $derived(plan?.beam_types.some((one) => one.mark === beam) ? beam : (plan?.beam_types[0]?.mark ?? ''));
	const padMark = $derived(plan?.pad_types.some((one) => one.mark === pad) ? pad : (plan?.pad_types[0]?.mark ?? ''));
	let [beamText, padText, every, bays, walk, spot, baysX, baysY] = $state(['', '', '', '', '', '', '', '']);
	let from = $state(0);
	let corner = $state(0);
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/grid`,
		() => ({ beamText, padText, every, bays, walk, spot, baysX, baysY }),
		(old) => ({ beamText, padText, every, bays, walk, spot, baysX, baysY } = old)
	);
	const degrees = (run: number | null | undefined) => (run ? `${+((Math.atan(1 / run) * 180) / Math.PI).toFixed(1)}°` : '90°');
	async function newBeam(mark: string) {
		if (await store.keep([{ op: 'set_beam_type', mark, text: beamText }], 'beam-type')) [beamText, beam] = ['', mark];
	}
	async function newPad(mark: string) {
		if (await store.keep([{ op: 'set_pad_type', mark, text: padText }], 'pad-type')) [padText, pad] = ['', mark];
	}
	async function lay() {
		const done = await store.keep(
			[{ op: 'lay_beams', type: beamMark, side: store.cornerId(from), spacing: every.trim() || null, bays }],
			'lay'
		);
		if (done) every = bays = '';
	}
	async function one() {
		if (await store.keep([{ op: 'add_beam', type: beamMark, text: walk }], 'one-beam')) walk = '';
	}
	async function onePad() {
		if (await store.keep([addPads(padMark, { text: spot })], 'one-pad')) spot = '';
	}
	async function grid() {
		if (await store.keep([addPads(padMark, { corner: store.cornerId(corner), bays_x: baysX, bays_y: baysY })], 'pad-grid'))
			baysX = baysY = '';
	}
	const rows = (kind: 'beams' | 'pads', mark: string) => (plan?.[kind] ?? []).flatMap((row, i) => (row.type === mark ? [i] : []));
	const beamRows = $derived(
		(plan?.beam_types ?? []).map((kind) => ({
			mark: kind.mark,
			says: `${say(kind.width_mm)} wide, ${say(kind.depth_mm)} deep, ${degrees(kind.haunch_run_per_rise)}`,
			own: rows('beams', kind.mark)
		}))
	);
	const padSize = (kind: NonNullable<typeof plan>['pad_types'][number]) =>
		kind.shape === 'round' ? `${say(kind.diameter_mm)} round` : `${say(kind.width_mm)} × ${say(kind.length_mm)}`;
	const padRows = $derived(
		(plan?.pad_types ?? []).map((kind) => ({
			mark: kind.mark,
			says: `${padSize(kind)}, ${say(kind.depth_mm)} deep`,
			own: rows('pads', kind.mark)
		}))
	);
	const nextBeam = $derived(
		nextMark(
			'B',
			(plan?.beam_types ?? []).map((one) => one.mark)
		)
	);
	const nextPad = $derived(
		nextMark(
			'P',
			(plan?.pad_types ?? []).map((one) => one.mark)
		)
	);
	const doubts = $derived(onTab(store.figure?.findings, 'grid'));
	const picked = $derived(data.picked && ['beam', 'pad'].includes(data.picked.kind) ? data.picked : null);
</script>

{#snippet wrong(at: string)}
	{#if store.problemFor(at)}
		<p class="wrong" role="alert"><Frac text={store.problemFor(at)?.detail ?? ''} /></p>
	{/if}
{/snippet}

<h2>{w.edges.beams}</h2>
<KindTable {store} {data} kind="beam" rows={beamRows} picked={beamMark} pick={(mark) => (beam = mark)} />
<div class="panel-row">
	<label class="label long"
		>{w.edges.beamCall}<input
			id="beam-call"
			class="well call"
			placeholder={w.edges.beamHint(mm)}
			bind:value={beamText}
			onkeydown={(e) => e.key === 'Enter' && void newBeam(nextBeam)}
		/></label
	>
	<Act kind="quiet" disabled={!beamText.trim()} onclick={() => void newBeam(nextBeam)}>+ {nextBeam}</Act>
	{#if beamMark}<Act kind="quiet" disabled={!beamText.trim()} onclick={() => void newBeam(beamMark)}
			>{w.edges.change(beamMark)}</Act
		>{/if}
</div>
{@render wrong('beam-type')}
{#if beamMark}
	<div class="panel-row">
		<label class="label"
			>{w.edges.layFrom}<select class="plain-select" bind:value={from}
				>{#each sides as side, i}<option value={i}>{side.name}</option>{/each}</select
			></label
		>
		<label class="label short"
			>{w.edges.every}<input
				class="well call"
				aria-label="{beamMark} {w.edges.every}"
				placeholder={mm ? '3500' : "11' 6"}
				bind:value={every}
				onkeydown={(e) => e.key === 'Enter' && void lay()}
			/></label
		>
		<label class="label"
			>{w.edges.orBays}<input
				class="well call"
				aria-label="{beamMark} {w.edges.orBays}"
				placeholder={w.edges.baysHint(mm)}
				bind:value={bays}
				onkeydown={(e) => e.key === 'Enter' && void lay()}
			/></label
		>
		<Act kind="main" disabled={!every.trim() && !bays.trim()} onclick={() => void lay()}>{w.edges.lay}</Act>
	</div>
	{@render wrong('lay')}
	<div class="panel-row">
		<label class="label long"
			>{w.edges.oneBeam}<input
				class="well call"
				placeholder={w.edges.beamWalk}
				bind:value={walk}
				onkeydown={(e) => e.key === 'Enter' && void one()}
			/></label
		>
		<Act kind="quiet" onclick={() => void one()}>+</Act>
		<Act kind="quiet" onclick={() => void store.keep([{ op: 'beams_on_zones', type: beamMark }], 'one-beam')}
			>{w.edges.underZones}</Act
		>
	</div>
	{@render wrong('one-beam')}
{/if}

<h2 class="panel-head">{w.edges.pads}</h2>
<KindTable {store} {data} kind="pad" rows={padRows} picked={padMark} pick={(mark) => (pad = mark)} />
<div class="panel-row">
	<label class="label long"
		>{w.edges.padCall}<input
			id="pad-call"
			class="well call"
			placeholder={w.edges.padHint(mm)}
			bind:value={padText}
			onkeydown={(e) => e.key === 'Enter' && void newPad(nextPad)}
		/></label
	>
	<Act kind="quiet" disabled={!padText.trim()} onclick={() => void newPad(nextPad)}>+ {nextPad}</Act>
	{#if padMark}<Act kind="quiet" disabled={!padText.trim()} onclick={() => void newPad(padMark)}>{w.edges.change(padMark)}</Act
		>{/if}
	<span class="label">{w.edges.padShapes}</span>
</div>
{@render wrong('pad-type')}
{#if padMark}
	<div class="panel-row">
		<label class="label long"
			>{w.edges.onePad}<input
				class="well call"
				placeholder={w.edges.padWalk}
				bind:value={spot}
				onkeydown={(e) => e.key === 'Enter' && void onePad()}
			/></label
		>
		<Act kind="quiet" onclick={() => void onePad()}>+</Act>
		<Act kind="quiet" onclick={() => void store.keep([addPads(padMark, { crossings: true })], 'one-pad')}>{w.edges.crossings}</Act
		>
	</div>
	{@render wrong('one-pad')}
	<div class="panel-row">
		<label class="label"
			>{w.edges.grid}<select class="plain-select" bind:value={corner}
				>{#each sides as side, i (side.name)}<option value={i}>{cornerName(i)}</option>{/each}</select
			></label
		>
		<label class="label">{w.edges.baysX}<input class="well call" placeholder={w.edges.baysHint(mm)} bind:value={baysX} /></label>
		<label class="label">{w.edges.baysY}<input class="well call" placeholder={mm ? '3600' : "9', 9'"} bind:value={baysY} /></label
		>
		<Act kind="main" onclick={() => void grid()}>{w.edges.setGrid}</Act>
	</div>
	{@render wrong('pad-grid')}
{/if}
{#if picked}
	<div class="panel-row">
		<Act
			onclick={() =>
				void store
					.keep(
						[
							takeOut(picked.kind === 'beam' ? 'beams' : 'pads', [
								store.rowId(picked.kind === 'beam' ? 'beams' : 'pads', picked.row)
							])
						],
						'picked'
					)
					.then(() => data.unpick())}>{w.edges.takeOut} {data.place?.name}</Act
		>
	</div>
{/if}
<FindingList findings={doubts} />
