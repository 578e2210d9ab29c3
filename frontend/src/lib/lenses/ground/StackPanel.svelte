<script lang="ts">
	/** The build-up of the picked zone's slab, edited in place layer by layer, beside the cores of all zones. */
	import { onTab } from '../../state/findings';
	import { remember } from '../../state/remember.svelte';
	import { session } from '../../state/session.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { w } from '../../words/words';
	import CoreSample from './CoreSample.svelte';
	import type { GroundData } from './ground.svelte';
	import { readRough, toKeep, type Kind, type LayerRow } from './stack';
	import { typedLength } from '../../ui/typed';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	let { data }: { data: GroundData } = $props();
	const store = $derived(data.store);
	const plan = $derived(store.document);
	const units = $derived(store.units);
	const mark = $derived(data.zones[data.zone]?.slab ?? '');
	const own = $derived(plan?.build_ups.find((row) => row.slab === mark) ?? null);
	const kept = $derived.by((): LayerRow[] =>
		(own?.layers ?? [{ kind: 'slab' as const }, { kind: 'native' as const }]).map((row) => ({
			id: 'id' in row ? row.id : '',
			kind: row.kind,
			thickness: 'thickness_mm' in row && row.thickness_mm ? typedLength(row.thickness_mm, units) : '',
			strength:
				'strength_kpa' in row && row.strength_kpa
					? units === 'mm'
						? `${Math.round(row.strength_kpa)} kPa`
						: `${Math.round(row.strength_kpa / 6.894757)} psi`
					: '',
			stone: 'stone' in row ? (row.stone ?? '') : ''
		}))
	);
	let draft = $state<LayerRow[] | null>(null);
	let heated = $state<boolean | null>(null);
	let space = $state<string | null>(null);
	const on = $derived((space ?? own?.space ?? '') as '' | 'living' | 'garage' | 'unheated' | 'outside');
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${data.store.id}/${data.zones[data.zone]?.id ?? 0}/stack`,
		() => ({ draft, heated, space }),
		(old) => ({ draft, heated, space } = old)
	);
	const rows = $derived(draft ?? kept);
	const hot = $derived(heated ?? own?.heated ?? false);
	const problem = $derived(store.problemFor('stack'));
	const wrongAt = $derived(Number(problem?.path.match(/layers\[(\d+)\]/)?.[1] ?? -1));
	const kinds = Object.keys(w.ground.layers) as Kind[];
	const stones = $derived(session.ways?.ground.stones.map((row) => row.mark) ?? []);
	$effect(() => {
		if (!session.ways) void session.loadWays();
	});
	function change(act: (list: LayerRow[]) => void) {
		const list = rows.map((row) => ({ ...row }));
		act(list);
		draft = list;
	}
	function drop() {
		draft = heated = space = null;
		store.clearProblem();
	}
	async function keep(): Promise<boolean> {
		const done = await store.keep(
			[{ op: 'set_build_up', slab: mark, heated: hot, space: on || null, layers: toKeep(rows) }],
			'stack'
		);
		if (done) drop();
		return done;
	}
	const set = (key: 'found_mm' | 'strip_mm') => (typed: string) =>
		store.keep([{ op: 'set_ground', changes: { [key]: typed.trim() || null } }], key);
	/** Another zone: what was changed here is kept first, and stays in sight where it cannot be. */
	async function pickZone(zone: string) {
		if ((draft || heated !== null || space !== null) && !(await keep())) return;
		data.zone = Math.max(
			0,
			data.zones.findIndex((one) => one.name === zone)
		);
		drop();
	}
	/** thickness to draw: as kept, or as typed where that can be read */
	const drawn = $derived(
		rows.map((row) => ({ kind: row.kind, mm: row.kind === 'slab' ? slabMm : readRough(row.thickness, units) }))
	);
	const slabMm = $derived(plan?.slab_types.find((row) => row.mark === mark)?.thickness_mm ?? 100);
	const digs = $derived(data.state?.ground.stack.filter((row) => row.kind === 'native') ?? []);
	const levelOf = (zone: string, key: string) =>
		data.state?.ground.rod.find((one) => one.zone === zone && one.key === key)?.level_text ?? '';
	const findings = $derived(onTab(data.state?.findings, 'stack'));
</script>

{#if data.state}
	<div class="row mx-0 my-6 flex flex-wrap items-end gap-x-12 gap-y-6">
		{#each data.zones as zone, i}<Act kind="quiet" on={i === data.zone} onclick={() => void pickZone(zone.name)}>{zone.name}</Act
			>{/each}
	</div>
	<h2>
		{w.ground.stackFor(mark)}
		<label class="ml-14 font-label"
			><input type="checkbox" checked={hot} onchange={(e) => (heated = e.currentTarget.checked)} /> {w.ground.heated}</label
		>
		<label class="ml-14 font-label"
			>{w.ground.space}
			<select class="plain-select" value={on} onchange={(e) => (space = e.currentTarget.value)}
				>{#each Object.entries(w.ground.spaces) as [key, name]}<option value={key}>{name}</option>{/each}</select
			></label
		>
	</h2>
	<div class="grid grid-cols-[132px_1fr] max-phone:grid-cols-[64px_1fr]">
		<CoreSample rows={drawn} />
		<ol class="stack">
			{#each rows as row, i}
				<li
					class={[
						'grid h-46 grid-cols-[124px_76px_118px_1fr] items-center gap-8 border-t border-hair max-phone:gap-y-4',
						'max-phone:h-92 max-phone:grid-cols-[112px_58px_minmax(0,1fr)] max-phone:gap-x-8',
						'data-[kind=slab]:bg-slab',
						wrongAt === i && 'border-l-5 border-flag pl-6'
					]}
					data-kind={row.kind}
				>
					<select
						class="plain-select"
						aria-label="{w.ground.layer} {i + 1}"
						value={row.kind}
						disabled={row.kind === 'slab' || row.kind === 'native'}
						onchange={(e) => change((list) => (list[i] = { ...row, kind: e.currentTarget.value as Kind }))}
					>
						{#each kinds.filter((one) => row.kind === one || (one !== 'slab' && one !== 'native')) as one}<option value={one}
								>{w.ground.layers[one]}</option
							>{/each}
					</select>
					{#if row.kind === 'slab'}<span class="text-key font-[760] whitespace-nowrap"
							><Frac
								text={data.state.ground.stack.find((one) => one.slab === mark && one.kind === 'slab')?.thickness_text ?? ''}
							/></span
						>
					{:else if row.kind !== 'barrier' && row.kind !== 'native'}<input
							class="reading"
							aria-label="{w.ground.layers[row.kind]} {w.ground.thick}"
							value={row.thickness}
							oninput={(e) => change((list) => (list[i] = { ...row, thickness: e.currentTarget.value }))}
						/>
					{:else if row.kind === 'native'}<span class="text-key font-[760] whitespace-nowrap"
							><Frac
								text={digs.find((one) => one.slab === mark)
									? levelOf(digs.find((one) => one.slab === mark)?.zone ?? '', 'native')
									: ''}
							/></span
						>
					{:else}<span></span>{/if}
					{#if row.kind === 'foam'}<input
							class="reading"
							aria-label={w.ground.strength}
							placeholder={w.ground.strength}
							value={row.strength}
							oninput={(e) => change((list) => (list[i] = { ...row, strength: e.currentTarget.value }))}
						/>
					{:else if ['stone', 'graded', 'blinding', 'fill'].includes(row.kind)}<select
							class="plain-select"
							aria-label={w.ground.stoneOf}
							value={row.stone}
							onchange={(e) => change((list) => (list[i] = { ...row, stone: e.currentTarget.value }))}
							><option value="">{w.ground.kitStone}</option>{#each stones as one}<option value={one}>{one}</option>{/each}</select
						>
					{:else}<span></span>{/if}
					<span class="flex gap-3">
						{#if row.kind !== 'native'}
							<button
								class="h-34 w-36 border-[1.5px] border-ink disabled:opacity-35 pointer-coarse:size-44"
								type="button"
								aria-label={w.ground.up}
								disabled={i === 0}
								onclick={() => change((list) => list.splice(i - 1, 0, ...list.splice(i, 1)))}>▲</button
							>
							<button
								class="h-34 w-36 border-[1.5px] border-ink disabled:opacity-35 pointer-coarse:size-44"
								type="button"
								aria-label={w.ground.down}
								disabled={i >= rows.length - 2}
								onclick={() => change((list) => list.splice(i + 1, 0, ...list.splice(i, 1)))}>▼</button
							>
							{#if row.kind !== 'slab'}<button
									class="h-34 w-36 border-[1.5px] border-ink disabled:opacity-35 pointer-coarse:size-44"
									type="button"
									aria-label={w.ground.out}
									onclick={() => change((list) => list.splice(i, 1))}>✕</button
								>{/if}
						{/if}
					</span>
				</li>
			{/each}
		</ol>
	</div>
	{#if problem}<p class="wrong" role="alert">{problem.detail}</p>{/if}
	<div class="row mx-0 my-6 flex flex-wrap items-end gap-x-12 gap-y-6">
		<Act
			kind="quiet"
			onclick={() =>
				change((list) =>
					list.splice(list.length - 1, 0, {
						id: '',
						kind: session.ways?.ground.base === 'clean' ? 'stone' : 'graded',
						thickness: units === 'mm' ? '100' : '4"',
						strength: '',
						stone: ''
					})
				)}>{w.ground.addLayer}</Act
		>
		{#if draft || heated !== null || space !== null}
			<Act kind="main" onclick={() => void keep()}>{w.ground.keepStack}</Act>
			<Act kind="quiet" onclick={drop}>{w.ground.dropStack}</Act>
		{/if}
	</div>
	<FindingList {findings} />
	<div class="row fields mx-0 my-6 flex flex-wrap items-end gap-x-12 gap-y-6">
		<Field
			label={w.ground.found}
			width="190px"
			calm
			placeholder={data.state.found_text || w.ground.foundHint[units]}
			value={plan?.ground.found_mm != null ? data.state.found_text : ''}
			problem={store.problemFor('found_mm')}
			keep={set('found_mm')}
		/>
		<Field
			label={w.ground.strip}
			width="170px"
			calm
			placeholder={data.state.strip_text}
			value={plan?.ground.strip_mm != null ? data.state.strip_text : ''}
			problem={store.problemFor('strip_mm')}
			keep={set('strip_mm')}
		/>
		<p class="min-w-200 flex-1">
			<span class="label">{w.ground.dig}</span>
			{#each digs as row, i}{i ? '; ' : ''}{row.zone} <b><Frac text={levelOf(row.zone, row.layer)} /></b>{/each}
		</p>
	</div>
	<p class="label">{w.ground.caution}</p>
{/if}

<style>
	.stack :is(select, input) {
		width: 100%;
		min-width: 0;
	}
</style>
