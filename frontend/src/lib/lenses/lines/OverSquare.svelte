<script lang="ts">
	/** The frame as it was laid, drawn too far out so that it can be seen, with an arrow from each corner that must move. */
	import type { Squared } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { exaggeration } from './exaggerate';
	let { view, ring, squared }: { view: Viewport; ring: XY[]; squared: Squared } = $props();
	const times = $derived(exaggeration(squared, view.scale));
	const spots = $derived(
		ring.map((p, i) => {
			const laid = squared.laid_mm[i];
			return laid ? ([p[0] + ((laid[0] ?? 0) - p[0]) * times, p[1] + ((laid[1] ?? 0) - p[1]) * times] as XY) : null;
		})
	);
	const segments = $derived(
		spots.flatMap((p, i) => {
			const q = spots[(i + 1) % spots.length];
			return p && q ? [view.path([[p, q]], false)] : [];
		})
	);
	const arrows = $derived(
		squared.moves
			.filter((move) => !move.inside)
			.flatMap((move) => {
				const [at, to] = [spots[move.corner], ring[move.corner]];
				return at && to ? [{ from: view.px(at), to: view.px(to), words: move.words }] : [];
			})
	);
	const head = (from: XY, to: XY) => {
		const size = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
		const [ux, uy] = [(to[0] - from[0]) / size, (to[1] - from[1]) / size];
		const wing = (k: number) => `${(to[0] - ux * 10 - uy * k).toFixed(1)} ${(to[1] - uy * 10 + ux * k).toFixed(1)}`;
		return `M${wing(5)}L${to[0].toFixed(1)} ${to[1].toFixed(1)}L${wing(-5)}`;
	};
	const said = (words: string) => words.replace(/^Move \w+ /, '').replace(/,.*|\.$/g, '');
</script>

{#each segments as d}<path {d} class="laid" />{/each}
{#each arrows as { from, to, words }}
	<path d="M{from}L{to}" class="arrow" />
	<path d={head(from, to)} class="arrow" />
	<text x={(from[0] + to[0]) / 2} y={Math.min(from[1], to[1]) - 8} text-anchor="middle"><SvgFrac text={said(words)} /></text>
{/each}

<style>
	.laid {
		fill: none;
		stroke: var(--flag);
		stroke-width: 2.6;
		stroke-dasharray: 10 4;
	}
	.arrow {
		fill: none;
		stroke: var(--flag);
		stroke-width: 3.2;
	}
	text {
		font-size: 16px;
		font-weight: 780;
		fill: var(--flag);
		paint-order: stroke;
		stroke: var(--sheet);
		stroke-width: 5px;
	}
</style>
