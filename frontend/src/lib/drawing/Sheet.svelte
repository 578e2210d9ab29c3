<script lang="ts">
	/** The sheet: the plan, drawn to scale, with what the open lens lays over it. One tab stop; arrows move. */
	import { follow } from './follow';
	import type { Snippet } from 'svelte';
	import type { JobStore } from '../state/job.svelte';
	import { w } from '../words/words';
	import { movedCorner } from './corner_drag';
	import { sizeLine, snapped, snapStep } from './marks';
	import Patterns from './Patterns.svelte';
	import { cornerName, type Pick } from './pick.svelte';
	import SheetAreas from './SheetAreas.svelte';
	import SheetCorners from './SheetCorners.svelte';
	import SheetExisting from './SheetExisting.svelte';
	import SheetNames from './SheetNames.svelte';
	import SheetOthers from './SheetOthers.svelte';
	import SheetFurniture from './SheetFurniture.svelte';
	import SheetGhost from './SheetGhost.svelte';
	import SheetSizes from './SheetSizes.svelte';
	import SizeBox from './SizeBox.svelte';
	import { boundsOf, marginOf, Viewport, type XY } from './viewport';
	import { lit } from './lit.svelte';
	import { handled, Zoom } from './zoom.svelte';
	interface Props {
		store: JobStore;
		pick: Pick;
		title: string;
		editable?: boolean;
		strips?: boolean;
		/** no stipple, so that lines are read on it; recesses without strips */
		flat?: boolean;
		labels?: boolean;
		sizes?: boolean;
		letters?: boolean;
		/** arrow keys move along the sides; not where a lens has them for itself */
		roving?: boolean;
		ghost?: XY[];
		/** plan points that must be on the sheet too */
		also?: XY[];
		over?: Snippet<[Viewport]>;
		/** what is drawn with or without an outline */
		loose?: Snippet<[Viewport]>;
		key?: Snippet;
		foot?: Snippet<[number, number, Viewport]>;
		footHeight?: number;
		/** px that stay free above the plan where there is room, for a call box */
		clear?: number;
	}
	let {
		store,
		pick,
		title,
		editable = false,
		strips = false,
		flat = false,
		labels = true,
		sizes = true,
		letters = true,
		roving = true,
		ghost = [],
		also = [],
		over,
		loose,
		key,
		foot,
		footHeight: foots = 0,
		clear = 0
	}: Props = $props();
	let width = $state(704);
	let height = $state(620);
	let drag = $state.raw<{ corner: number; ring: XY[]; view: Viewport } | null>(null);
	const plan = $derived(store.document);
	const kept = $derived(store.kept?.document.outline ?? []);
	const ring = $derived(drag ? drag.ring : (plan?.outline ?? []));
	/* what stands under the plan goes where there is no height for both */
	const footHeight = $derived(height > 340 ? foots : 0);
	const margin = $derived(marginOf(width, height, sizes, footHeight));
	const points = $derived([...ring, ...ghost, ...also]);
	const zoom = new Zoom(() => ({ width, height }));
	const whole = $derived(
		points.length > 1 ? Viewport.below(boundsOf(points), width, height, margin, clear) : new Viewport(0.05, 80, height - 120)
	);
	const fitted = $derived(whole.nearer(zoom));
	const view = $derived(drag?.view ?? fitted);
	const texts = $derived(sizes ? (store.figure?.outline?.sides ?? []).map((side) => side.text.replace(' mm', '')) : []);
	const spoken = $derived(
		pick.corner !== null
			? cornerSays(pick.corner)
			: pick.side !== null
				? `${store.figure?.outline?.sides[pick.side]?.name}, ${store.figure?.outline?.sides[pick.side]?.call}`
				: `${title}. ${ring.length} corners.`
	);
	/** Its letter, and where it stands from A. */
	function cornerSays(corner: number): string {
		const sides = store.figure?.outline?.sides ?? [];
		const stands = corner ? sides[corner - 1]?.stands : '';
		return stands ? w.lines.cornerAt(cornerName(corner), stands) : w.lines.cornerFirst(cornerName(corner));
	}
	const typedAt = $derived.by((): XY => {
		const [a, b] = [ring[pick.side ?? 0], ring[((pick.side ?? 0) + 1) % (ring.length || 1)]];
		const at = a && b ? sizeLine(view.px(a), view.px(b), 34).middle : [120, 80];
		return [Math.min(Math.max(at[0] ?? 0, 124), width - 124), Math.min(Math.max(at[1] ?? 0, 60), height - 70)];
	});

	function grab(corner: number, event: PointerEvent) {
		pick.chooseCorner(corner);
		pick.typing = false;
		(event.currentTarget as Element).setPointerCapture(event.pointerId);
		const target = event.currentTarget as SVGElement;
		const frozen = fitted;
		const frame = target.ownerSVGElement?.getBoundingClientRect();
		const from = [...kept];
		const named = store.cornerId(corner);
		let last: XY | null = null;
		const move = (now: PointerEvent) => {
			if (!frame) return;
			const raw = frozen.mm(now.clientX - frame.left, now.clientY - frame.top);
			const step = snapStep(store.units, frozen.scale, now.altKey);
			const to: XY = [snapped(raw[0], step), snapped(raw[1], step)];
			if (last && last[0] === to[0] && last[1] === to[1]) return;
			last = to;
			const square = pick.square && !now.shiftKey;
			drag = { corner, ring: movedCorner(from, corner, to, square), view: frozen };
			void store.try([{ op: 'move_corner', corner: named, x_mm: to[0], y_mm: to[1], square }], 'sheet');
		};
		const end = async () => {
			if (last) await store.keepDraft('sheet');
			if (store.problem || store.clash) store.dropDraft();
			drag = null;
		};
		follow(target, move, end);
	}
	function nudge(dx: number, dy: number, event: KeyboardEvent) {
		const steps = store.units === 'mm' ? [1, 10, 100] : [25.4 / 16, 25.4, 304.8];
		const step = steps[event.altKey ? 2 : event.shiftKey ? 1 : 0] ?? 1;
		const corner = pick.corner;
		const at = corner === null ? undefined : kept[corner];
		if (corner === null || !at) return;
		void store.keep(
			[
				{
					op: 'move_corner',
					corner: store.cornerId(corner),
					x_mm: at[0] + dx * step,
					y_mm: at[1] + dy * step,
					square: pick.square
				}
			],
			'sheet'
		);
	}
	const ARROWS: Record<string, XY> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };
	function keys(event: KeyboardEvent) {
		const arrow = ARROWS[event.key];
		const n = ring.length;
		const at = ring[pick.corner ?? pick.side ?? -1];
		if (arrow && !roving) return;
		if (arrow && pick.corner !== null && editable) nudge(arrow[0], arrow[1], event);
		else if (arrow && n) pick.step(arrow[0] + arrow[1] > 0 ? 1 : -1, n);
		else if (event.key === 'Enter' && pick.side !== null && editable) pick.typing = true;
		else if (event.key === ' ' && n) pick.chooseCorner(pick.side ?? ((pick.corner ?? -1) + 1) % n);
		else if (event.key === 'Delete' && pick.corner !== null && editable)
			void store.keep([{ op: 'remove_corner', corner: store.cornerId(pick.corner) }], 'sheet');
		else if (zoom.key(event.key, at ? view.px(at) : [width / 2, height / 2])) event.stopPropagation();
		else if (event.key === 'Escape') pick.none();
		else return;
		event.preventDefault();
	}
