<script lang="ts">
	/** Where each cut piece goes: its crayon mark and its splice on the plan, course by course outward. */
	import type { CutPlanOfJob } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	let { view, ring, cuts, picked }: { view: Viewport; ring: XY[]; cuts: CutPlanOfJob; picked: number | null } = $props();
	const pieces = $derived(
		cuts.boards
			.flatMap((board) => board.pieces)
			.filter((piece) => piece.side >= 0)
			.map((piece) => {
				const [p, q] = [ring[piece.side] ?? [0, 0], ring[(piece.side + 1) % ring.length] ?? [0, 0]] as [XY, XY];
				const long = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
				const u: XY = [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
				const away = (13 + piece.course * 19) / view.scale;
				const at = (mm: number): XY => [p[0] + u[0] * mm + u[1] * away, p[1] + u[1] * mm - u[0] * away];
				const [a, b] = [view.px(at(piece.at_mm)), view.px(at(piece.at_mm + piece.mm))];
				return { piece, a, b, middle: [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] as XY, px: Math.hypot(a[0] - b[0], a[1] - b[1]) };
			})
	);
</script>

{#each pieces as { piece, a, b, middle, px } (piece.key + piece.course)}
	<path d="M{a}L{b}" class="stroke-ink stroke-9" />
	<path
		d="M{a}L{b}"
		class={['board stroke-6', picked === piece.side ? 'stroke-chalk' : 'stroke-board']}
		class:on={picked === piece.side}
	/>
	{#if px > 20}
		<rect
			x={middle[0] - piece.key.length * 4.6 - 3}
			y={middle[1] - 9}
			width={piece.key.length * 9.2 + 6}
			height="18"
			class="fill-sheet"
		/>
		<text class="fill-ink text-note font-[760]" x={middle[0]} y={middle[1] + 4.8} text-anchor="middle">{piece.key}</text>
	{/if}
{/each}
