<script lang="ts">
	/** What is round the concrete in a section: layers, ground, frost line, boards, foam, walls. */
	import type { Section } from '../../api/schema';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { edges as edgeWords } from '../../words/edges';
	import type { SectionView } from './section_view';
	let { section, view, width, height }: { section: Section; view: SectionView; width: number; height: number } = $props();
	const HATCH: Record<string, string> = {
		foam: 'url(#zig)',
		stone: 'url(#pebbles)',
		graded: 'url(#pebbles)',
		blinding: 'url(#sand)',
		fill: 'url(#filled)'
	};
	/** its walls are drawn as they are */
	const walled = $derived(section.blocks.some((block) => block.kind === 'wall'));
	const bottoms = $derived(
		section.rings.flatMap((ring) =>
			ring.map((p, i) => [p, ring[(i + 1) % ring.length] ?? p] as const).filter(([a, b]) => (a[0] ?? 0) > (b[0] ?? 0) + 1)
		)
	);
	const clusters = $derived(
		bottoms.flatMap(([a, b]) => {
			const [x0, y0, x1, y1] = [view.x(a[0] ?? 0), view.y(a[1] ?? 0), view.x(b[0] ?? 0), view.y(b[1] ?? 0)];
			const n = Math.floor((x0 - x1) / 52);
			return Array.from({ length: n }, (_, k) => {
				const t = (k + 0.5) / n;
				return { x: x0 + (x1 - x0) * t, y: y0 + (y1 - y0) * t };
			}).filter(
				(spot) =>
					!section.layers.some((layer) =>
						layer.rings.some(
							(ring) =>
								Math.min(...ring.map((p) => view.x(p[0] ?? 0))) < spot.x &&
								Math.max(...ring.map((p) => view.x(p[0] ?? 0))) > spot.x
						)
					)
			);
		})
	);
	const under = $derived(
		section.layers.length
			? section.layers
					.flatMap((layer) => layer.rings)
					.map((ring) => ({
						x: (Math.min(...ring.map((p) => view.x(p[0] ?? 0))) + Math.max(...ring.map((p) => view.x(p[0] ?? 0)))) / 2,
						y: Math.max(...ring.map((p) => view.y(p[1] ?? 0))),
						wide: Math.max(...ring.map((p) => view.x(p[0] ?? 0))) - Math.min(...ring.map((p) => view.x(p[0] ?? 0)))
					}))
			: []
	);
	const lowest = $derived(Math.max(0, ...under.map((one) => one.y)));
	const frost = $derived(section.ends.find((end) => end.frost_mm !== null) ?? null);
	const named = $derived(
		section.layers.filter(
			(layer, i) => section.layers.findIndex((one) => one.text === layer.text) === i && layer.kind !== 'barrier'
		)
	);
</script>

