<script lang="ts">
	/** Is it flat? The verdict, the rod where it stands, the raking list, and whether there are enough shots. */
	import { onTab } from '../../state/findings';
	import Choose from '../../ui/Choose.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import ReadingBar from '../../ui/ReadingBar.svelte';
	import { ground as groundWords } from '../../words/ground';
	import type { RodAnswer } from '../../api/schema';
	import type { XY } from '../../drawing/viewport';
	import { coarse } from '../../ui/pointer.svelte';
	import RodTouch from './RodTouch.svelte';
	import { nextSpot } from './two_press';
	import type { GroundData } from './ground.svelte';
	import type { LaserLink } from './laser.svelte';
	import NoLaser from './NoLaser.svelte';
	import ReadPanel from './ReadPanel.svelte';
	import type { Reading } from './reading.svelte';
	import ShotRounds from './ShotRounds.svelte';
	import StandIn from './StandIn.svelte';
	import Choice from '../../ui/Choice.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import RodMark from '../../ui/RodMark.svelte';
	import FileIn from '../../ui/FileIn.svelte';
	interface Props {
		data: GroundData;
		laser: LaserLink;
		box: Reading;
		connect: () => Promise<boolean>;
		trial: { at: XY; mm: number }[];
	}
	let { data, laser, box, connect, trial = $bindable() }: Props = $props();
	const state_ = $derived(data.state);
	const shots = $derived(data.state?.shots ?? null);
	const stand = $derived(data.stand);
	let walking = $state(false);
	let wrong = $state('');
	let told = $state('');
	const layer = $derived(state_?.layers.find((row) => row.key === data.layer)?.name ?? '');
	const where = $derived(
		!data.stick ? groundWords.pressSheet : box.where ? `${layer[0]?.toUpperCase()}${layer.slice(1)}, ${box.where}` : layer
	);
	const layerRows = $derived(
		(state_?.layers ?? []).map((row) => ({ value: row.key, label: `${row.name}${row.shots ? ` · ${row.shots}` : ''}` }))
	);
	const source = $derived(laser.on ? 'stand-in' : 'typed');

	/** the last that was kept here, and where */
	let last = $state.raw<{ said: NonNullable<RodAnswer['said']>; at: XY } | null>(null);
	async function record(at: XY, reading_mm: string | number, from: string): Promise<boolean> {
		const shots = [{ name: '', at, reading_mm }];
		wrong = (await data.record('shots', { layer: data.layer, setup: stand?.id, source: from, shots }))?.words ?? '';
		return !wrong;
	}
	async function keep() {
		const [at, said] = [data.stick, box.answer];
		if (!at || !stand || !said) return;
		if (!(await record(at, box.mm ?? box.typed, box.mm === null ? 'typed' : source))) return;
		last = { said, at };
		if (coarse.now && data.state) data.stick = nextSpot(data.state.shots, at) ?? at;
		box.clear();
	}
	/** Read again where the last one was kept: the newer shot at a spot counts. */
	async function again(typed: string) {
		if (!last || !stand) return;
		const got = await data.check(typed, null, last.at);
		if ('words' in got || !got.said) return;
		if (await record(last.at, typed, 'typed')) last = { said: got.said, at: last.at };
	}
	async function undo() {
		const at = last?.at ?? null;
		last = null;
		await data.store.undo();
		data.stick = at;
		box.clear();
	}
	async function shoot() {
		if (!data.stick) return;
		const mm = await laser.shoot({ at: data.stick });
		if (mm !== null) await box.take(mm);
	}
	async function walk() {
		if (!laser.on && !(await connect())) return;
		walking = true;
		told = '';
		trial = [];
		for (const at of state_?.grid ?? []) {
			if (!walking) break;
			data.stick = at;
			const mm = await laser.shoot({ at });
			if (mm === null) break;
			trial = [...trial, { at, mm }];
		}
		walking = false;
	}
	async function keepGrid() {
		if (!stand) return;
		const rows = trial.map((row, i) => ({ name: String(i + 1), at: row.at, reading_mm: row.mm }));
		wrong = (await data.record('shots', { layer: data.layer, setup: stand.id, source: 'stand-in', shots: rows }))?.words ?? '';
		if (!wrong) {
			told = groundWords.kept(rows.length);
			trial = [];
		}
	}
	async function take(file: File) {
		if (file) wrong = await data.file(file);
	}
</script>

