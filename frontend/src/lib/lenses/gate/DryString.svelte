<script lang="ts">
	/** How fast the zone that dries worst loses water: a knotted string over the boxed limit, hatched where it is too fast. */
	import type { DaySheet } from '../../api/schema';
	import { gateWords as words } from '../../words/gate';
	import type { DayData } from './gate.svelte';
	import { clock, span, ticks, xOf } from './tape';
	let { data, sheet, wide }: { data: DayData; sheet: DaySheet; wide: number } = $props();
	const LEFT = $derived(wide < 480 ? 0 : 106);
	const RIGHT = 16;
	const HIGH = 84;
	const TOP = 38;
	/** the zone of the ribbon that is pressed, else the one that is worst */
	const row = $derived(
		sheet.drying.find((one) => data.picked.startsWith(`${one.zone}/`)) ??
			[...sheet.drying].sort((a, b) => worst(b) - worst(a))[0] ??
			null
	);
	const worst = (one: DaySheet['drying'][number]) =>
		Math.max(0, ...one.rates_kg_m2_h.filter((_, i) => inside(one, one.hours_h[i] ?? 0)));
	const inside = (one: DaySheet['drying'][number], hour: number) =>
		hour >= (one.fresh_h[0] ?? 0) && hour <= (one.fresh_h[1] ?? 0);
	const tape = $derived({ ...span(sheet), width: Math.max(120, wide - LEFT - RIGHT) });
	const most = $derived(Math.max(sheet.limit_kg_m2_h * 1.35, ...(row?.rates_kg_m2_h ?? [])));
	const x = (hour: number) => LEFT + xOf(tape, hour);
	const y = (rate: number) => TOP + HIGH - (Math.max(0, rate) / most) * (HIGH - 6);
	const shown = $derived(
		(row?.hours_h ?? [])
			.map((hour, i) => ({ hour, rate: row?.rates_kg_m2_h[i] ?? 0 }))
			.filter((one) => one.hour >= tape.from && one.hour <= tape.to)
	);
	const line = (rows: { hour: number; rate: number }[]) =>
		rows.map((one, i) => `${i ? 'L' : 'M'}${x(one.hour).toFixed(1)} ${y(one.rate).toFixed(1)}`).join('');
	const fresh = $derived(row ? shown.filter((one) => inside(row, one.hour)) : []);
	const knots = $derived(fresh.filter((one) => Math.abs(one.hour - Math.round(one.hour)) < 0.01));
	const over = $derived(
		(row?.spans_h ?? []).map(([a = 0, b = 0]) => {
			const part = shown.filter((one) => one.hour > a && one.hour < b);
			const base = y(sheet.limit_kg_m2_h);
			return `M${x(a)} ${base}${part.map((one) => `L${x(one.hour)} ${y(one.rate)}`).join('')}L${x(b)} ${base}Z`;
		})
	);
</script>

{#if row}
	<svg
		width={wide}
		height={TOP + HIGH + 8}
		class="mt-8 block overflow-visible"
		role="img"
		aria-label="{words.drying}, {row.name}: {row.line || words.never}. {row.worst_text}"
	>
		<defs
			><pattern id="fast" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"
				><path d="M0 0V7" class="stroke-flag stroke-[1.8px]" /></pattern
			></defs
		>
		<path d="M{LEFT} 20H{LEFT + tape.width}" class="stroke-ink stroke-[1.6px]" />
		{#each ticks(tape) as hour (hour)}
			<path d="M{x(hour)} 20v6" class="stroke-ink stroke-[1.6px]" />
			<text x={x(hour)} y="14" text-anchor="middle" class="fill-ink text-label font-mid">{clock(hour, sheet.jumps)}</text>
		{/each}
		{#if LEFT}
			<text x="0" y={TOP + 34} class="fill-ink text-body font-heavy">{words.drying}</text>
			<text x="0" y={TOP + 52} class="fill-ink2 text-label font-mid">{row.name}</text>
		{/if}
		<path d="M{LEFT} {y(sheet.limit_kg_m2_h)}H{LEFT + tape.width}" class="stroke-ink stroke-[1.6px]" />
		<text x={LEFT + 2} y={y(sheet.limit_kg_m2_h) - 5} class="fill-ink text-label font-heavy">{sheet.limit_text}</text>
		<path d="M{LEFT} {TOP + HIGH}H{LEFT + tape.width}" class="stroke-hair" />
		{#each over as d, i (i)}<path {d} fill="url(#fast)" class="stroke-none" data-too-fast />{/each}
		<path d={line(shown)} class="fill-none stroke-ink2 stroke-[1.4px] [stroke-dasharray:2_4]" />
		<path d={line(fresh)} class="fill-none stroke-chalk stroke-[2.6px]" />
		{#each knots as one (one.hour)}<circle
				cx={x(one.hour)}
				cy={y(one.rate)}
				r="4.5"
				class={['stroke-2', one.rate > sheet.limit_kg_m2_h ? 'fill-flag stroke-flag' : 'fill-bench stroke-chalk']}
			/>{/each}
		<text
			x={LEFT + tape.width}
			y={TOP + 3}
			text-anchor="end"
			class={['text-note font-heavy', row.line ? 'fill-flag' : 'fill-ink']}>{row.line || words.never}</text
		>
		<path d="M{x(data.hour)} 20V{TOP + HIGH}" class="stroke-ink stroke-[1.4px] [stroke-dasharray:2_3]" />
		<path d="M{x(data.hour) - 6} 14h12v7l-6 8l-6 -8z" class="fill-board stroke-board-ink" />
	</svg>
	<p class="label" data-drying={row.name}>{LEFT ? '' : `${row.name}. `}{row.worst_text}; {words.otherFormula(row.other_text)}</p>
{/if}
