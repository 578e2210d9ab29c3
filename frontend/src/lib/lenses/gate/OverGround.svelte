<script lang="ts">
	/** The ground as it will lie on the picked day: what is laid is drawn, what waits is dashed in chalk; rain falls on what is open. */
	import type { Viewport, XY } from '../../drawing/viewport';
	import { dayText, today } from '../../ui/days';
	import type { GateData } from './holds.svelte';
	import { laidOn } from './laid';
	let { view, data }: { view: Viewport; data: GateData } = $props();
	const day = $derived(data.day || data.schedule?.pour_at?.slice(0, 10) || today());
	const laid = $derived(laidOn(data.schedule?.tasks ?? [], day));
	const is = (key: string) => laid.find((one) => one.key === key);
	const ring = $derived((data.store.document?.outline ?? []) as XY[]);
	const wet = $derived(data.schedule?.days.find((one) => one.on === day) ?? null);
	const waits = $derived(laid.find((one) => !one.there) ?? null);
	const middle = $derived(
		view.px([
			ring.reduce((sum, p) => sum + p[0], 0) / (ring.length || 1),
			ring.reduce((sum, p) => sum + p[1], 0) / (ring.length || 1)
		])
	);
	const box = $derived.by(() => {
		const at = ring.map((p) => view.px(p));
		const [xs, ys] = [at.map((p) => p[0]), at.map((p) => p[1])];
		return { x: Math.min(...xs), y: Math.min(...ys), w: Math.max(...xs) - Math.min(...xs), h: Math.max(...ys) - Math.min(...ys) };
	});
</script>

<defs>
	<pattern id="stones" width="22" height="16" patternUnits="userSpaceOnUse">
		<ellipse cx="6" cy="5" rx="5" ry="3" class="fill-none stroke-ink2" /><ellipse
			cx="17"
			cy="12"
			rx="4"
			ry="2.6"
			class="fill-none stroke-ink2"
		/>
	</pattern>
	<pattern id="rain-on" width="12" height="22" patternUnits="userSpaceOnUse" patternTransform="skewX(-14)">
		<path d="M6 2V13" class="stroke-chalk stroke-[1.4px]" />
	</pattern>
</defs>
<path
	d={view.path([ring])}
	fill={is('pour')?.there ? 'none' : is('stone')?.there ? 'url(#stones)' : 'none'}
	class="pointer-events-none stroke-ink stroke-2"
/>
{#if is('barrier')}<path
		d={view.path([ring])}
		class={[
			'pointer-events-none fill-none stroke-chalk stroke-[3px] [stroke-dasharray:10_6]',
			is('barrier')?.there && 'fill-chalk-tint opacity-70'
		]}
	/>{/if}
{#if wet && wet.rain_mm >= 1}<rect
		x={box.x - 20}
		y={box.y - 20}
		width={box.w + 40}
		height={box.h + 40}
		fill="url(#rain-on)"
		class="pointer-events-none"
	/>{/if}
{#if waits}
	<g transform="translate({middle[0]} {middle[1]})" class="pointer-events-none">
		<rect x="-112" y="-15" width="224" height="24" class="fill-sheet" /><text
			text-anchor="middle"
			y="3"
			class="fill-chalk text-body font-heavy">{waits.name} {dayText(waits.on)}</text
		>
	</g>
{/if}
