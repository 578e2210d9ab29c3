<script lang="ts">
	/** Zones as ribbons on one tape of the day: from the float to the set, with now across all of them. */
	import type { ZoneNow } from '../../api/schema';
	import { pourWords } from '../../words/pour';
	import { clockOf, later } from './minutes';
	import type { PourData } from './pour.svelte';
	let { data, rows }: { data: PourData; rows: ZoneNow[] } = $props();
	const words = pourWords.finish;
	const HIGH = 34;
	const NAME = 110;
	let wide = $state(640);
	const now = $derived(data.told?.now_min ?? 0);
	const known = $derived(rows.filter((row) => row.float_min !== null && row.final_min !== null));
	const from = $derived(Math.min(now, ...known.map((row) => row.float_min ?? 0)) - 30);
	const until = $derived(Math.max(now, ...known.map((row) => row.final_min ?? 0)) + 30);
	const x = (minute: number) => NAME + ((minute - from) / Math.max(1, until - from)) * (wide - NAME - 12);
	const ticks = $derived.by(() => {
		const out: { at: number; text: string }[] = [];
		for (let minute = Math.ceil(from / 120) * 120; minute < until; minute += 120)
			out.push({ at: x(minute), text: clockOf(later(data.told?.start_at ?? '', minute)) });
		return out;
	});
</script>

{#if known.length}
	<div class="mt-10" bind:clientWidth={wide}>
		<svg
			width={wide}
			height={known.length * HIGH + 28}
			role="img"
			aria-label={known.map((row) => `${row.name}: ${words.float} ${row.float_text}, ${words.set} ${row.final_text}`).join('. ')}
		>
			{#each ticks as tick (tick.at)}
				<path d="M{tick.at} 20V{known.length * HIGH + 24}" class="stroke-hair" />
				<text x={tick.at} y="14" text-anchor="middle" class="fill-ink text-label">{tick.text}</text>
			{/each}
			{#each known as row, i (row.zone)}
				{@const y = 38 + i * HIGH}
				{@const [a, b] = [x(row.float_min ?? 0), x(row.final_min ?? 0)]}
				<text x="0" y={y + 5} class="fill-ink text-note font-mid">{row.name.slice(0, 14)}</text>
				<path
					d="M{a} {y}C{(a + b) / 2} {y - 3} {(a + b) / 2} {y - 11} {b} {y - 11}V{y + 11}C{(a + b) / 2} {y + 11} {(a + b) / 2} {y +
						3} {a} {y}z"
					class={['stroke-ink stroke-[1.4px]', row.full ? 'fill-line' : 'fill-transparent [stroke-dasharray:5_4]']}
				/>
				<path d="M{a} {y - 11}v22" class="stroke-chalk stroke-[4px]" />
				<text x={a + 6} y={y - 8} class="fill-ink text-label">{words.float}</text>
			{/each}
			<path d="M{x(now)} 18V{known.length * HIGH + 26}" class="stroke-ink stroke-[2.4px]" />
		</svg>
	</div>
{/if}
