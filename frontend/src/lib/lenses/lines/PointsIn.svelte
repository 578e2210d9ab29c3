<script module lang="ts">
	/** A loop as a path that fits 64 by 44. */
	function thumb(ring: readonly (readonly number[])[]): string {
		const [xs, ys] = [ring.map((p) => p[0] ?? 0), ring.map((p) => p[1] ?? 0)];
		const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
		const scale = Math.min(64 / (Math.max(...xs) - x0 || 1), 44 / (Math.max(...ys) - y0 || 1));
		return (
			ring
				.map(
					(p, i) => `${i ? 'L' : 'M'}${(((p[0] ?? 0) - x0) * scale).toFixed(1)} ${(44 - ((p[1] ?? 0) - y0) * scale).toFixed(1)}`
				)
				.join('') + 'Z'
		);
	}
</script>

<script lang="ts">
	/** An outline from a DXF or CSV file: which loop is what, in which units, before anything is taken. */
	import { api } from '../../api/api';
	import { troubleOf } from '../../state/resource.svelte';
	import type { PointsFile } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import { FileReading } from '../../state/reading.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Frac from '../../ui/Frac.svelte';
	import ReadingBar from '../../ui/ReadingBar.svelte';
	import { w } from '../../words/words';
	import Choice from '../../ui/Choice.svelte';
	import Act from '../../ui/Act.svelte';
	import FileIn from '../../ui/FileIn.svelte';
	let { store }: { store: JobStore } = $props();
	type Role = 'outline' | 'opening' | 'beside' | 'leave';
	type Unit = PointsFile['units'];
	const units: Unit[] = ['mm', 'cm', 'm', 'in', 'ft'];
	const roles: Role[] = ['outline', 'opening', 'beside', 'leave'];
	let file = $state.raw<File | null>(null);
	let found = $state.raw<PointsFile | null>(null);
	let role = $state<Role[]>([]);
	let layer = $state('');
	let words = $state('');
	let busy = $state(false);
	const reading = new FileReading();
	const rows = $derived(found?.loops.map((loop, i) => ({ loop, i })).filter(({ loop }) => !layer || loop.layer === layer) ?? []);
	const ready = $derived(role.filter((one) => one === 'outline').length === 1);
	const problem = $derived(store.problemFor('points'));

	async function look(units: Unit | null) {
		if (!file) return;
		busy = true;
		words = '';
		try {
			const sent = file;
			found = await reading.read((key) => api.readPoints(store.id, sent, { name: sent.name, units, reading: key }));
			role = found.loops.map((loop, i) => (i === 0 ? 'outline' : 'leave'));
			layer = '';
		} catch (error) {
			found = null;
			words = troubleOf(error).words;
		} finally {
			busy = false;
		}
	}
	async function take() {
		if (!found || !file) return;
		const of = (one: Role) => found?.loops.filter((_, i) => role[i] === one) ?? [];
		const ring = of('outline')[0]?.ring ?? [];
		const existing = of('beside').map((loop) => ({
			id: '',
			name: loop.layer,
			what: 'other' as const,
			polygon: loop.ring,
			level_mm: 0,
			levels: []
		}));
		const openings = of('opening').map((loop) => loop.ring);
		if (await store.keep([{ op: 'take_outline', ring, openings, existing, source: file.name.slice(0, 100) }], 'points'))
			found = file = null;
	}
</script>

<h2 class="mt-14">{w.lines.fromFile}</h2>
<FileIn
	kind="quiet"
	label={w.lines.pickFile}
	accept=".dxf,.csv,.txt"
	take={(chosen) => {
		file = chosen;
		void look(null);
	}}
/>
{#if busy && !reading.long}<p role="status">{w.lines.reading}</p>{/if}
<ReadingBar {reading} />
{#if words}<p class="wrong" role="alert">{words}</p>{/if}
{#if found}
	<p class={found.asked ? 'wrong' : ''}>
		{found.asked ? w.lines.askUnits : w.lines.readIn} <b>{w.lines.unitNames[found.units]}</b>
	</p>
	<Choice
		rows={units.map((unit) => ({ value: unit, label: w.lines.unitNames[unit] }))}
		value={found.units}
		pick={(unit) => unit && void look(unit)}
		name={w.lines.askUnits}
		class="my-6"
	/>
	{#each found.remarks as remark}<p class="label">{remark}</p>{/each}
	{#if found.layers.length > 1}
		<Choose
			label
			name={w.lines.layer}
			rows={[{ value: '', label: w.lines.allLayers }, ...found.layers.map((one) => ({ value: one, label: one }))]}
			value={layer}
			pick={(now) => (layer = now)}
		/>
	{/if}
	<ul>
		{#each rows.slice(0, 30) as { loop, i }}
			<li class="grid grid-cols-[70px_1fr_auto] items-center gap-8 border-t border-hair px-0 py-4">
				<svg width="64" height="44" viewBox="-2 -2 68 48" aria-hidden="true"
					><path class="fill-slab stroke-ink stroke-2" d={thumb(loop.ring)} /></svg
				>
				<span
					><b><Frac text={loop.across} /></b><span class="label">
						{loop.layer}, {w.lines.cornersWord(loop.corners)}, {loop.area}</span
					></span
				>
				<Choose
					name={w.lines.loopIs}
					rows={roles.map((one) => ({ value: one, label: w.lines.roles[one] }))}
					value={role[i] ?? 'leave'}
					pick={(now) => (role[i] = now)}
				/>
			</li>
		{/each}
	</ul>
	{#if problem}<p class="wrong" role="alert">{problem.detail}</p>{/if}
	<div class="row mx-0 my-6 flex flex-wrap gap-6">
		<Act kind="main" disabled={!ready || found.asked} onclick={() => void take()}>{w.lines.takeOutline}</Act>
		<Act onclick={() => (found = null)}>{w.board.drop}</Act>
	</div>
	{#if found.asked}<p class="label">{w.lines.unitsFirst}</p>{/if}
{/if}
