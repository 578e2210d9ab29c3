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
		<path d={view.path([[high, low]], false)} class="fill-none stroke-ink stroke-[1.3px] [stroke-dasharray:14_4_3_4]" />
		<path d={chevron(view.px(high), view.px(low))} class="fill-none stroke-ink stroke-[2.4px]" />
	{/each}
	{#if fall.lines.length > 1 && fall.lines[0]}
		{@const [x, y] = view.px(fall.lines[0][1])}
		<circle cx={x} cy={y} r="8" class="fill-well stroke-ink stroke-[2.4px]" /><path
			d="M{x - 8} {y}h16m-8-8v16"
			class="fill-none stroke-ink stroke-[2.4px]"
		/>
	{/if}
{/each}
{#if stick}
	{@const [x, y] = view.px(stick)}
	<circle cx={x} cy={y} r="13" class="fill-none stroke-chalk stroke-3" />
{/if}
<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (fields beside take the keyboard) -->
<rect width="100%" height="100%" fill="transparent" onclick={press} />
