<script lang="ts">
	/** The set clock: a ribbon for every load in every zone, in the order of the pour, on the tape of the drying string. */
	import type { DaySheet, EventTold, RibbonTold } from '../../api/schema';
	import { gateWords as words } from '../../words/gate';
	import { keyOf, type DayData } from './gate.svelte';
	import { ribbon, spread, teeth } from './ribbon';
	import { span, xOf } from './tape';
	let { data, sheet, wide }: { data: DayData; sheet: DaySheet; wide: number } = $props();
	const hand = $derived(wide < 480);
	const LEFT = $derived(hand ? 0 : 106);
	const RIGHT = 16;
	const ROW = $derived(hand ? 88 : 58);
	const THICK = 9;
	const tape = $derived({ ...span(sheet), width: Math.max(120, wide - LEFT - RIGHT) });
	const x = (hour: number) => LEFT + Math.min(tape.width, Math.max(0, xOf(tape, hour)));
	const of = (row: RibbonTold, key: string): EventTold | null => row.events.find((one) => one.key === key && one.span) ?? null;
	/** where the ribbon ends: its saw window, its ice, else the edge of the tape */
	const ends = (row: RibbonTold) => row.freezes_h ?? of(row, 'saw_until')?.span?.at_h ?? tape.to;
	const taut = (row: RibbonTold) => Math.min(of(row, 'final')?.span?.at_h ?? tape.to, ends(row));
	const seen = (row: RibbonTold) => sheet.prints.filter((one) => one.zone === row.zone && one.truck === row.truck);
	/** what is written over a ribbon, each where it has room */
	function said(row: RibbonTold) {
		const [float, set, from, until] = ['float_at', 'final', row.saw, 'saw_until'].map((key) => of(row, key));
		const rows = [
			float && { x: x(float.span?.at_h ?? 0), text: `${words.float} ${float.at_text}`, flag: false },
			set && { x: x(set.span?.at_h ?? 0) + 16, text: `${words.set} ${set.at_text}`, flag: false },
			!row.no_saw &&
				from &&
				until && {
					x: (x(from.span?.at_h ?? 0) + x(until.span?.at_h ?? 0)) / 2,
					text: words.saw(from.at_text, until.at_text),
					flag: false
				}
		].filter((one): one is { x: number; text: string; flag: boolean } => Boolean(one));
		const places = spread(
			rows.map((one) => ({ x: one.x, width: one.text.length * 7.1 })),
			10,
			LEFT + tape.width + RIGHT
		);
		return rows.flatMap((one, i) => (places[i] === null ? [] : [{ ...one, left: Math.max(LEFT, places[i] ?? 0) }]));
	}
	const brackets = (row: RibbonTold) =>
		['float_at', 'final'].map((key) => of(row, key)?.span).filter((one) => one !== null && one !== undefined);
	function press(row: RibbonTold, event: KeyboardEvent) {
		if (event.key !== 'Enter' && event.key !== ' ') return;
		event.preventDefault();
		data.picked = keyOf(row);
	}
	const speaks = (row: RibbonTold) =>
		`${row.name}, ${words.load(row.truck)}. ${row.events
			.filter((one) => one.span)
			.map((one) => `${one.name} ${one.low_text} to ${one.high_text}`)
			.join(', ')}. ${row.line}`;
</script>

<h2 class="mt-8">{words.clock}</h2>
<p class="text-note" data-sets>{sheet.sets}</p>
<p class="label">{words.clockHow}</p>
<svg width={wide} height={sheet.ribbons.length * ROW + 6} class="block overflow-visible" role="group" aria-label={words.clock}>
	{#each sheet.ribbons as row, i (keyOf(row))}
		{@const y = i * ROW + (hand ? 62 : 36)}
		{@const on = data.ribbon !== null && keyOf(data.ribbon) === keyOf(row)}
		<g>
			<rect x="-6" y={i * ROW + 1} width={wide + 12} height={ROW - 2} class={on ? 'fill-chalk-tint' : 'fill-transparent'} />
			<text x="0" y={hand ? i * ROW + 20 : y} class="fill-ink text-body font-heavy">{row.name}</text>
			<text x={hand ? row.name.length * 8.4 + 8 : 0} y={hand ? i * ROW + 20 : y + 16} class="fill-ink2 text-label font-mid"
				>{words.load(row.truck)}</text
			>
			<path d={ribbon(x(row.from_h), x(taut(row)), x(ends(row)), y, 8, THICK)} class="fill-line stroke-ink stroke-[1.2px]" />
			<path d="M{x(row.from_h)} {y - 10}v20" class="stroke-ink stroke-[3px]" />
			{#if of(row, row.saw) && of(row, 'saw_until')}
				{@const from = x(of(row, row.saw)?.span?.at_h ?? 0)}
				{@const until = x(of(row, 'saw_until')?.span?.at_h ?? 0)}
				<path d={teeth(from, until, y + THICK / 2, row.saw === 'early_saw' ? 3 : 6)} class="fill-ink" data-teeth={row.saw} />
				<path d="M{from} {y - 10}v20M{until} {y - 10}v20" class="stroke-ink stroke-[3px]" />
			{/if}
			{#each brackets(row) as one, k (k)}
				<path
					d="M{x(one.low_h)} {y - 17}H{x(one.high_h)}M{x(one.low_h) - 3} {y - 21}l3 4v10M{x(one.low_h) + 3} {y - 21}l-3 4M{x(
						one.high_h
					) - 3} {y - 21}l3 4v10M{x(one.high_h) + 3} {y - 21}l-3 4"
					class="fill-none stroke-ink stroke-[1.5px]"
				/>
				<path d="M{x(one.at_h)} {y - 21}v8" class="stroke-chalk stroke-[2.4px]" />
			{/each}
			{#each seen(row) as one (one.record)}<circle
					cx={x(one.at_h)}
					cy={y}
					r="6"
					class={['stroke-2', one.seen === 'print' ? 'fill-chalk stroke-bench' : 'fill-bench stroke-chalk']}
				/>{/each}
			{#each said(row) as one}<text x={one.left} y={y - 24} class="fill-ink text-label font-strong">{one.text}</text>{/each}
			{#if row.line}<text x={LEFT + tape.width + RIGHT} y={y + 20} text-anchor="end" class="fill-flag text-label font-heavy"
					>{row.line}</text
				>{:else if row.was_float_text}<text x={x(row.from_h) + 4} y={y + 20} class="fill-ink2 text-label line-through"
					>{words.float} {row.was_float_text}</text
				>{/if}
			{#if row.freezes_h !== null}<path
					d="M{x(row.freezes_h) - 3} {y - 12}l6 8l-6 8l6 8"
					class="fill-none stroke-flag stroke-[2.6px]"
				/>{/if}
			<rect
				x="-6"
				y={i * ROW + 1}
				width={wide + 12}
				height={ROW - 2}
				class="cursor-pointer fill-transparent"
				role="button"
				tabindex="0"
				aria-label={speaks(row)}
				aria-pressed={on}
				onclick={() => (data.picked = keyOf(row))}
				onkeydown={(event) => press(row, event)}
				data-ribbon={keyOf(row)}
			/>
		</g>
	{/each}
	<path
		d="M{x(data.hour)} 0V{sheet.ribbons.length * ROW}"
		class="pointer-events-none stroke-ink stroke-[1.4px] [stroke-dasharray:2_3]"
	/>
</svg>