{#snippet flat()}
	{#if shots}
		<div class="saying" aria-live="polite" data-flat={shots.flat}>
			<p class="big" class:good={shots.flat} class:plain={!shots.count || !shots.shots.some((shot) => shot.verdict !== 'inside')}>
				<Frac text={shots.verdict} />
			</p>
			<p><Frac text={shots.summary} /> <span class="label"><Frac text={shots.allowed} /></span></p>
			{#if shots.extra}<p class="label">
					{groundWords.extra}: <b><Num working={shots.extra} /></b>. {shots.trimmed_text}
					{groundWords.trimmed}.
				</p>{/if}
			{#if stand?.moved}<p class="wrong"><Frac text={stand.words} /></p>{/if}
		</div>
	{/if}
{/snippet}
{#snippet reading()}
	{@const here = data.stick ? { shoot, keep } : { shoot: null, keep: null }}
	{#if !stand || !state_}
		<NoLaser />
	{:else if coarse.now}
		<RodTouch
			{box}
			reads={state_.reads}
			{laser}
			{...here}
			last={last?.said}
			again={state_.reads === 'sixteenths' ? again : null}
			undo={last ? undo : null}
		/>
	{:else}
		<ReadPanel {box} title={where} reads={state_.reads} {laser} {...here} />
	{/if}
	{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
{/snippet}
{#if shots && state_}
	<Choice
		rows={layerRows}
		value={data.layer}
		pick={(key) => key && void data.choose(key)}
		name={groundWords.layer}
		class="my-6 max-phone:hidden side:hidden"
	/>
	{#if coarse.now}{@render reading()}{@render flat()}{:else}{@render flat()}{@render reading()}{/if}
	<div class="my-4 hidden max-phone:block side:block">
		<Choose
			class="w-full"
			name={groundWords.layer}
			rows={state_.layers.map((row) => ({ value: row.key, label: `${row.name}${row.shots ? ` · ${row.shots}` : ''}` }))}
			value={data.layer}
			pick={(key) => void data.choose(key)}
		/>
	</div>
	{#if trial.length}
		<div class="row mx-0 my-6 flex flex-wrap items-center gap-6 border-2 border-ink px-10 py-6">
			<b>{groundWords.gridAt(trial.length, state_.grid.length)}</b>
			{#if walking}<Act kind="quiet" onclick={() => (walking = false)}>{groundWords.stopGrid}</Act>
			{:else}
				<Act kind="main" onclick={() => void keepGrid()}>{groundWords.keepGrid(trial.length)}</Act>
				<Act kind="quiet" onclick={() => (trial = [])}>{groundWords.dropGrid}</Act>
			{/if}
		</div>
	{:else if stand}
		<div class="row mx-0 my-6 flex flex-wrap items-center gap-6">
			<Act kind="quiet" onclick={() => void walk()}
				>{groundWords.shootGrid(state_.grid.length)} ({groundWords.standIn.toLowerCase()})</Act
			>
			{#if told}<span role="status">{told}</span>{/if}
		</div>
	{/if}
	{#if shots.count}
		<h2 class="mt-10">{groundWords.rakes}</h2>
		{#if shots.rakes.length}
			<ol class="rakes">
				{#each shots.rakes.slice(0, 8) as row}
					<li class="flex items-center gap-8 border-t border-hair pl-2" data-high={row.most_mm > 0}>
						<RodMark is={row.most_mm > 0 ? 'high' : 'low'} />
						<button
							class="min-h-32 text-left font-label max-phone:min-h-46 max-phone:text-read"
							type="button"
							onclick={() => (data.stick = row.at)}><Frac text={row.words} /></button
						>
					</li>
				{/each}
			</ol>
		{:else}<p>{groundWords.noRakes}</p>{/if}
		<h2 class="mt-10">{groundWords.enough}</h2>
		<p class:wrong={!shots.enough.enough}>
			<Frac text={shots.enough.words} />
			{#if shots.enough.next_at}<Act kind="quiet" onclick={() => (data.stick = shots.enough.next_at)}
					>{groundWords.nextGap}: {groundWords.goThere}</Act
				>{/if}
		</p>
	{/if}
	<FindingList findings={onTab(state_.findings, 'shots')} />
	<StandIn {laser} connect={() => void connect()} />
	<Fold name={groundWords.fromFile}>
		<p class="label">{groundWords.fileHow}</p>
		<ReadingBar reading={data.reading} />
		<FileIn kind="quiet" label={groundWords.pickFile} accept=".csv,.txt" {take} />
	</Fold>
	<ShotRounds {data} />
{/if}