{#each section.layers as layer}
	{#each layer.rings as ring}
		{#if layer.kind === 'barrier'}
			<path d={view.path(ring)} fill="none" stroke="var(--color-ink)" stroke-width="3.4" stroke-dasharray="12 6" />
		{:else}
			<path d={view.path(ring)} fill="var(--color-well)" />
			<path d={view.path(ring)} fill={HATCH[layer.kind] ?? 'none'} stroke="var(--color-ink)" stroke-width="1.4" />
		{/if}
	{/each}
{/each}
{#each under.filter((one) => one.y === lowest && one.wide > 60) as one}
	<path d="M{one.x - 20} {one.y + 13}l9-9m-4 13l9-9m14-4l9-9m-4 13l9-9" stroke="var(--color-soil)" stroke-width="1.3" />
{/each}
{#each clusters as spot}
	<path d="M{spot.x - 8} {spot.y + 14}l8-9m-2 13l8-9m-2 13l8-9" stroke="var(--color-soil)" stroke-width="1.3" fill="none" />
{/each}
{#each named as layer}
	{@const ring = layer.rings[layer.rings.length - 1] ?? []}
	{@const xs = ring.map((p) => view.x(p[0] ?? 0))}
	{@const ys = ring.map((p) => view.y(p[1] ?? 0))}
	{@const y = (Math.min(...ys) + Math.max(...ys)) / 2 + 5}
	{#if Math.max(...ys) - Math.min(...ys) > 17 && Math.max(...xs) - Math.min(...xs) > 130}<text
			x={(Math.min(...xs) + Math.max(...xs)) / 2}
			{y}
			text-anchor="middle"
			class="fill-ink2 stroke-well stroke-6 text-note font-[600] [paint-order:stroke]"><SvgFrac text={layer.text} /></text
		>
	{:else if Math.max(...xs) < width - 100 && !view.broken}<text
			x={Math.max(...xs) + 8}
			{y}
			class="fill-ink2 stroke-bench stroke-4 text-note font-[600] [paint-order:stroke]"><SvgFrac text={layer.text} /></text
		>{/if}
{/each}
{#each section.ends as end}
	{@const x = view.x(end.s_mm)}
	{@const out = end.outward}
	{@const foam = end.foam_inside ? 0 : end.foam_mm * view.scale}
	{@const strip = end.isolation_mm * view.scale}
	{@const face = x + out * (foam + strip)}
	{@const far = out < 0 ? 8 : width - 8}
	{#if !end.against && !walled && ['against-wall', 'block-wall', 'overhang'].includes(end.kind)}
		{@const under = end.kind !== 'against-wall'}
		{@const thick = Math.max(24, 190 * view.scale)}
		{@const wx = end.kind === 'against-wall' ? (out < 0 ? face - thick : face) : out < 0 ? x : x - thick}
		{@const wy = under ? view.y(end.bottom_mm) : view.y(end.top_mm)}
		<rect
			x={end.kind === 'overhang' ? wx - 40 : wx}
			y={wy}
			width={end.kind === 'overhang' ? thick + 80 : thick}
			height={end.kind === 'overhang' ? 26 : Math.max(40, height - wy - 10)}
			fill="var(--color-hair)"
			stroke="var(--color-ink)"
			stroke-width="1.8"
		/>
		{#if end.kind === 'block-wall'}{#each [1, 2, 3, 4] as course}<path
					d="M{wx} {wy + course * Math.max(26, 200 * view.scale)}h{thick}"
					stroke="var(--color-ink)"
					stroke-width="1.2"
				/>{/each}{/if}
	{/if}
	{#if end.against}
		{@const wall = Math.min(150, Math.abs(far - face))}
		<rect
			x={out < 0 ? face - wall : face}
			y={view.y(end.against_level_mm ?? end.top_mm)}
			width={wall}
			height={Math.max(30, view.y(end.bottom_mm) - view.y(end.against_level_mm ?? end.top_mm) + 40)}
			fill="var(--color-hair)"
			stroke="var(--color-ink)"
			stroke-width="1.8"
		/>
		<text
			x={out < 0 ? face - wall / 2 : face + wall / 2}
			y={view.y(end.against_level_mm ?? end.top_mm) + 20}
			text-anchor="middle"
			class="fill-ink2 stroke-bench stroke-4 text-note font-[600] [paint-order:stroke]">{end.against}</text
		>
	{:else}
		{#if end.ground_mm !== null}
			{@const g = view.y(end.ground_mm)}
			<path d="M{face + out * (end.boards.length ? 14 : 0)} {g}H{far}" stroke="var(--color-ink)" stroke-width="2" />
			{#each [0.25, 0.55, 0.85] as t}
				{@const gx = face + (far - face) * t}
				<path d="M{gx - 9} {g + 14}l9-9m-4 13l9-9m-4 13l9-9" stroke="var(--color-soil)" stroke-width="1.3" fill="none" />
			{/each}
		{:else}
			<path
				d="M{face + out * 14} {view.y(end.top_mm) + 34}H{far}"
				stroke="var(--color-line)"
				stroke-width="1.6"
				stroke-dasharray="5 5"
			/>
			<text
				x={out < 0 ? far : far}
				y={view.y(end.top_mm) + 52}
				text-anchor={out < 0 ? 'start' : 'end'}
				class="fill-ink2 stroke-bench stroke-4 text-note font-[600] [paint-order:stroke]">{edgeWords.noGround}</text
			>
		{/if}
		{#each end.boards as board}
			{@const deep = board.deep_mm * view.scale}
			{@const thick = Math.max(9, 38 * view.scale)}
			<rect
				x={out < 0 ? face - thick : face}
				y={view.y(board.top_mm)}
				width={thick}
				height={deep}
				fill="url(#grain)"
				stroke="var(--color-ink)"
				stroke-width="1.8"
			/>
			{#if board === end.boards[0]}
				{@const sx = face + out * (thick + 6)}
				<path
					d="M{sx - 6} {view.y(board.top_mm) - 8}h12v{Math.min(deep + 60, 170)}l-6 14l-6-14z"
					fill="var(--color-board)"
					stroke="var(--color-ink)"
					stroke-width="1.8"
				/>
				{#if view.away > 80}<text
						x={sx + out * 10}
						y={view.y(board.top_mm) - 14}
						text-anchor={out < 0 ? 'end' : 'start'}
						class="fill-ink2 stroke-bench stroke-4 text-note font-[600] [paint-order:stroke]"
						>{end.boards.map((one) => one.mark).join(' + ')}</text
					>{/if}
			{/if}
		{/each}
	{/if}
	{#if strip}<rect
			x={out < 0 ? x - foam - strip : x + foam}
			y={view.y(end.top_mm)}
			width={Math.max(4, strip)}
			height={view.y(end.bottom_mm) - view.y(end.top_mm)}
			fill="var(--color-ink2)"
		/>{/if}
	{#if end.plate_mm}
		{@const pw = end.plate_mm * view.scale}
		{@const over = end.plate_over_mm * view.scale}
		<rect
			x={out < 0 ? x - over : x + over - pw}
			y={view.y(end.top_mm) - Math.max(9, 38 * view.scale)}
			width={pw}
			height={Math.max(9, 38 * view.scale)}
			fill="var(--color-board)"
			stroke="var(--color-ink)"
			stroke-width="1.8"
		/>
	{/if}
{/each}
{#if frost && frost.frost_mm !== null}
	{@const fy = Math.min(view.y(frost.frost_mm), height - 14)}
	{@const seen = view.y(frost.frost_mm) <= height - 14}
	<path d="M10 {fy}H{width - 10}" stroke="var(--color-ink)" stroke-width="1.6" stroke-dasharray="14 5 3 5" />
	<text
		x={width - 12}
		y={fy - 5}
		text-anchor="end"
		class="fill-ink2 stroke-bench stroke-4 text-note font-[600] [paint-order:stroke]"
		>{edgeWords.legend['frost']}{seen ? '' : edgeWords.notToScale}</text
	>
{/if}
