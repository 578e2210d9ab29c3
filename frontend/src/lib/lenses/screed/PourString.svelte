<script lang="ts">
	/** The pour as a string: a knot where each strip starts, the bob at the time that is looked at. Arrows go a minute, Shift ten. */
	import { Slider } from 'bits-ui';
	import { screed as words } from '../../words/screed';
	import type { StripsData } from './strips.svelte';
	let { data, now, go }: { data: StripsData; now: number; go: (minutes: number) => void } = $props();
	let wide = $state(520);
	const end = $derived(Math.max(1, Math.ceil(data.found?.end_min ?? 1)));
	const x = (minutes: number) => 14 + (minutes / end) * (wide - 28);
	/* a knot's time is written where the one before it leaves room */
	const marks = $derived.by(() => {
		let last = -99;
		return data.strips.map((row) => {
			const at = x(row.start_min);
			const told = at - last > 44;
			if (told) last = at;
			return { row, at, told };
		});
	});
	function keys(event: KeyboardEvent) {
		if (!event.shiftKey || !['ArrowLeft', 'ArrowRight'].includes(event.key)) return;
		event.preventDefault();
		event.stopPropagation();
		go(Math.max(0, Math.min(end, now + (event.key === 'ArrowLeft' ? -10 : 10))));
	}
</script>

<div class="relative mt-10" bind:clientWidth={wide} role="presentation" onkeydowncapture={keys}>
	<svg width={wide} height="74" class="block" aria-hidden="true">
		<path d="M14 36H{x(now)}" class="stroke-chalk stroke-[3px]" />
		<path d="M{x(now)} 36H{wide - 14}" class="stroke-line stroke-2 [stroke-dasharray:7_4]" />
		{#each marks as { row, at, told } (row.id)}
			<circle cx={at} cy="36" r="6" class={['stroke-ink stroke-2', now > row.start_min ? 'fill-chalk' : 'fill-bench']} />
			<text x={at} y="20" text-anchor="middle" class={['text-key font-black', row.wrong.length ? 'fill-flag' : 'fill-ink']}
				>{row.n}</text
			>
			{#if told}<text x={at} y="66" text-anchor="middle" class="fill-ink text-label">{row.start_text}</text>{/if}
		{/each}
	</svg>
	<Slider.Root
		type="single"
		class="absolute inset-x-14 top-14 flex h-44 touch-none items-center"
		min={0}
		max={end}
		step={1}
		thumbPositioning="exact"
		bind:value={() => now, (value) => go(value)}
	>
		<Slider.Thumb index={0} class="block size-44 cursor-grab" aria-label={words.slide}>
			<svg viewBox="0 0 44 44" class="block size-44" aria-hidden="true">
				<path d="M22 14v6M13 20h18v8l-9 12l-9 -12z" class="fill-ink stroke-ink stroke-2" />
			</svg>
		</Slider.Thumb>
	</Slider.Root>
</div>
