<script lang="ts">
	/** Shade over the plan at the hour of the peg, what throws it, and each zone's sun and set. */
	import type { Viewport, XY } from '../../drawing/viewport';
	import { shownLength } from '../../ui/typed';
	import { keyOf, type DayData } from './gate.svelte';
	let { view, data }: { view: Viewport; data: DayData } = $props();
	const moment = $derived(data.moment);
	const blocking = $derived(data.state?.blocking ?? []);
	const zones = $derived(data.sheet?.zones ?? []);
	const middle = (ring: readonly (readonly number[])[]): XY =>
		view.px([
			ring.reduce((sum, p) => sum + (p[0] ?? 0), 0) / ring.length,
			ring.reduce((sum, p) => sum + (p[1] ?? 0), 0) / ring.length
		]);
	const high = (mm: number) => shownLength(mm, data.store.units);
	const own = $derived(data.ribbon);
	/** on a phone the names and their hours alone have room */
	const small = $derived(view.scale < 0.026);
	const box = (zone: (typeof zones)[number]) => {
		const rows = small ? [zone.name, zone.sets_text.replace('sets ', '')] : [zone.name, zone.sun_text, zone.sets_text];
		const said = rows.filter(Boolean);
		return {
			rows: said,
			wide: Math.max(...said.map((row, i) => row.length * (i || small ? 7 : 8.2))) + (small ? 6 : 14),
			tall: said.length * 17 + 6
		};
	};
	function choose(zone: string) {
		const row = data.sheet?.ribbons.find((one) => one.zone === zone);
		if (row) data.picked = keyOf(row);
	}
</script>

<defs>
	<pattern id="shade" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
		<path d="M0 0V9" class="stroke-ink2 stroke-[1.6px]" />
	</pattern>
</defs>
{#if moment?.shade.length}
	<path
		d={view.path(moment.shade as number[][][])}
		fill="url(#shade)"
		fill-rule="evenodd"
		class="stroke-ink [stroke-dasharray:5_4]"
		data-shade={moment.shade.length}
	/>
{/if}
{#each blocking as one, i (`${one.id}${i}`)}
	<path
		d={view.path([one.ring])}
		class={['stroke-ink stroke-2', one.what === 'tree' ? 'fill-hair [stroke-dasharray:2_3]' : 'fill-line']}
		data-blocking={one.name}
	/>
	{@const [x, y] = middle(one.ring)}
	{@const text = `${one.name} ${high(one.top_mm)}`}
	{@const narrow = Math.max(...one.ring.map((p) => Math.abs(view.px(p)[0] - x))) * 2 < text.length * 6.6}
	{#if !small}<g transform="translate({x} {y}) {narrow ? 'rotate(-90)' : ''}">
			<rect x={-text.length * 3.6} y="-10" width={text.length * 7.2} height="19" class="fill-sheet" />
			<text text-anchor="middle" y="5" class="fill-ink text-label font-mid">{text}</text>
		</g>{/if}
{/each}
{#each zones as zone (zone.zone)}
	{@const [x, y] = view.px(zone.at)}
	{@const { rows, wide, tall } = box(zone)}
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the ribbons are pressed with keys) -->
	<g transform="translate({x} {y})" class="cursor-pointer" onclick={() => choose(zone.zone)} data-zone-sun={zone.name}>
		<rect
			x={-wide / 2}
			y={-tall / 2}
			width={wide}
			height={tall}
			class={['fill-sheet', own?.zone === zone.zone ? 'stroke-chalk stroke-[2.4px]' : 'stroke-ink stroke-[1.2px]']}
		/>
		{#each rows as row, i}
			<text
				text-anchor="middle"
				y={-tall / 2 + 16 + i * 17}
				class={[
					i || small ? 'text-label font-mid' : 'text-body font-heavy',
					row.startsWith('freezes') ? 'fill-flag' : 'fill-ink'
				]}>{row}</text
			>
		{/each}
	</g>
{/each}
