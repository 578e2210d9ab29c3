<script lang="ts">
	/** From now to the pour: the flags of what holds it at the days on which each is lifted, and the stake of the pour. */
	import type { GateHold } from '../../api/schema';
	import { holdWords as words } from '../../words/holds';
	import { daysApart, plus, shortDay, today } from '../../ui/days';
	let { holds, pourAt, wide }: { holds: readonly GateHold[]; pourAt: string | null; wide: number } = $props();
	const FAR = 21;
	const lifts = $derived([pourAt, ...holds.map((row) => row.lifts_at)].flatMap((at) => (at ? [at.slice(0, 10)] : [])).sort());
	const last = $derived(lifts.at(-1) ?? today());
	/* where all of it is far ahead, the line begins shortly before the first of it */
	const now = $derived(daysApart(today(), last) > FAR ? plus(lifts[0] ?? last, -2) : today());
	const days = $derived(Math.max(1, daysApart(now, last)));
	const left = 44;
	const right = 64;
	const xOf = (at: string) => left + (Math.max(0, daysApart(now, at)) / days) * (wide - left - right);
	/** days on which anything is lifted, with how many */
	const flags = $derived(
		[
			...Map.groupBy(
				holds.filter((row) => row.lifts_at),
				(row) => row.lifts_at!.slice(0, 10)
			)
		].map(([day, rows]) => ({ day, rows }))
	);
	const marks = $derived(
		[...Array(days + 1).keys()]
			.map((n) => plus(now, n))
			.filter((_, n) => n % Math.max(1, Math.ceil(days / Math.max(2, wide / 90))) === 0)
	);
	const sag = (from: number, to: number) => `M${from} 52Q${(from + to) / 2} ${52 + Math.min(14, (to - from) / 10)} ${to} 52`;
	const stake = $derived(pourAt ? xOf(pourAt) : null);
	const path = $derived.by(() => {
		const ends = [left, ...flags.map(({ day }) => xOf(day)), ...(stake === null ? [] : [stake])].sort((a, b) => a - b);
		return ends
			.slice(1)
			.map((x, i) => sag(ends[i]!, x))
			.join('');
	});
</script>

<svg width={wide} height="104" class="mt-8 block overflow-visible" aria-hidden="true" data-hold-line={holds.length}>
	{#each marks as day (day)}
		<path d="M{xOf(day)} 4V90" class="stroke-hair" /><text x={xOf(day) + 5} y="15" class="fill-ink2 text-label font-mid"
			>{shortDay(day)}</text
		>
	{/each}
	<path d={path} class="fill-none stroke-ink2 stroke-2 [stroke-dasharray:6_5]" />
	{#if now === today()}<path d="M{left} 38V66" class="stroke-flag stroke-[2.6px]" /><text
			x={left - 6}
			y="58"
			text-anchor="end"
			class="fill-flag text-label font-heavy">{words.now}</text
		>{:else}<path d="M{left - 30} 52h14m6 0h10" class="stroke-ink2 stroke-2 [stroke-dasharray:3_4]" />{/if}
	{#each flags as { day, rows } (day)}
		<g transform="translate({xOf(day)} 48)">
			<path d="M-6 6l-7 18 7-4 4 5 3-18zM6 6l7 18-7-4-4 5-3-18z" class="fill-flag stroke-ink" /><rect
				x="-8"
				y="-8"
				width="16"
				height="15"
				class="fill-flag stroke-ink"
			/>
			<text y="42" text-anchor="middle" class="fill-flag text-label font-heavy">{rows.length}</text>
		</g>
	{/each}
	{#if stake !== null}
		<g transform="translate({stake} 50)">
			<path d="M-7 -24H7V12L0 26L-7 12Z" class="fill-board stroke-ink stroke-2" />
			<text x="13" y="6" class="fill-ink text-body font-heavy">{words.pour}</text>
		</g>
	{/if}
</svg>
