<script lang="ts">
	/** One way of making the edge, as a small section down to frost; all of them to one scale. */
	import type { Sketch } from '../../api/schema';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { shownLength } from '../../ui/typed';
	import { edges as edgeWords } from '../../words/edges';
	let { sketch, deepest, units }: { sketch: Sketch; deepest: number; units: 'ft-in' | 'mm' } = $props();
	let width = $state(300);
	const tall = 176;
	const scale = $derived((tall - 34) / deepest);
	const x0 = $derived(Math.max(70, width * 0.36));
	const top = 12;
	const y = (level: number) => top + (sketch.top_mm - level) * scale;
	const bottom = $derived(top + sketch.depth_mm * scale);
	const slab = $derived(top + sketch.slab_mm * scale);
	const wide = $derived(sketch.bottom_width_mm * scale);
	const knee = $derived(wide + sketch.run_per_rise * (sketch.depth_mm - sketch.slab_mm) * scale);
	const foam = $derived(sketch.foam_mm * scale);
	const text = $derived(
		shownLength(units === 'mm' ? Math.round(sketch.depth_mm) : Math.round((sketch.depth_mm / 25.4) * 16) * (25.4 / 16), units)
	);
</script>

<div bind:clientWidth={width}>
	<svg {width} height={tall} role="img" aria-label={edgeWords.deepEdge(text)}>
		<path d="M6 {y(sketch.ground_mm)}H{x0 - foam}" stroke="var(--color-ink)" stroke-width="2" />
		<path
			d="M14 {y(sketch.ground_mm) + 13}l8-9m-3 13l8-9m12-4l8-9m-3 13l8-9"
			stroke="var(--color-soil)"
			stroke-width="1.3"
			fill="none"
		/>
		<path d="M4 {y(sketch.frost_mm)}H{width - 4}" stroke="var(--color-ink)" stroke-width="1.4" stroke-dasharray="12 4 3 4" />
		<text x={width - 6} y={y(sketch.frost_mm) - 4} text-anchor="end" class="fill-ink2 text-label font-label"
			>{edgeWords.frost}</text
		>
		{#if sketch.wing_mm}
			{@const wy = y(sketch.ground_mm) + 26}
			<rect
				x={x0 - foam - sketch.wing_mm * scale}
				y={Math.min(wy, bottom - 6)}
				width={sketch.wing_mm * scale}
				height={Math.max(4, sketch.wing_foam_mm * scale)}
				fill="var(--color-well)"
				stroke="var(--color-ink)"
				stroke-width="1.3"
			/>
		{/if}
		{#if foam}
			<rect x={x0 - foam} y={top} width={foam} height={bottom - top} fill="var(--color-well)" />
			<rect
				x={x0 - foam}
				y={top}
				width={foam}
				height={bottom - top}
				fill="url(#zig)"
				stroke="var(--color-ink)"
				stroke-width="1.3"
			/>
		{/if}
		{#if sketch.footing_wide_mm}
			<rect
				x={x0 + wide / 2 - (sketch.footing_wide_mm * scale) / 2}
				y={bottom}
				width={sketch.footing_wide_mm * scale}
				height={sketch.footing_deep_mm * scale}
				fill="url(#deep)"
				stroke="var(--color-ink)"
				stroke-width="2.2"
			/>
			<path d="M{x0} {top}H{x0 + wide}V{bottom}H{x0}Z" fill="url(#deep)" stroke="var(--color-ink)" stroke-width="2.2" />
			<path
				d="M{x0 + wide + 3} {top}H{width - 18}V{slab}H{x0 + wide + 3}Z"
				fill="url(#deep)"
				stroke="var(--color-ink)"
				stroke-width="2.2"
			/>
		{:else}
			<path
				d="M{x0} {top}H{width - 18}V{slab}H{Math.min(x0 + knee, width - 18)}L{x0 + wide} {bottom}H{x0}Z"
				fill="url(#deep)"
				stroke="var(--color-ink)"
				stroke-width="2.2"
			/>
		{/if}
		<text
			x={x0 + wide / 2}
			y={Math.min((top + bottom) / 2 + 6, tall - 8)}
			text-anchor="middle"
			class="fill-ink stroke-water stroke-5 text-key font-[800] [paint-order:stroke]"><SvgFrac {text} /></text
		>
	</svg>
</div>
