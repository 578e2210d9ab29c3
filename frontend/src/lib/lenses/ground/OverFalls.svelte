<script lang="ts">
	/** Fall lines, long and short dashes, with an arrowhead of a builder's V pointing down the fall; drains as a ring. */
	import type { GroundState } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	let { view, state, stick, pick }: { view: Viewport; state: GroundState; stick: XY | null; pick: (at: XY) => void } = $props();
	const chevron = (from: XY, to: XY) => {
		const size = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
		const [ux, uy] = [(to[0] - from[0]) / size, (to[1] - from[1]) / size];
		const [mx, my] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
		return `M${mx - ux * 9 - uy * 8} ${my - uy * 9 + ux * 8}L${mx} ${my}L${mx - ux * 9 + uy * 8} ${my - uy * 9 - ux * 8}`;
	};
	function press(event: MouseEvent) {
		const frame = (event.currentTarget as SVGElement).ownerSVGElement?.getBoundingClientRect();
		if (frame) pick(view.mm(event.clientX - frame.left, event.clientY - frame.top));
	}
</script>

{#each state.falls as fall}
	{#each fall.lines as [high, low]}
		<path d={view.path([[high, low]], false)} class="fall" />
		<path d={chevron(view.px(high), view.px(low))} class="head" />
	{/each}
	{#if fall.lines.length > 1 && fall.lines[0]}
		{@const [x, y] = view.px(fall.lines[0][1])}
		<circle cx={x} cy={y} r="8" class="drain" /><path d="M{x - 8} {y}h16m-8-8v16" class="head" />
	{/if}
{/each}
{#if stick}
	{@const [x, y] = view.px(stick)}
	<circle cx={x} cy={y} r="13" class="stick" />
{/if}
<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (fields beside take the keyboard) -->
<rect width="100%" height="100%" fill="transparent" onclick={press} />

<style>
	.fall {
		stroke: var(--color-ink);
		stroke-width: 1.3;
		stroke-dasharray: 14 4 3 4;
		fill: none;
	}
	.head {
		stroke: var(--color-ink);
		stroke-width: 2.4;
		fill: none;
	}
	.drain {
		fill: var(--color-well);
		stroke: var(--color-ink);
		stroke-width: 2.4;
	}
	.stick {
		fill: none;
		stroke: var(--color-chalk);
		stroke-width: 3;
	}
</style>
