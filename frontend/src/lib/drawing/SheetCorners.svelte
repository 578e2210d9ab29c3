<script lang="ts">
	/** Corner letters, and the handles that are dragged. */
	import { outward } from './corner_drag';
	import { cornerName, type Pick } from './pick.svelte';
	import type { Viewport, XY } from './viewport';
	interface Props {
		view: Viewport;
		ring: XY[];
		pick: Pick;
		editable: boolean;
		grab: (corner: number, event: PointerEvent) => void;
	}
	let { view, ring, pick, editable, grab }: Props = $props();
	const spots = $derived(ring.map((p) => view.px(p)));
	const rows = $derived(
		spots.map((p, i) => {
			const n = spots.length;
			const out = outward(spots[(i + n - 1) % n] ?? p, p, spots[(i + 1) % n] ?? p);
			return { p, at: [p[0] + out[0] * 21, p[1] + out[1] * 21] };
		})
	);
	const small = $derived(ring.length > 16);
</script>

{#each rows as { p, at }, i}
	<g transform="translate({at})" class:on={pick.corner === i}>
		<rect x={small ? -9 : -11} y={small ? -9 : -11} width={small ? 18 : 22} height={small ? 18 : 22} />
		<text text-anchor="middle" y="5.5" font-size={small ? 13 : 15}>{cornerName(i)}</text>
	</g>
	{#if editable}
		<!-- svelte-ignore a11y_no_static_element_interactions (the sheet is one tab stop and takes the keys) -->
		<circle cx={p[0]} cy={p[1]} r="16" class="handle" data-corner={i} onpointerdown={(event) => grab(i, event)} />
		<circle cx={p[0]} cy={p[1]} r={pick.corner === i ? 7 : 5} class="dot" class:on={pick.corner === i} />
	{/if}
{/each}

<style>
	rect {
		fill: var(--color-well);
		stroke: var(--color-ink);
		stroke-width: 1.6;
	}
	text {
		font-weight: 780;
		fill: var(--color-ink);
	}
	g.on rect {
		fill: var(--color-chalk);
		stroke: var(--color-chalk);
	}
	g.on text {
		fill: var(--color-on-chalk);
	}
	.handle {
		fill: transparent;
		cursor: grab;
		touch-action: none;
	}
	.dot {
		fill: var(--color-well);
		stroke: var(--color-chalk);
		stroke-width: 2.4;
		pointer-events: none;
	}
	.dot.on {
		fill: var(--color-chalk);
	}
</style>
