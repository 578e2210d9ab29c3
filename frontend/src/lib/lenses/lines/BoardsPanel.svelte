<script lang="ts">
	/** Boards drawn with their cuts and marks, grouped where alike; what to buy; where each piece goes. */
	import type { Pick } from '../../drawing/pick.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { w } from '../../words/words';
	import type { LinesData } from './lines.svelte';
	let { data, pick }: { data: LinesData; pick: Pick } = $props();
	const cuts = $derived(data.cuts);
	const longest = $derived(Math.max(1, ...(cuts?.boards.map((board) => board.mm) ?? [1])));
	const picked = $derived(
		cuts?.boards.flatMap((board) => board.pieces).find((piece) => piece.side >= 0 && piece.side === pick.side)
	);
	const marks = $derived([...new Set(cuts?.boards.map((board) => board.mark) ?? [])]);
</script>

{#if data.working}<p role="status" class="big">
		{w.lines.working(data.share)}
		<button type="button" class="act quiet" onclick={() => void data.letGo()}>{w.lines.letGo}</button>
	</p>{/if}
{#if data.gone}<p role="status" class="big">
		{w.lines.letGone} <button type="button" class="act quiet" onclick={() => void data.load('boards')}>{w.lines.cutAgain}</button>
	</p>{/if}
{#if cuts}
	<p class="big"><Frac text={cuts.verdict} /></p>
	{#each cuts.findings as doubt}<p class="wrong"><Frac text={doubt.words} /> {doubt.remedy}</p>{/each}
	<div class="buy">
		{#each cuts.buy as line}<span><Frac text={line} /></span>{/each}
	</div>
	{#each marks as mark}
		<h3>{mark}</h3>
		{#each cuts.boards.filter((board) => board.mark === mark) as board}
			<div class="line">
				<span class="size"
					><Frac text={board.text} />{#if board.on_hand}<span class="label hand">{w.lines.onHand}</span>{/if}</span
				>
				<span class="bar" style:width="{(board.mm / longest) * 100}%">
					{#each board.pieces as piece}
						<button
							type="button"
							class="piece"
							class:on={pick.side === piece.side}
							style:width="{(piece.mm / board.mm) * 100}%"
							title="{piece.where}, {piece.text}. {piece.why}"
							onclick={() => piece.side >= 0 && pick.chooseSide(piece.side)}
						>
							<b>{piece.key}</b>{#if piece.mm / longest > 0.16}<span><Frac text={piece.text} /></span>{/if}
						</button>
					{/each}
					{#if board.left_mm / longest > 0.02}<span class="left"
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
	.big {
		font-size: 24px;
		font-weight: 820;
		font-stretch: 90%;
		line-height: 1.12;
		margin: 4px 0;
	}
	.buy {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
		gap: 2px 14px;
		font-size: 16px;
		font-weight: 660;
	}
	h3 {
		margin-top: 10px;
		border-top: 2px solid var(--color-ink);
		padding-top: 4px;
	}
	.line {
		display: grid;
		grid-template-columns: 84px 1fr;
		gap: 8px;
		align-items: center;
		margin: 3px 0;
	}
	.size {
		font-weight: 640;
		line-height: 1;
	}
	.hand {
		display: block;
		line-height: 1;
	}
	.bar {
		display: flex;
		height: 27px;
		border: 1.6px solid var(--color-ink);
		background: repeating-linear-gradient(135deg, var(--color-well) 0 5px, var(--color-hair) 5px 6px);
		min-width: 0;
	}
	.piece {
		background: var(--color-board);
		color: var(--color-board-ink);
		border-right: 2.6px solid var(--color-ink);
		font-size: 14px;
		display: flex;
		gap: 6px;
		align-items: center;
		padding: 0 5px;
		overflow: hidden;
		white-space: nowrap;
		min-width: 0;
	}
	.piece:last-of-type {
		border-right-width: 1.6px;
	}
	.piece.on {
		background: var(--color-chalk);
		color: var(--color-on-chalk);
	}
	.left {
		flex: 1;
		font-size: 12.5px;
		padding-left: 4px;
		overflow: hidden;
		white-space: nowrap;
		align-self: center;
	}
	@media (max-width: 600px) {
		.bar {
			height: 44px;
		}
		.line {
			grid-template-columns: 62px 1fr;
		}
	}
</style>
