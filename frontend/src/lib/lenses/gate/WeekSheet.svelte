<script lang="ts">
	/** The pours of the week at one scale, with the hands they have, and dashed those short. */
	import { boundsOf, Viewport, type XY } from '../../drawing/viewport';
	import type { JobStore } from '../../state/job.svelte';
	import { w } from '../../words/words';
	import { holdWords } from '../../words/holds';
	import { dayText } from '../../ui/days';
	import type { WeekData } from './week.svelte';
	let { data, store }: { data: WeekData; store: JobStore } = $props();
	const words = holdWords.week;
	let width = $state(400);
	let height = $state(600);
	const pours = $derived(
		(data.week?.stops ?? [])
			.filter((stop) => stop.pour)
			.flatMap((stop) => {
				const job = data.week?.lanes.find((one) => one.id === stop.job);
				return job?.outline ? [{ stop, job, box: boundsOf(job.outline) }] : [];
			})
			.slice(0, 4)
	);
	const each = $derived((height - 78) / Math.max(1, pours.length));
	/** in the hand there is no room for the slabs themselves */
	const drawn = $derived(each > 130);
	const scale = $derived(
		Math.min(
			...pours.map(({ box }) =>
				Math.min((width - 60) / Math.max(1, box.x1 - box.x0), (each - 92) / Math.max(1, box.y1 - box.y0))
			),
			0.1
		)
	);
</script>

<section
	class="sheet relative min-h-0 min-w-0 overflow-hidden bg-sheet"
	aria-label={w.sheet.name}
	bind:clientWidth={width}
	bind:clientHeight={height}
>
	<div class="px-20 pt-14">
		<h2 class="text-key font-heavy">{words.sheet}</h2>
		<p class="text-note">{pours.length ? words.sheetHow : words.noPours}</p>
	</div>
	<svg class="absolute inset-0" {width} {height} aria-hidden="true" data-pours={pours.length}>
		{#each pours as { stop, job, box }, i (`${job.id}${stop.day}`)}
			{@const y = 74 + i * each}
			{@const view = new Viewport(scale, 24 - box.x0 * scale, y + 44 + box.y1 * scale)}
			{@const [cx, cy] = view.px([(box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2])}
			{@const hands = [
				...stop.people.map((name) => data.week?.people.find((one) => one.name === name)?.letter ?? '?'),
				...Array(stop.short).fill('')
			]}
			{@const step = Math.min(30, ((box.x1 - box.x0) * scale - 20) / Math.max(1, hands.length))}
			<text x="24" y={y + 16} class="fill-ink text-body font-heavy">{job.name}, {stop.clock}</text>
			<text x="24" y={y + 34} class={['text-note', stop.short ? 'fill-flag font-heavy' : 'fill-ink2']}
				>{dayText(data.week?.days[stop.day] ?? data.from)}, {job.order_text}, {words.needs(stop.needed)}{stop.short
					? `, ${words.short(stop.short)}`
					: ''}</text
			>
			{#if drawn}
				<path
					d={view.path([job.outline as XY[], ...(job.openings as XY[][])])}
					fill-rule="evenodd"
					class="fill-slab stroke-ink stroke-2"
				/>
				{#each hands as letter, n (n)}
					<g transform="translate({cx + (n - (hands.length - 1) / 2) * step} {cy})">
						<circle
							r="12"
							class={letter ? 'fill-sheet stroke-ink stroke-[1.6px]' : 'fill-none stroke-flag stroke-2 [stroke-dasharray:4_3]'}
						/>
						<text y="5" text-anchor="middle" class="fill-ink text-label font-heavy">{letter}</text>
					</g>
				{/each}
			{/if}
		{/each}
	</svg>
	<span class="sr-only">{store.kept?.document.name}</span>
</section>
