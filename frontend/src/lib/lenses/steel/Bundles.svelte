<script lang="ts">
	/** What the yard brings, end on: one dot a bar at its true size beside the others, so that it can be counted. */
	import type { SizeCutTold, SizeTold } from '../../api/schema';
	import { steel as words } from '../../words/steel';
	import { packed } from './bundle';
	let { cuts, sizes }: { cuts: readonly SizeCutTold[]; sizes: readonly SizeTold[] } = $props();
	const SCALE = 0.42;
	const rows = $derived(
		cuts
			.filter((one) => one.bars > 0 && one.bars <= 400)
			.map((one) => {
				const d = (sizes.find((size) => size.bar === one.bar)?.d_mm ?? 12) * SCALE;
				return { bar: one.bar, bars: one.bars, text: one.bought_text, d, ...packed(one.bars, d) };
			})
	);
</script>

{#if rows.length}
	<h2 class="panel-head">{words.bundles}</h2>
	<div class="mt-8 flex flex-wrap items-end gap-22">
		{#each rows as row (row.bar)}
			<figure class="m-0 text-center">
				<svg
					width={row.r * 2 + 8}
					height={row.r * 2 + 8}
					viewBox="{-row.r - 4} {-row.r - 4} {row.r * 2 + 8} {row.r * 2 + 8}"
					aria-hidden="true"
				>
					<circle r={row.r + 1} class="fill-well stroke-ink stroke-[1.6px]" />
					{#each row.spots as [x, y]}<circle cx={x} cy={y} r={row.d / 2 - 0.3} class="fill-rust" />{/each}
				</svg>
				<figcaption><b>{words.bundle(row.bars, row.bar)}</b><br />{row.text}</figcaption>
			</figure>
		{/each}
	</div>
{/if}
