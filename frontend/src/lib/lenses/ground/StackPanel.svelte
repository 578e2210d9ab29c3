<script lang="ts">
	/** The build-up of the picked zone's slab, edited in place layer by layer, beside the cores of all zones. */
	import { untrack } from 'svelte';
	import { onTab } from '../../state/findings';
	import { remember } from '../../state/remember.svelte';
	import { session } from '../../state/session.svelte';
	import type { Edit } from '../../state/job.svelte';
	import type { UsualLayer, UsualStack } from '../../api/schema';
	import Choose from '../../ui/Choose.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import LayerLine from './LayerLine.svelte';
	import UsualStacks from './UsualStacks.svelte';
	import Field from '../../ui/Field.svelte';
	import { ground as groundWords } from '../../words/ground';
	import CoreSample from './CoreSample.svelte';
	import type { GroundData } from './ground.svelte';
	import { readRough, toKeep, usualPlace, type Kind, type LayerRow } from './stack';
	import { typedLength } from '../../ui/typed';
	import Fold from '../../ui/Fold.svelte';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	let { data }: { data: GroundData } = $props();
	const store = $derived(data.store);
	const plan = $derived(store.document);
	const units = $derived(store.units);
	const mark = $derived(data.zones[data.zone]?.slab ?? '');
	const own = $derived(store.kept?.document.build_ups.find((row) => row.slab === mark) ?? null);
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
	const stones = $derived(session.ways?.ground.stones.map((row) => row.mark) ?? []);
	$effect(() => {
		if (!session.ways) void session.loadWays();
	});
	function change(act: (list: LayerRow[]) => void) {
		const list = rows.map((row) => ({ ...row }));
		act(list);
		draft = list;
		tryIt();
	}
	$effect(() => {
		if (store.lets) untrack(() => draft && drop());
	});
	/** kept from the board: what stands is what was typed */
	$effect(() => {
		if (draft && !store.draft && JSON.stringify(toKeep(kept)) === JSON.stringify(toKeep(draft))) draft = null;
	});
	/** depths and yards move while it is typed */
	function tryIt() {
		void store.try([edit()], 'stack');
	}
	const edit = (): Edit => ({ op: 'set_build_up', slab: mark, heated: hot, space: on || null, layers: toKeep(rows) });
	function drop() {
		draft = heated = space = null;
		store.clearProblem();
		store.dropDraft();
	}
	async function keep(): Promise<boolean> {
		const said = JSON.stringify(edit());
		const done = await store.keep([edit()], 'stack');
		if (done && JSON.stringify(edit()) === said) drop(); /* what was typed meanwhile stays */
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
	/** how deep each zone is dug, with what is being tried */
	const digs = $derived(store.figure?.top?.zones ?? []);
	const dig = $derived(digs[data.zone]?.dig_text ?? '');
	const verdict = $derived(groundWords.digTo(digs[data.zone]?.name ?? '', dig, draft !== null));
	function add(layer: UsualLayer) {
		const kind = layer.kind as Kind;
		change((list) =>
			list.splice(
				usualPlace(
					list.map((row) => row.kind),
					kind
				),
				0,
				{ id: '', kind, thickness: layer.thickness, strength: '', stone: '' }
			)
		);
	}
	function start(stack: UsualStack) {
		change((list) => {
			const old = [...list];
			list.length = 0;
			for (const layer of stack.layers) {
				const had = old.find((row) => row.kind === layer.kind);
				list.push(had ?? { id: '', kind: layer.kind as Kind, thickness: layer.thickness, strength: '', stone: '' });
			}
		});
	}
	const findings = $derived(onTab(data.state?.findings, 'stack'));
</script>

{#if data.state}
	<Verdict text={verdict} under={digs.map((one) => `${one.name} ${one.dig_text}`).join(', ')} />
	<div class="row mx-0 my-6 flex flex-wrap items-end gap-x-12 gap-y-6">
		{#each data.zones as zone, i}<Act kind="quiet" on={i === data.zone} onclick={() => void pickZone(zone.name)}>{zone.name}</Act
			>{/each}
	</div>
	<h2>
		{groundWords.stackFor(mark)}
		<label class="ml-14 font-label"
			><input type="checkbox" checked={hot} onchange={(e) => (heated = e.currentTarget.checked)} /> {groundWords.heated}</label
		>
		<span class="ml-14 font-label" aria-hidden="true">{groundWords.space}</span>
		<Choose
			name={groundWords.space}
			rows={Object.entries(groundWords.spaces).map(([value, label]) => ({ value, label }))}
			value={on}
			pick={(now) => (space = now)}
		/>
	</h2>
	<div class="grid grid-cols-[132px_1fr] max-phone:grid-cols-[64px_1fr]">
		<CoreSample rows={drawn} />
		<ol class="stack">
			{#each rows as row, i}
				<LayerLine
					{units}
					{row}
					at={i}
					last={rows.length - 1}
					fixed={row.kind === 'slab' ? typedLength(slabMm, units).replace(/"/g, '″') : groundWords.deepBelow(dig)}
					{stones}
					wrong={wrongAt === i}
					change={(now) => change((list) => (list[i] = now))}
					move={(by) => change((list) => list.splice(i + by, 0, ...list.splice(i, 1)))}
					out={() => change((list) => list.splice(i, 1))}
				/>
			{/each}
		</ol>
	</div>
	{#if problem}<p class="wrong" role="alert">{problem.detail}</p>{/if}
	<div class="row mx-0 my-6 flex flex-wrap items-end gap-x-12 gap-y-6">
		<span class="label self-center">{groundWords.addLayer}</span>
		{#each data.state.single as layer}<Act kind="quiet" onclick={() => add(layer)}>+ {groundWords.layers[layer.kind as Kind]}</Act
			>{/each}
		{#if draft || heated !== null || space !== null}
			<Act kind="main" onclick={() => void keep()}>{groundWords.keepStack}</Act>
			<Act kind="quiet" onclick={drop}>{groundWords.dropStack}</Act>
		{/if}
	</div>
	<Fold name={groundWords.usual} open={rows.length < 3}>
		<UsualStacks stacks={data.state.usual} {slabMm} take={start} />
	</Fold>
	<FindingList {findings} />
	<div class="row fields mx-0 my-6 flex flex-wrap items-end gap-x-12 gap-y-6">
		<Field
			label={groundWords.found}
			mode="text"
			width="190px"
			calm
			placeholder={data.state.found_text || groundWords.foundHint[units]}
			value={plan?.ground.found_mm != null ? data.state.found_text : ''}
			problem={store.problemFor('found_mm')}
			keep={set('found_mm')}
		/>
		<Field
			label={groundWords.strip}
			width="170px"
			calm
			placeholder={data.state.strip_text}
			value={plan?.ground.strip_mm != null ? data.state.strip_text : ''}
			problem={store.problemFor('strip_mm')}
			keep={set('strip_mm')}
		/>
	</div>
	<p class="label">{groundWords.caution}</p>
{/if}
