<script lang="ts">
	/** Boards drawn with their cuts and marks, grouped where alike; what to buy; where each piece goes. */
	import type { Pick } from '../../drawing/pick.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { w } from '../../words/words';
	import type { LinesData } from './lines.svelte';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	let { data, pick }: { data: LinesData; pick: Pick } = $props();
	const cuts = $derived(data.cuts);
	const longest = $derived(Math.max(1, ...(cuts?.boards.map((board) => board.mm) ?? [1])));
	const picked = $derived(
		cuts?.boards.flatMap((board) => board.pieces).find((piece) => piece.side >= 0 && piece.side === pick.side)
	);
	const marks = $derived([...new Set(cuts?.boards.map((board) => board.mark) ?? [])]);
</script>

{#if data.working}<p role="status" class="big mx-0 my-4 text-call leading-[1.12] font-[820] font-stretch-[90%]">
		{w.lines.working(data.share)}
		<Act kind="quiet" onclick={() => void data.letGo()}>{w.lines.letGo}</Act>
	</p>{/if}
{#if data.gone}<p role="status" class="big mx-0 my-4 text-call leading-[1.12] font-[820] font-stretch-[90%]">
		{w.lines.letGone}
		<Act kind="quiet" onclick={() => void data.load('boards')}>{w.lines.cutAgain}</Act>
	</p>{/if}
{#if cuts}
	<p class="big mx-0 my-4 text-call leading-[1.12] font-[820] font-stretch-[90%]"><Frac text={cuts.verdict} /></p>
	<FindingList findings={cuts.findings} />
	<div class="grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-x-14 gap-y-2 text-read font-[660]">
		{#each cuts.buy as line}<span><Frac text={line} /></span>{/each}
	</div>
	{#each marks as mark}
		<h2 class="mt-10 border-t-2 border-ink pt-4">{mark}</h2>
		{#each cuts.boards.filter((board) => board.mark === mark) as board}
			<div class="mx-0 my-3 grid grid-cols-[84px_1fr] items-center gap-8 max-phone:grid-cols-[62px_1fr]">
				<span class="leading-[1] font-mid"
					><Frac text={board.text} />{#if board.on_hand}<span class="label block leading-[1]">{w.lines.onHand}</span>{/if}</span
				>
				<span
					class="bar flex h-27 min-w-0 border-[1.6px] border-ink max-phone:h-48 pointer-coarse:h-48"
					style:width="{(board.mm / longest) * 100}%"
				>
					{#each board.pieces as piece}
						<button
							type="button"
							class={[
								'piece flex items-center gap-6 overflow-hidden border-r-[2.6px] border-ink px-5 py-0 text-note',
								'min-w-0 whitespace-nowrap last-of-type:border-r-[1.6px]',
								pick.side === piece.side ? 'bg-chalk text-on-chalk' : 'bg-board text-board-ink'
							]}
							class:on={pick.side === piece.side}
							style:width="{(piece.mm / board.mm) * 100}%"
							title="{piece.where}, {piece.text}. {piece.why}"
							onclick={() => piece.side >= 0 && pick.chooseSide(piece.side)}
						>
							<b>{piece.key}</b>{#if piece.mm / longest > 0.16}<span><Frac text={piece.text} /></span>{/if}
						</button>
					{/each}
					{#if board.left_mm / longest > 0.02}<span class="flex-1 self-center overflow-hidden pl-4 text-label whitespace-nowrap"
							>{board.pieces.some((p) => p.runs_past_mm > 0) ? w.lines.runsPast : ''}</span
						>{/if}
				</span>
			</div>
		{/each}
	{/each}
	{#if picked}<p role="status"><b><Frac text={picked.where} /></b>: <Frac text={picked.why} /></p>{/if}
	<p class="label"><Frac text={w.lines.cleats(cuts.cleats)} /></p>
	<p class="label">{w.lines.cutHow}</p>
{:else if !data.working && !data.gone}<p>{data.problem || w.lines.noForms}</p>{/if}

<style>
	.bar {
		background: repeating-linear-gradient(135deg, var(--color-well) 0 5px, var(--color-hair) 5px 6px);
	}
</style>
