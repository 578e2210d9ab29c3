<script lang="ts">
	/** The frame as it was laid, drawn too far out so that it can be seen, with an arrow from each corner that must move. */
	import type { Squared } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { exaggeration } from './exaggerate';
	let { view, ring, squared, roomy }: { view: Viewport; ring: XY[]; squared: Squared; roomy: boolean } = $props();
	const times = $derived(exaggeration(squared, view.scale));
	const spots = $derived(
		ring.map((p, i) => {
			const laid = squared.laid_mm[i];
			return laid ? [p[0] + ((laid[0] ?? 0) - p[0]) * times, p[1] + ((laid[1] ?? 0) - p[1]) * times] : null;
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
				return at && to ? [{ from: view.px(at), to: view.px(to), words: move.words, mm: move.distance_mm }] : [];
			})
	);
	/** Words only at the corners that move most, and none over another's. */
	const named = $derived.by(() => {
		const kept: (typeof arrows)[number][] = [];
		for (const one of roomy ? [...arrows].sort((a, b) => b.mm - a.mm) : []) {
			if (kept.length < 4 && kept.every((k) => Math.hypot(k.to[0] - one.to[0], k.to[1] - one.to[1]) > 110)) kept.push(one);
		}
		return kept;
	});
	const middle = $derived(ring.reduce((sum, p) => sum + view.px(p)[0], 0) / (ring.length || 1));
	const head = (from: XY, to: XY) => {
		const size = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
		const [ux, uy] = [(to[0] - from[0]) / size, (to[1] - from[1]) / size];
		const wing = (k: number) => `${(to[0] - ux * 10 - uy * k).toFixed(1)} ${(to[1] - uy * 10 + ux * k).toFixed(1)}`;
		return `M${wing(5)}L${to[0].toFixed(1)} ${to[1].toFixed(1)}L${wing(-5)}`;
	};
	const said = (words: string) => words.replace(/^Move \w+ /, '').replace(/,.*|\.$/g, '');
</script>

{#each segments as d}<path {d} class="fill-none stroke-flag stroke-[2.6px] [stroke-dasharray:10_4]" />{/each}
{#each arrows as { from, to }}
	<path d="M{from}L{to}" class="fill-none stroke-flag stroke-[3.2px]" />
	<path d={head(from, to)} class="fill-none stroke-flag stroke-[3.2px]" />
{/each}
{#each named as { from, to, words }}
	{@const right = to[0] > middle}
	<text
		class="fill-flag stroke-sheet stroke-5 text-read font-heavy [paint-order:stroke]"
		x={right ? Math.min(from[0], to[0]) - 10 : Math.max(from[0], to[0]) + 8}
		y={Math.max(from[1], to[1]) + 24}
		text-anchor={right ? 'end' : 'start'}><SvgFrac text={said(words)} /></text
	>
{/each}
