<script lang="ts">
	/** Places on the plan: benchmarks and tripods, tests and soft spots, trenches; and the spot that is pressed. */
	import type { GroundState } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	import type { Tab } from './tabs';
	interface Props {
		view: Viewport;
		state: GroundState;
		tab: Tab;
		ring: XY[];
		picked: number;
		stick: XY | null;
		benchmarks: { name: string; at?: XY | null }[];
		spot: XY | null;
		pick: (at: XY) => void;
	}
	let { view, state, tab, ring, picked, stick, benchmarks, spot, pick }: Props = $props();
	const trench = $derived(state.ground.dug[picked] ?? null);
	function press(event: MouseEvent) {
		const frame = (event.currentTarget as SVGElement).ownerSVGElement?.getBoundingClientRect();
		if (frame) pick(view.mm(event.clientX - frame.left, event.clientY - frame.top));
	}
</script>

{#if tab === 'laser'}
	{#each benchmarks.filter((row) => row.at) as row}
		{@const [x, y] = view.px(row.at ?? [0, 0])}
		<path d="M{x} {y - 11}l11 19h-22z" class="bm" /><circle cx={x} cy={y + 2} r="1.8" />
		<text x={x + 22} y={y - 18} text-anchor="end">{row.name}</text>
	{/each}
{/if}
{#if tab === 'tests'}
	{#each state.tests as row, i}
		{@const [x, y] = view.px(row.test.at)}
		<circle cx={x} cy={y} r="12" class="test" class:bad={!row.test.passed} /><text {x} y={y + 5} text-anchor="middle"
			>{i + 1}</text
		>
	{/each}
	{#each state.soft as row, i}
		{@const [x, y] = view.px(row.soft.at)}
		<circle cx={x} cy={y} r={Math.max(9, (row.soft.across_mm / 2) * view.scale)} class="softspot" /><text
			{x}
			y={y + 5}
			text-anchor="middle">S{i + 1}</text
		>
	{/each}
{/if}
{#if tab === 'dug' && trench && trench.side !== null}
	{@const a = ring[trench.side] ?? [0, 0]}
	{@const b = ring[(trench.side + 1) % ring.length] ?? [0, 0]}
	<path d={view.path([[a, b]], false)} class="dug" />
	{#each trench.stations as one}
		{@const t = one.at_mm / (trench.length_mm || 1)}
		{@const [x, y] = view.px([a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t])}
		<circle cx={x} cy={y} r="6" class="station" />
	{/each}
{/if}
{#if spot}
	{@const [x, y] = view.px(spot)}
	<circle cx={x} cy={y} r="20" class="spot" />
{/if}
{#if stick && (tab === 'tests' || tab === 'laser')}
	{@const [x, y] = view.px(stick)}
	<circle cx={x} cy={y} r="14" class="stick" />
{/if}
{#if tab === 'tests' || tab === 'laser'}
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (fields beside take the keyboard) -->
	<rect width="100%" height="100%" fill="transparent" onclick={press} />
{/if}

<style>
	.bm {
		fill: var(--color-well);
		stroke: var(--color-ink);
		stroke-width: 2;
	}
	text {
		font-size: 14px;
		font-weight: 660;
		fill: var(--color-ink);
	}
	.test {
		fill: var(--color-well);
		stroke: var(--color-chalk);
		stroke-width: 3;
	}
	.test.bad {
		stroke: var(--color-flag);
		stroke-dasharray: 4 3;
	}
	.softspot {
		fill: color-mix(in srgb, var(--color-soil) 30%, transparent);
		stroke: var(--color-soil);
		stroke-width: 2;
		stroke-dasharray: 5 3;
	}
	.dug {
		stroke: var(--color-paint);
		stroke-width: 8;
		opacity: 0.85;
	}
	.station {
		fill: var(--color-well);
		stroke: var(--color-ink);
		stroke-width: 2;
	}
	.spot,
	.stick {
		fill: none;
		stroke: var(--color-paint);
		stroke-width: 3;
	}
</style>
