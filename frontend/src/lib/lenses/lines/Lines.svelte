<script lang="ts">
	/** Lines: does it close, and is it square? */
	import Sheet from '../../drawing/Sheet.svelte';
	import { cornerName, Pick } from '../../drawing/pick.svelte';
	import Bench from '../../shell/Bench.svelte';
	import type { JobDesk } from '../../state/job.svelte';
	import Num from '../../ui/Num.svelte';
	import { w } from '../../words/words';
	import CallBox from './CallBox.svelte';
	import History from './History.svelte';
	import SideTable from './SideTable.svelte';
	import Templates from './Templates.svelte';
	import { WalkBox } from './walk.svelte';
	let { desk, pick }: { desk: JobDesk; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one box for the life of this lens)
	const box = new WalkBox(desk);
	const outline = $derived(desk.figure?.outline ?? null);
	const plan = $derived(desk.document);
	let all = $state(false);
</script>

<Sheet {desk} {pick} editable title={outline ? w.lines.outlineTitle : box.ghost.length > 1 ? w.lines.called : w.lines.empty} ghost={box.ghost} strips>
	{#snippet key()}{#if !outline && box.ghost.length < 2}<p class="label">{w.lines.emptyHow}</p>{/if}{/snippet}
</Sheet>
<Bench question={w.ask.lines} jobId={desk.id}>
	{#if outline}<SideTable {outline} {pick} />{/if}
	<CallBox {box} hasOutline={outline !== null} />
	{#if outline && plan}
		<div class="tools">
			<button type="button" class="act quiet" aria-pressed={pick.square} onclick={() => (pick.square = !pick.square)}>{pick.square ? w.lines.square : w.lines.free}</button>
			{#if pick.side !== null}
				<button type="button" class="act quiet" onclick={() => void desk.keep([{ op: 'add_corner', side: pick.side ?? 0 }], 'sheet')}>{w.lines.addCorner}: {outline.sides[pick.side]?.name}</button>
			{/if}
			{#if pick.corner !== null}
				<button type="button" class="act quiet" onclick={() => void desk.keep([{ op: 'remove_corner', corner: pick.corner ?? 0 }], 'sheet').then(() => pick.none())}>{w.lines.removeCorner}: {cornerName(pick.corner)}</button>
			{/if}
		</div>
		{#if plan.openings.length}
			<h3 class="head">{w.lines.openings}</h3>
			<div class="tools">
				{#each plan.openings.keys() as i}
					<button type="button" class="act quiet" onclick={() => void desk.keep([{ op: 'remove_opening', index: i }], 'sheet')}>{w.lines.fill} {i + 1}</button>
				{/each}
			</div>
		{/if}
		<h3 class="head">{w.lines.diagonals}</h3>
		{#if outline.diagonals.length}
			<ul class="diagonals">
				{#each all ? outline.diagonals : outline.diagonals.slice(0, 9) as row}
					<li><span>{row.name}</span> <Num working={row.working} text={row.text} /></li>
				{/each}
			</ul>
			{#if outline.diagonals.length > 9}
				<button type="button" class="act quiet" onclick={() => (all = !all)}>{all ? w.lines.fewer : w.lines.more(outline.diagonals.length - 9)}</button>
			{/if}
		{:else if outline.sides.length > 3}
			<button type="button" class="act quiet" onclick={() => void desk.everyDiagonal()}>{w.lines.allDiagonals}</button>
		{/if}
	{/if}
	<Templates {desk} />
	<History {desk} />
</Bench>

<style>
	.tools {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		margin: 6px 0;
	}
	.head {
		margin-top: 10px;
	}
	.diagonals {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(165px, 1fr));
		gap: 4px 16px;
		margin: 4px 0 8px;
		font-weight: 640;
	}
	.diagonals li {
		display: flex;
		justify-content: space-between;
		gap: 6px;
	}
	.diagonals span {
		font-weight: 480;
		color: var(--ink2);
		white-space: nowrap;
	}
</style>
