<script lang="ts">
	/** A job's line over the days of the yard: what is done, what is booked, and its pour as the outline of its slab. */
	import type { YardJob } from '../api/schema';
	import { boundsOf } from '../drawing/viewport';
	import { daysApart, whenText } from '../ui/days';
	import { middleOf, SHOWN } from './dates';
	let { job, from, width, clash }: { job: YardJob; from: string; width: number; clash: boolean } = $props();
	const HIGH = 84;
	const Y = 50;
	const at = (on: string) => daysApart(from, on);
	const inside = (n: number) => n >= 0 && n < SHOWN;
	const marks = $derived((job.days ?? []).map((one) => ({ ...one, n: at(one.on) })).filter((one) => inside(one.n)));
	const pour = $derived(job.pour_at ? at(job.pour_at) : null);
	const spots = $derived(
		[...marks.map((one) => middleOf(one.n, width)), ...(pour !== null && inside(pour) ? [middleOf(pour, width)] : [])].sort(
			(a, b) => a - b
		)
	);
	const slab = $derived.by(() => {
		if (!job.outline) return '';
		const box = boundsOf(job.outline);
		const scale = Math.min(44 / (box.x1 - box.x0), 26 / (box.y1 - box.y0));
		const [cx, cy] = [(box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2];
		return (
			job.outline
				.map((p, i) => `${i ? 'L' : 'M'}${((p[0] - cx) * scale).toFixed(1)} ${((cy - p[1]) * scale).toFixed(1)}`)
				.join('') + 'Z'
		);
	});
	const done = $derived(marks.filter((one) => one.done).map((one) => middleOf(one.n, width)));
</script>

<svg {width} height={HIGH} class="block overflow-visible" aria-hidden="true" data-pour={job.pour_at ?? ''}>
	{#if done.length}<path d="M{Math.min(...done)} {Y}H{Math.max(...done)}" class="stroke-chalk stroke-3" />{/if}
	{#each spots.slice(1) as x, i (i)}
		{@const from = spots[i] ?? 0}
		{#if !(done.includes(from) && done.includes(x))}<path
				d="M{from} {Y}Q{(from + x) / 2} {Y + Math.min(12, (x - from) / 8)} {x} {Y}"
				class="fill-none stroke-ink2 stroke-[1.6px] [stroke-dasharray:5_4]"
			/>{/if}
	{/each}
	{#each marks as one, i (one.key)}
		{@const x = middleOf(one.n, width)}
		<g transform="translate({x} {Y})">
			{#if one.done}<ellipse rx="8" ry="6" class="fill-chalk" />
			{:else}<path d="M-5 -10H5V6L0 14L-5 6Z" class="fill-board stroke-ink" />{/if}
			{#if one.n < 7 && !one.done}<text
					y={marks[i - 1] && Math.abs(marks[i - 1]!.n - one.n) < 2 && i % 2 ? 41 : 28}
					text-anchor="middle"
					class="fill-ink text-label font-mid">{one.name}</text
				>{/if}
		</g>
	{/each}
	{#if pour !== null && inside(pour)}
		{@const x = middleOf(pour, width)}
		<g transform="translate({x} {Y})">
			<path d={slab} class={['stroke-2', clash ? 'fill-bench stroke-flag' : 'fill-slab stroke-ink']} />
			<text y="-20" text-anchor="middle" class={['text-label font-heavy', clash ? 'fill-flag' : 'fill-ink']}
				>{whenText(job.pour_at ?? '')}</text
			>
		</g>
	{:else if job.pour_at}<text
			x={pour !== null && pour < 0 ? 4 : width - 4}
			y={Y + 5}
			text-anchor={pour !== null && pour < 0 ? 'start' : 'end'}
			class="fill-ink2 text-label font-mid"
			>{pour !== null && pour < 0 ? '‹ ' : ''}{whenText(job.pour_at)}{pour !== null && pour >= SHOWN ? ' ›' : ''}</text
		>{/if}
</svg>
