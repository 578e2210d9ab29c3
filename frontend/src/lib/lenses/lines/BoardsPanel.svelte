<script lang="ts">
	/** What to buy first; then each board with its pieces in the look of the sheet; then both ways to choose boards. */
	import type { CutBoard } from '../../api/schema';
	import type { Pick } from '../../drawing/pick.svelte';
	import Act from '../../ui/Act.svelte';
	import Cards from '../../ui/Cards.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { w } from '../../words/words';
	import type { LinesData } from './lines.svelte';
	let { data, pick }: { data: LinesData; pick: Pick } = $props();
	const cuts = $derived(data.cuts);
	const longest = $derived(Math.max(1, ...(cuts?.boards.map((board) => board.mm) ?? [1])));
	const marks = $derived([...new Set(cuts?.boards.map((board) => board.mark) ?? [])]);
	const picked = $derived(cuts?.boards.flatMap((board) => board.pieces).find((piece) => piece.key === data.piece));
	const money = (board: CutBoard) => (board.on_hand || !board.price_cents ? '' : (board.price_cents / 100).toFixed(2));
	const ways = $derived(cuts?.ways ?? []);
	function press(key: string, side: number) {
		data.piece = data.piece === key ? '' : key;
		if (side >= 0) pick.chooseSide(side);
	}
</script>

{#if data.working}<p role="status" class="mx-0 my-4 text-call leading-[1.12] font-[820] font-stretch-[90%]">
		{w.lines.working(data.share)}
		<Act kind="quiet" onclick={() => void data.letGo()}>{w.lines.letGo}</Act>
	</p>{/if}
{#if data.gone}<p role="status" class="mx-0 my-4 text-call leading-[1.12] font-[820] font-stretch-[90%]">
		{w.lines.letGone}
		<Act kind="quiet" onclick={() => void data.load('boards')}>{w.lines.cutAgain}</Act>
	</p>{/if}
{#if cuts}
	<Verdict text={cuts.verdict} under={cuts.why} />
	<FindingList findings={cuts.findings} />
	<div class="mt-4 [columns:250px_2] gap-x-20">
		{#each marks as mark}
			<section class="break-inside-avoid pb-6">
				<h2>{mark}</h2>
				{#each cuts.boards.filter((board) => board.mark === mark) as board}
					<div class="my-2 flex items-center gap-6">
						<span
							class="bar flex h-26 min-w-0 border-[1.6px] border-ink max-phone:h-48 pointer-coarse:h-48"
							style:width="calc({(board.mm / longest) * 100}% - 52px)"
						>
							{#each board.pieces as piece}
								<button
									type="button"
									class={[
										'piece flex items-center gap-5 overflow-hidden border-r-[2.6px] border-ink px-5 py-0 text-note',
										'min-w-0 whitespace-nowrap last-of-type:border-r-[1.6px]',
										data.piece === piece.key ? 'bg-chalk text-on-chalk' : 'bg-board text-board-ink'
									]}
									aria-pressed={data.piece === piece.key}
									style:width="{(piece.mm / board.mm) * 100}%"
									title="{piece.where}, {piece.text}. {piece.why}"
									onclick={() => press(piece.key, piece.side)}
								>
									<b>{piece.key}</b>{#if piece.mm / longest > 0.3}<span><Frac text={piece.text} /></span>{/if}
								</button>
							{/each}
						</span>
						<b class="text-note">{money(board)}</b>
					</div>
				{/each}
			</section>
		{/each}
	</div>
	{#if picked}<p role="status" class="mt-4">
			<b><Frac text="{picked.where}, {picked.text}" /></b>. <Frac text={picked.why} />
		</p>{/if}
	<p class="label mt-4">{w.lines.priceSays}</p>
	{#if ways.length}
		<h2 class="mt-8 border-t-2 border-ink pt-6">{w.lines.ruleDecides}</h2>
		<Cards
			rows={ways.map((one) => ({ ...one, value: one.way }))}
			value={ways.find((one) => one.on)?.way ?? ''}
			name={w.lines.ruleDecides}
			class="mt-4 grid grid-cols-[repeat(auto-fit,minmax(210px,1fr))] gap-8"
			each="px-12 py-8 text-left leading-[1.4]"
			pick={(now) => void data.store.keep([{ op: 'set_fields', values: { 'ways.buy': now } }], 'buy')}
		>
			{#snippet card(one)}<b class="block">{one.name}</b>{#each one.says as line}<span class="block text-note max-phone:text-read"
						><Frac text={line} /></span
					>{/each}{/snippet}
		</Cards>
	{/if}
	<p class="label mt-6"><Frac text="{w.lines.cleats(cuts.cleats)} {cuts.how}" /> {w.lines.cutHow}</p>
{:else if !data.working && !data.gone}<p>{data.problem || w.lines.noForms}</p>{/if}

<style>
	.bar {
		background: repeating-linear-gradient(135deg, var(--color-well) 0 5px, var(--color-hair) 5px 6px);
	}
</style>