</script>

<section
	class="sheet relative min-h-0 min-w-0 overflow-hidden bg-sheet print:hidden"
	aria-label={w.sheet.name}
	bind:clientWidth={width}
	bind:clientHeight={height}
>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions (one tab stop, its own keys) -->
	<svg
		class="absolute inset-0 block {zoom.whole ? 'touch-pan-y' : 'touch-none'} focus-visible:[outline-offset:-4px]"
		{width}
		{height}
		role="application"
		tabindex="0"
		aria-label={spoken}
		onkeydown={keys}
		{@attach (node: SVGSVGElement) => handled(node, zoom)}
		data-zoom={zoom.by.toFixed(2)}
		data-moving={drag !== null}
	>
		<Patterns />
		{#if plan && store.figure && ring.length}
			<SheetAreas {view} {plan} figure={store.figure} {ring} {strips} {flat} moving={drag !== null} />
			{#if plan.existing.length}<SheetExisting {view} {plan} />{/if}
			{#each ring as p, i}
				{@const q = ring[(i + 1) % ring.length] ?? p}
				<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
				<path
					d={view.path([[p, q]], false)}
					class={['side cursor-pointer fill-none', pick.side === i ? 'stroke-chalk stroke-5' : 'stroke-transparent stroke-18']}
					class:on={pick.side === i}
					data-side={i}
					onclick={() => pick.chooseSide(i)}
				/>
			{/each}
			<SheetNames {view} {plan} figure={store.figure} {ring} zones={labels} {strips} sizes={texts} {width} {height} />
			{@render over?.(view)}
			{#if sizes}<SheetSizes {view} {ring} figure={store.figure} {pick} {editable} roomy={width > 480} />{/if}
			{#each lit.rings as ring}<path
					d={view.path([ring], ring.length > 2)}
					class={['pointer-events-none stroke-chalk stroke-4', ring.length > 2 ? 'fill-chalk/20' : 'fill-none']}
					data-lit
				/>{/each}
			{@render loose?.(view)}
			{#if letters}<SheetCorners {view} {ring} {pick} {editable} {grab} />{/if}
		{:else}{@render loose?.(view)}{/if}
		<SheetOthers {store} {view} {ring} />
		{#if ghost.length > 1}<SheetGhost {view} {ghost} named={!ring.length} />{/if}
		{#if points.length > 1 && (sizes || height >= 260)}
			<SheetFurniture
				{view}
				units={store.units}
				north={plan?.site.north_deg ?? 0}
				{width}
				height={height - footHeight}
				hint={editable && ring.length ? w.lines.drag : ''}
			/>
		{/if}
	</svg>
	<div class="pointer-events-none absolute top-12 left-20 max-w-[calc(100%_-_100px)]">
		<h2>{title}</h2>
		{@render key?.()}
	</div>
	{#if !zoom.whole}<button
			type="button"
			class="act quiet absolute right-12 bottom-12 bg-sheet"
			style:bottom="{footHeight + 12}px"
			onclick={() => zoom.fit()}>{w.wholeSheet}</button
		>{/if}
	{#if pick.typing && pick.side !== null && editable}<SizeBox {store} {pick} x={typedAt[0]} y={typedAt[1]} />{/if}
	{#if !foots || footHeight}{@render foot?.(width, height, view)}{/if}
</section>
