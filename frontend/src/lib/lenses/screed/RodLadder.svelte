<script lang="ts">
	/** The rod at a pad, drawn tall: marks a sixteenth apart, the band where a pad is right, the laser where it strikes. Press a mark. */
	import type { RodStep } from '../../api/schema';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { screed as words } from '../../words/screed';
	let { steps, at, take }: { steps: readonly RodStep[]; at: number; take: (index: number) => void } = $props();
	let wide = $state(360);
	const ROW = 12;
	const EDGE = 8;
	const middle = $derived((steps.length - 1) / 2);
	const high = $derived(steps.length * ROW + 2 * EDGE);
	/* a rod grows upward: the longest reading, the lowest pad, stands at the top */
	const y = (i: number) => (steps.length - 1 - i + 0.5) * ROW + EDGE;
	const good = $derived(steps.flatMap((row, i) => (row.right ? [i] : [])));
	function press(event: PointerEvent) {
		const box = (event.currentTarget as SVGElement).getBoundingClientRect();
		const index = steps.length - 1 - Math.floor((event.clientY - box.top - EDGE) / ROW);
		if (steps[index]) take(index);
	}
</script>

<div bind:clientWidth={wide}>
	<!-- the two presses beside it step the same reading -->
	<svg
		width={wide}
		height={high}
		class="block cursor-pointer touch-none border-y-2 border-ink bg-well"
		onpointerdown={press}
		data-rod-ladder
		aria-hidden="true"
	>
		{#if good.length}<rect
				x="120"
				y={y(Math.max(...good)) - ROW / 2}
				width={wide - 120}
				height={(Math.max(...good) - Math.min(...good) + 1) * ROW}
				class="fill-chalk-tint"
			/>{/if}
		<path d="M20 0V{high}M120 0V{high}" class="stroke-ink stroke-[3px]" />
		{#each steps as row, i (i)}
			{@const long = (i - middle) % 4 === 0}
			<path d="M20 {y(i)}h{long ? 30 : 16}" class="stroke-ink stroke-[1.6px]" />
			{#if long}<text x="56" y={y(i) + 5} class="fill-ink text-note font-[680]"><SvgFrac text={row.text} /></text>{/if}
		{/each}
		<path d="M120 {y(middle)}H{wide}" class="stroke-chalk stroke-2 [stroke-dasharray:9_5]" />
		<text x={wide - 8} y={y(middle) - 6} text-anchor="end" class="fill-chalk text-note font-[680]">{words.laserHere}</text>
		{#if steps[at]}
			<path d="M0 {y(at)}H{wide}" class="stroke-paint stroke-3 [stroke-dasharray:12_6]" />
			<path d="M0 {y(at) - 9}v18l15 -9z" class="fill-paint" />
		{/if}
	</svg>
</div>
