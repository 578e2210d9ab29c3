<script lang="ts">
	/** Why it takes more or less than drawn: as it was allowed thin and dashed, as the pour says it in ink; feet at one spread. */
	import Frac from '../../ui/Frac.svelte';
	import { pourWords } from '../../words/pour';
	import type { PourData } from './pour.svelte';
	let { data }: { data: PourData } = $props();
	const words = pourWords.left;
	const WIDE = 190;
	const rows = $derived(data.left?.causes ?? []);
	const ends = $derived(
		rows.flatMap((row) => [
			row.before_m3 - row.before_sd_m3,
			row.before_m3 + row.before_sd_m3,
			row.now_m3 - row.now_sd_m3,
			row.now_m3 + row.now_sd_m3
		])
	);
	const low = $derived(Math.min(0, ...ends));
	const high = $derived(Math.max(0.4, ...ends));
	const x = (m3: number) => 6 + ((m3 - low) / (high - low)) * (WIDE - 12);
	const form = (a: number, b: number, y: number) => `M${a - 4} ${y - 4}l4 4-4 4M${a} ${y}H${b}M${b + 4} ${y - 4}l-4 4 4 4`;
</script>

<ul>
	{#each rows as row (row.key)}
		<li
			class="grid grid-cols-[minmax(0,1fr)_190px_auto] items-center gap-10 border-b border-hair py-4 max-phone:grid-cols-[minmax(0,1fr)_auto]"
			data-cause={row.key}
		>
			<span class="leading-tight"
				><b class="text-read">{row.name}</b><span class="block text-note"
					><Frac text={row.learnt ? pourWords.was(row.before_text) : words.unlearnt} /></span
				></span
			>
			<svg width={WIDE} height="38" aria-hidden="true" class="max-phone:hidden">
				<path d="M{x(0)} 0V38" class="stroke-hair [stroke-dasharray:2_3]" />
				<path
					d={form(x(row.before_m3 - row.before_sd_m3), x(row.before_m3 + row.before_sd_m3), 9)}
					class="fill-none stroke-ink2 stroke-[1.3px] [stroke-dasharray:4_3]"
				/>
				<path
					d={form(x(row.now_m3 - row.now_sd_m3), x(row.now_m3 + row.now_sd_m3), 27)}
					class="fill-none stroke-ink stroke-[2.6px]"
				/>
				<path d="M{x(row.now_m3)} 19v16" class="stroke-chalk stroke-[3.4px]" />
			</svg>
			<b class="text-right text-read"><Frac text={row.now_text} /></b>
		</li>
	{/each}
</ul>
<p class="mt-4 text-read">
	<Frac text={words.sum(data.left?.drawn_text ?? '', data.left?.total_text ?? '', data.left?.sd_text ?? '')} />
</p>
