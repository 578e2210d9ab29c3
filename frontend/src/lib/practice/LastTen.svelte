<script lang="ts">
	/** The last ten: where each lay along the tape, or how each came out. */
	import { practiceWords as words } from '../words/practice';
	import type { Tried } from './book.svelte';
	let { rows, under, over }: { rows: Tried[]; under: string; over: string } = $props();
	const MOST = 8;
	let wide = $state(560);
	const along = $derived(under !== '' && rows.some((row) => row.off !== null));
	const clamp = (off: number) => Math.max(-MOST, Math.min(MOST, off));
	const x = (off: number) => wide / 2 + (clamp(off) * (wide - 60)) / (2 * MOST);
	const stacked = $derived(
		rows.map((row, i) => ({
			row,
			i,
			up: rows.slice(0, i).filter((one) => one.off !== null && row.off !== null && clamp(one.off) === clamp(row.off)).length
		}))
	);
	const FILL: Record<string, string> = {
		right: 'fill-chalk stroke-chalk',
		near: 'fill-chalk-tint stroke-chalk',
		off: 'fill-none stroke-ink'
	};
</script>

<section class="mt-16 border-t-2 border-ink pt-8" aria-label={words.lastTen}>
	<h3>{words.lastTen}</h3>
	<div class="h-0" bind:clientWidth={wide}></div>
	{#if !rows.length}<p class="label">{words.rightOf(0, 0)}</p>
	{:else if along}
		<svg width={wide} height="104" role="img" aria-label={words.lastTen} class="block">
			{#each stacked as { row, i, up } (i)}{#if row.off !== null}<path
						d="M{x(row.off) - 6} {58 - up * 15}l12 12m0 -12l-12 12"
						class={['stroke-[2.6px]', i === rows.length - 1 ? 'stroke-chalk' : 'stroke-ink']}
					/>{/if}{/each}
			<path d="M20 78H{wide - 20}" class="stroke-ink stroke-2" />
			{#each Array.from({ length: 2 * MOST + 1 }, (_, n) => n - MOST) as n (n)}<path
					d="M{x(n)} 78v{n ? 6 : 12}"
					class="stroke-ink"
				/>{/each}
			<text x={x(-MOST)} y="100" class="fill-ink2 text-label font-mid">{under}</text>
			<text x={x(0)} y="104" text-anchor="middle" class="fill-ink text-label font-mid">{words.grades['right']}</text>
			<text x={x(MOST)} y="100" text-anchor="end" class="fill-ink2 text-label font-mid">{over}</text>
		</svg>
	{:else}
		<svg width={wide} height="34" role="img" aria-label={words.lastTen} class="block">
			<path d="M6 17H{rows.length * 30 + 6}" class="stroke-ink2 stroke-2" />
			{#each rows as row, i (i)}<ellipse
					cx={22 + i * 30}
					cy="17"
					rx="10"
					ry="8"
					class="stroke-2 {FILL[row.grade] ?? ''}"
				/>{/each}
		</svg>
		<p class="label">
			{words.rightOf(rows.filter((row) => row.grade === 'right').length, rows.length)}
		</p>
	{/if}
</section>
