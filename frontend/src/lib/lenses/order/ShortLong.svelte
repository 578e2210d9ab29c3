<script lang="ts">
	/** What short and long cost, an order a row, one slip for so much money: full slips are short, empty ones long. Press a row to try it. */
	import type { SureTold, WeighedTold } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { orderWords } from '../../words/order';
	import { dollars, MOST_SLIPS, rowOf, rowsAbout, slipCents } from './board';
	let { told, order, go }: { told: SureTold; order: number; go: (m3: number) => void } = $props();
	const words = orderWords.sure;
	const rows = $derived(rowsAbout(told, order));
	const slip = $derived(slipCents(rows));
	const own = $derived(rowOf(told, order));
	const is = (row: WeighedTold, m3: number) => Math.abs(row.order_m3 - m3) < 1e-6;
	function slips(row: WeighedTold) {
		const [full, empty] = [Math.round(row.short_cents / slip), Math.round(row.long_cents / slip)];
		const shown = Math.min(full + empty, MOST_SLIPS);
		return { shown, full: Math.min(full, shown), more: full + empty > MOST_SLIPS };
	}
</script>

<h2 class="mt-8 flex items-baseline gap-10">{words.money} <span class="label">{words.slip(dollars(slip))}</span></h2>
<ul data-short-long>
	{#each rows as row (row.order_m3)}
		{@const best = is(row, told.best.order_m3)}
		{@const here = is(row, order)}
		{@const { shown, full, more } = slips(row)}
		<li>
			<button
				type="button"
				class={[
					'grid min-h-32 w-full grid-cols-[62px_1fr_70px_84px] items-center gap-6 px-6 text-left max-phone:min-h-44 pointer-coarse:min-h-44',
					'max-phone:grid-cols-[48px_1fr_62px_78px]',
					best && 'bg-well outline-2 outline-ink',
					here && 'font-black'
				]}
				aria-pressed={here}
				onclick={() => go(row.order_m3)}
				data-weighed={row.text}
			>
				<span class="text-key"><Frac text={row.text} /></span>
				<svg height="16" class="block w-full overflow-hidden" aria-hidden="true">
					{#each Array.from({ length: shown }, (_, i) => i) as i (i)}<rect
							x={i * 9 + 1}
							y="1"
							width="7"
							height="14"
							class={i < full ? 'fill-flag stroke-flag' : 'fill-well stroke-ink'}
						/>{/each}
					{#if more}<path d="M{shown * 9 + 3} 16l5 -16m3 16l5 -16" class="stroke-ink stroke-[1.4px]" />{/if}
				</svg>
				<span class="text-right">{dollars(row.short_cents + row.long_cents)}</span>
				<span class={['text-note', row.pours_short && 'font-[760] text-flag']}>{words.nShort(row.pours_short)}</span>
			</button>
		</li>
	{/each}
</ul>
<p class="mt-4 text-note" data-workings>
	<Frac text={words.at(own.text)} />
	{words.shortWord}
	<Num working={own.short} />, {words.longWord}
	<Num working={own.long} />.
</p>
<p class="label mt-2">
	<svg width="9" height="14" class="inline align-[-2px]" aria-hidden="true"
		><rect x="1" width="7" height="14" class="fill-flag" /></svg
	>
	{told.rule}
</p>
