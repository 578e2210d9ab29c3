<script lang="ts">
	/** On the plan, under everything else: what can be pressed for a call, what is pressed, and what a call would bring. */
	import { sizeLine } from '../../drawing/marks';
	import type { Viewport, XY } from '../../drawing/viewport';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { shownLength } from '../../ui/typed';
	import { edges as edgeWords } from '../../words/edges';
	import type { CallHere } from './call_here.svelte';
	interface BayPressed {
		beam: string;
		side: string;
		behind: boolean;
		text: string;
	}
	let { view, call, tab, openBay }: { view: Viewport; call: CallHere; tab: string; openBay?: (bay: BayPressed, at: XY) => void } =
		$props();
	const store = $derived(call.store);
	const ring = $derived(store.document?.outline ?? []);
	$effect(() => {
		call.view = view;
	});
	$effect(() => {
		call.pick.bays = bays.length > 0;
		return () => (call.pick.bays = false);
	});
	function at(event: MouseEvent): XY {
		const frame = (event.currentTarget as SVGElement).ownerSVGElement?.getBoundingClientRect();
		return view.mm(event.clientX - (frame?.left ?? 0), event.clientY - (frame?.top ?? 0));
	}
	const had = $derived(new Set((store.kept?.document.beams ?? []).map((row) => row.id)));
	const hadPads = $derived(new Set((store.kept?.document.pads ?? []).map((row) => row.id)));
	const tried = $derived(store.draft ? (store.document?.beams ?? []).filter((row) => !had.has(row.id)) : []);
	const triedPads = $derived(store.draft ? (store.document?.pads ?? []).filter((row) => !hadPads.has(row.id)) : []);
	const wideOf = (mark: string) => (store.document?.beam_types.find((row) => row.mark === mark)?.width_mm ?? 300) * view.scale;
	const padOf = (mark: string) => {
		const kind = store.document?.pad_types.find((row) => row.mark === mark);
		return (Math.max(kind?.width_mm ?? 0, kind?.length_mm ?? 0, kind?.diameter_mm ?? 0) / 2) * view.scale + 4;
	};
	const long = (path: readonly (readonly number[])[]) =>
		path
			.slice(1)
			.reduce((sum, p, i) => sum + Math.hypot((p[0] ?? 0) - (path[i]?.[0] ?? 0), (p[1] ?? 0) - (path[i]?.[1] ?? 0)), 0);
	const crossed = $derived(
		(store.draft ? (store.figure?.deeper?.crossings ?? []) : []).filter(
			(p) => !(store.kept?.figure.deeper?.crossings ?? []).some((q) => Math.hypot(p[0] - q[0], p[1] - q[1]) < 1)
		)
	);
	const bays = $derived(
		(tab === 'grid' ? (store.figure?.deeper?.bays ?? []) : [])
			.filter((bay) => bay.side === call.side)
			.map((bay) => ({ bay, line: sizeLine(view.px(bay.a), view.px(bay.b), 34) }))
	);
	const zone = $derived(tab === 'top' ? call.zone : null);
	const rings = $derived(zone ? (store.figure?.drawing?.zones.find((one) => one.index === zone.row)?.rings ?? []) : []);
</script>

<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (a call says the same by keyboard) -->
<path
	d={view.path([ring])}
	fill="transparent"
	class="cursor-crosshair"
	data-spot
	onclick={(event) => call.pressSpot(at(event))}
/>
{#each ring as p, i}
	{@const q = ring[(i + 1) % ring.length] ?? p}
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
	<path
		d={view.path([[p, q]], false)}
		class={['cursor-pointer fill-none', call.side === i ? 'stroke-chalk stroke-6' : 'stroke-transparent stroke-24']}
		data-wall={i}
		onclick={(event) => call.pressSide(i, at(event), ring)}
	/>
{/each}
{#if rings.length}<path d={view.path(rings)} class="pointer-events-none fill-none stroke-chalk stroke-4" />{/if}
{#each tried as beam}
	<path
		d={view.path([beam.path], false)}
		class="pointer-events-none fill-none stroke-chalk/25"
		stroke-width={Math.max(6, wideOf(beam.type))}
	/>
	<path d={view.path([beam.path], false)} class="pointer-events-none fill-none stroke-chalk stroke-2 [stroke-dasharray:8_5]" />
	{@const [a, b] = [view.px(beam.path[0] ?? [0, 0]), view.px(beam.path.at(-1) ?? [0, 0])]}
	{@const text = shownLength(long(beam.path), store.units)}
	<g transform="translate({a[0] + (b[0] - a[0]) * 0.68} {a[1] + (b[1] - a[1]) * 0.68})" class="pointer-events-none">
		<rect x={-text.length * 4.4 - 6} y="-12" width={text.length * 8.8 + 12} height="24" class="fill-well stroke-chalk stroke-2" />
		<text text-anchor="middle" y="5" class="fill-chalk text-body font-[760]"><SvgFrac {text} /></text>
	</g>
{/each}
{#each triedPads as pad}
	{@const [x, y] = view.px(pad.at)}
	<circle
		cx={x}
		cy={y}
		r={padOf(pad.type)}
		class="pointer-events-none fill-chalk/20 stroke-chalk stroke-2 [stroke-dasharray:8_5]"
	/>
{/each}
{#each crossed as spot, i}
	{@const [x, y] = view.px(spot)}
	<circle cx={x} cy={y} r="15" class="pointer-events-none fill-none stroke-chalk stroke-2" />
	{#if !i}<text x={x + 19} y={y - 10} class="fill-chalk stroke-sheet stroke-4 text-note font-[700] [paint-order:stroke]"
			>{edgeWords.crossesOnce}</text
		>{/if}
{/each}
{#each bays as { bay, line }}
	<path d="M{line.a}L{line.b}" class="stroke-sheet stroke-26" />
	<path d={line.witness} class="stroke-line stroke-[.9px]" />
	<path d="M{line.a}L{line.b}" class="stroke-ink stroke-[1.2px]" />
	<path d={line.feet} class="fill-none stroke-ink stroke-[1.4px]" />
	<g
		transform="translate({line.middle}) rotate({Math.abs(line.angle) > 60 ? -90 : line.angle})"
		role="button"
		tabindex="0"
		class="cursor-text"
		data-bay={bay.text}
		aria-label={edgeWords.bay(bay.text)}
		onclick={() => openBay?.({ ...bay, side: bay.side_id }, line.middle)}
		onkeydown={(event) => {
			if (event.key !== 'Enter') return;
			event.preventDefault();
			event.stopPropagation();
			openBay?.({ ...bay, side: bay.side_id }, line.middle);
		}}
	>
		<rect x="-24" y="-22" width="48" height="44" fill="transparent" />
		<rect x={-bay.text.length * 4.6 - 4} y="-10" width={bay.text.length * 9.2 + 8} height="20" class="fill-sheet" />
		<text text-anchor="middle" y="5" class="fill-ink font-pencil text-size font-[520] underline"><SvgFrac text={bay.text} /></text
		>
	</g>
{/each}
