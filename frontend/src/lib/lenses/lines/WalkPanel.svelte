<script lang="ts">
	/** The walk: sides as called, the call-out box, corners, openings, diagonals. */
	import { remember } from '../../state/remember.svelte';
	import { cornerName, type Pick } from '../../drawing/pick.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import Num from '../../ui/Num.svelte';
	import { w } from '../../words/words';
	import CallBox from './CallBox.svelte';
	import FirstActs from '../../shell/FirstActs.svelte';
	import GuessedSlab from './GuessedSlab.svelte';
	import Later from '../../ui/Later.svelte';
	import { pointsIn } from '../../shell/parts';
	import History from './History.svelte';
	import SideTable from './SideTable.svelte';
	import Templates from './Templates.svelte';
	import type { WalkBox } from './walk.svelte';
	import Switch from '../../ui/Switch.svelte';
	import Act from '../../ui/Act.svelte';
	import { lengthKeys } from '../../ui/typed';
	let { store, pick, box }: { store: JobStore; pick: Pick; box: WalkBox } = $props();
	const outline = $derived(store.figure?.outline ?? null);
	const plan = $derived(store.document);
	let all = $state(false);
	let radius = $state('');
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/radius`,
		() => ({ radius }),
		(old) => ({ radius } = old)
	);
	const roundProblem = $derived(store.problemFor('round'));
	async function round() {
		if (await store.keep([{ op: 'round_corner', corner: store.cornerId(pick.corner), radius }], 'round')) {
			radius = '';
			pick.none();
		}
	}
</script>

{#if outline}
	<Verdict text={w.lines.closes} under={w.lines.closesUnder(outline.sides.length, outline.perimeter_text)} is="good" />
	<SideTable {outline} {pick} />
{:else}
	<Verdict text={box.ghost.length > 1 ? w.lines.calledSo(box.ghost.length - 1) : w.lines.callFirst} />
{/if}
<CallBox {box} hasOutline={outline !== null} />
<GuessedSlab {store} />
{#if outline && plan}
	<div class="mx-0 my-6 flex flex-wrap items-center gap-6">
		<Switch on={pick.square} set={(square) => (pick.square = square)}>{pick.square ? w.lines.square : w.lines.free}</Switch>
		{#if pick.side !== null}
			<Act kind="quiet" onclick={() => void store.keep([{ op: 'add_corner', side: store.cornerId(pick.side) }], 'sheet')}
				>{w.lines.addCorner}: {outline.sides[pick.side]?.name}</Act
			>
		{/if}
		{#if pick.corner !== null}
			<Act
				kind="quiet"
				onclick={() =>
					void store.keep([{ op: 'remove_corner', corner: store.cornerId(pick.corner) }], 'sheet').then(() => pick.none())}
				>{w.lines.removeCorner}: {cornerName(pick.corner)}</Act
			>
			<label class="flex items-center gap-6"
				><span class="label">{w.lines.radius}</span><input
					{...lengthKeys(store.units)}
					class="well min-h-34 w-84"
					bind:value={radius}
					onkeydown={(e) => e.key === 'Enter' && void round()}
				/></label
			>
			<Act kind="quiet" disabled={!radius.trim()} onclick={() => void round()}>{w.lines.round} {cornerName(pick.corner)}</Act>
		{/if}
	</div>
	{#if roundProblem}<p class="wrong" role="alert">{roundProblem.detail}</p>{/if}
	{#if plan.openings.length}
		<h2 class="mt-10">{w.lines.openings}</h2>
		<div class="mx-0 my-6 flex flex-wrap items-center gap-6">
			{#each plan.openings.keys() as i}
				<Act
					kind="quiet"
					onclick={() => void store.keep([{ op: 'remove_opening', opening: plan?.opening_ids[i] ?? '' }], 'sheet')}
					>{w.lines.fill} {i + 1}</Act
				>
			{/each}
		</div>
	{/if}
	<h2 class="mt-10">{w.lines.diagonals}</h2>
	{#if outline.diagonals.length}
		<ul class="mx-0 mt-4 mb-8 grid grid-cols-[repeat(auto-fill,minmax(165px,1fr))] gap-x-16 gap-y-4 font-mid">
			{#each all ? outline.diagonals : outline.diagonals.slice(0, 9) as row}
				<li class="flex justify-between gap-6">
					<span class="font-plain whitespace-nowrap text-ink2">{row.name}</span>
					<Num working={row.working} text={row.text} />
				</li>
			{/each}
		</ul>
		{#if outline.diagonals.length > 9}
			<Act kind="quiet" onclick={() => (all = !all)}>{all ? w.lines.fewer : w.lines.more(outline.diagonals.length - 9)}</Act>
		{/if}
	{:else if outline.sides.length > 3}
		<Act kind="quiet" onclick={() => void store.everyDiagonal()}>{w.lines.allDiagonals}</Act>
	{/if}
{/if}
<Templates {store} />
{#if !outline}
	<Later load={pointsIn} given={{ store }} />
	<FirstActs jobId={store.id} here="lines" />
{/if}
<History {store} />
