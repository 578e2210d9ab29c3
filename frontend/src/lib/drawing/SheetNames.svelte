<script lang="ts">
	/** The names of what stands beside the work and of the zones, each where nothing else is said, on a leader where need be. */
	import type { Figure, Plan } from '../api/schema';
	import SvgFrac from '../ui/SvgFrac.svelte';
	import { areaLabels, besideLabels, frame, marked, standing } from './labels';
	import type { Viewport, XY } from './viewport';
	interface Props {
		view: Viewport;
		plan: Plan;
		figure: Figure;
		ring: XY[];
		/** zones are named, not only what stands beside */
		zones: boolean;
		/** parts are drawn into the slab */
		strips: boolean;
		/** texts of the sizes on the sheet, none where they are not shown */
		sizes: string[];
		width: number;
		height: number;
	}
	let { view, plan, figure, ring, zones, strips, sizes, width, height }: Props = $props();
	const px = (one: readonly (readonly number[])[]) => one.map((p) => view.px(p));
	const rows = $derived.by(() => {
		const drawing = figure.drawing;
		const taken = [
			...frame(width, height),
			...standing(view, ring, sizes),
			...marked(view, plan, strips ? (drawing?.outlined ?? []) : [])
		];
		const areas = (zones ? (drawing?.zones ?? []) : []).map((zone) => ({
			name: zone.name,
			under: zone.under ? zone.under.split(', ') : [],
			at: view.px(zone.at),
			rings: zone.rings.map(px)
		}));
		const beside = plan.existing.map((thing) => ({ name: thing.name, ring: px(thing.polygon) }));
		return [...areaLabels(areas, taken, px(ring)), ...besideLabels(beside, taken, px(ring), width, height)];
	});
</script>

{#each rows as { name, lines, at: [x, y], leader, turn, on }}
	{#if leader}
		<path d="M{x} {y}L{leader}" class="fill-none stroke-ink stroke-[1.2px]" />
		<circle cx={leader[0]} cy={leader[1]} r="3" class="fill-ink" />
	{/if}
	<g transform="translate({x} {y}) rotate({turn})" text-anchor="middle">
		{#each [on, ''] as halo}
			<text y={5 - lines.length * 8} class={['fill-ink2 text-body font-mid', halo]}>{name}</text>
			{#each lines as line, i}
				<text y={22 + i * 16 - lines.length * 8} class={['fill-ink2 text-note font-label', halo]}><SvgFrac text={line} /></text>
			{/each}
		{/each}
	</g>
{/each}

<style>
	.halo {
		paint-order: stroke;
		stroke: var(--color-slab);
		stroke-width: 5px;
		stroke-linejoin: round;
	}
	.halo.off {
		stroke: var(--color-sheet);
	}
</style>
