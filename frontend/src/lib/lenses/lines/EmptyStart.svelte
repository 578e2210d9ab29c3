<script lang="ts">
	/** An empty sheet: corner A between two strings on their profile boards, and what the next two calls would do. */
	import { w } from '../../words/words';
	let { width, height }: { width: number; height: number } = $props();
	const x = $derived(Math.max(70, width * 0.2));
	const y = $derived(height - Math.max(74, height * 0.24));
	const long = $derived(width - x - 40);
	const STRING = 'fill-none stroke-chalk stroke-[2px] [stroke-dasharray:9_6]';
	const BOARD = 'fill-board stroke-ink stroke-[1.6px]';
</script>

{#if height > 190}
	<svg class="pointer-events-none absolute inset-0" {width} {height} aria-hidden="true">
		<path d="M{x - 46} {y}H{x + long}M{x} {y + 46}V{96}" class={STRING} />
		<rect x={x - 58} y={y - 24} width="11" height="48" class={BOARD} />
		<rect x={x - 24} y={y + 46} width="48" height="11" class={BOARD} />
		<circle cx={x} cy={y} r="7" class="fill-chalk" />
		<rect x={x - 36} y={y + 9} width="26" height="26" class="fill-chalk stroke-ink stroke-[1.6px]" />
		<text x={x - 23} y={y + 28} text-anchor="middle" class="fill-on-chalk text-read font-heavy">A</text>
		<text x={x + 26} y={y - 14} class="fill-ink2 text-read font-label">{w.lines.startEast}</text>
		{#if height > 300}<text x={x + 18} y={(y + 96) / 2} class="fill-ink2 text-read font-label">{w.lines.startNorth}</text>{/if}
	</svg>
{/if}
