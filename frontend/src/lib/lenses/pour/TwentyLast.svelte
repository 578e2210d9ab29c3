<script lang="ts">
	/** Twenty pours again, but of what the last truck must bring; the board strikes them off at the call, hatched is what would lack. */
	import { follow } from '../../drawing/follow';
	import { pourWords } from '../../words/pour';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { typedSize } from './minutes';
	import type { PourData } from './pour.svelte';
	let { data, m3 }: { data: PourData; m3: number } = $props();
	const own = $props.id();
	const words = pourWords.left;
	const HIGH = 190;
	const LEFT = 58;
	let wide = $state(640);
	const left = $derived(data.left!);
	const needs = $derived(left.needs_m3);
	const step = $derived(left.step_m3);
	const top = $derived(Math.max(...needs, m3, left.least_m3) + step);
	const low = $derived(Math.max(0, Math.min(...needs.filter((one) => one > 0), m3 || Infinity) - 3 * step));
	const y = (value: number) => 10 + (1 - (value - low) / Math.max(step, top - low)) * (HIGH - 34);
	const each = $derived((wide - LEFT - 40) / needs.length);
	const marks = $derived.by(() => {
		const out: number[] = [];
		for (let value = Math.ceil(low / step) * step; value < top; value += step) out.push(value);
		return out.length > 9 ? out.filter((_, i) => i % 2 === 0) : out;
	});
	function drag(event: PointerEvent) {
		const target = event.currentTarget as SVGElement;
		const frame = target.ownerSVGElement?.getBoundingClientRect();
		if (!frame) return;
		target.setPointerCapture(event.pointerId);
		event.preventDefault();
		follow(
			target,
			(now) => {
				const value = low + (1 - (now.clientY - frame.top - 10) / (HIGH - 34)) * (top - low);
				const steps = Math.round(value / step) * step;
				data.weighed = steps < left.least_m3 - 1e-6 ? 0 : Math.min(left.most_m3, steps);
			},
			() => undefined
		);
	}
</script>

<p class="mt-10 text-note">{words.twenty}</p>
<div bind:clientWidth={wide}>
	<svg
		width={wide}
		height={HIGH}
		role="img"
		aria-label={words.struckAt(typedSize(m3, data.store.units), needs.filter((one) => one > m3 + 1e-9).length)}
	>
		<defs>
			<pattern id="{own}-lack" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
				<path d="M0 0v7" class="stroke-flag stroke-[2px]" />
			</pattern>
		</defs>
		{#each marks as value (value)}
			<path d="M{LEFT - 8} {y(value)}H{wide - 30}" class="stroke-hair" />
			<text x={LEFT - 12} y={y(value) + 5} text-anchor="end" class="fill-ink text-label"
				><SvgFrac text={typedSize(value, data.store.units)} /></text
			>
		{/each}
		{#each needs as need, i (i)}
			{@const at = LEFT + i * each}
			<rect
				x={at + 1}
				y={y(Math.min(need, m3))}
				width={each - 3}
				height={Math.max(0, HIGH - 24 - y(Math.min(need, m3)))}
				class="fill-slab stroke-ink2"
			/>
			{#if need > m3 + 1e-9}<rect
					x={at + 1}
					y={y(need)}
					width={each - 3}
					height={Math.max(0, y(Math.max(m3, low)) - y(need))}
					fill="url(#{own}-lack)"
					class="stroke-flag"
					data-lacks
				/>{/if}
		{/each}
		<path d="M{LEFT - 4} {HIGH - 24}H{wide - 30}" class="stroke-ink stroke-[2.4px]" />
		{#if m3 > low}
			<!-- svelte-ignore a11y_no_static_element_interactions (the two presses beneath move it) -->
			<g class="cursor-ns-resize touch-none" onpointerdown={drag} data-board>
				<rect x={LEFT - 6} y={y(m3) - 22} width={wide - LEFT - 20} height="44" class="fill-transparent" />
				<rect x={LEFT - 6} y={y(m3) - 7} width={wide - LEFT - 20} height="14" class="fill-board stroke-ink stroke-[1.6px]" />
			</g>
		{/if}
		<text x={LEFT + each * 9.5} y={HIGH - 6} class="fill-ink2 text-label" text-anchor="middle">10</text>
		<text x={LEFT + each * 19.5} y={HIGH - 6} class="fill-ink2 text-label" text-anchor="middle">20</text>
	</svg>
</div>
