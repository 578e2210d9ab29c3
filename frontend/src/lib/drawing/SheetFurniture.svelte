<script lang="ts">
	/** North arrow and scale bar. */
	import { scaleBar } from './marks';
	import type { Viewport } from './viewport';
	import { w } from '../words/words';
	import { WORDY } from './labels';
	let {
		view,
		units,
		north,
		width,
		height,
		hint
	}: { view: Viewport; units: 'ft-in' | 'mm'; north: number; width: number; height: number; hint: string } = $props();
	const bar = $derived(scaleBar(units, view.scale));
	const long = $derived(bar.mm * view.scale);
</script>

<g transform="translate({width - 34} 40) rotate({-north})" aria-hidden="true">
	<path d="M0 -24l8 20h-5v20h-6v-20h-5z" fill="var(--color-ink)" />
</g>
{#if width >= WORDY}<text x={width - 34} y="84" text-anchor="middle" class="fill-ink text-note font-label">{w.sheet.north}</text
	>{/if}
<g transform="translate(20 {height - 22})">
	<rect width={long} height="7" fill="var(--color-well)" stroke="var(--color-ink)" stroke-width="1.4" />
	<rect width={long / 3} height="7" fill="var(--color-ink)" /><rect
		x={(long / 3) * 2}
		width={long / 3}
		height="7"
		fill="var(--color-ink)"
	/>
	<text x={long + 10} y="8" class="fill-ink text-note font-label">{bar.text}. {width > 420 ? hint : ''}</text>
</g>
