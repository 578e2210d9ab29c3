<script lang="ts">
	/** Places on the plan: benchmarks and tripods, tests and soft spots, trenches; and the spot that is pressed. */
	import type { GroundState } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	import type { Tab } from './lens';
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
		<path d="M{x} {y - 11}l11 19h-22z" class="fill-well stroke-ink stroke-2" /><circle cx={x} cy={y + 2} r="1.8" />
		<text class="fill-ink text-note font-[660]" x={x + 22} y={y - 18} text-anchor="end">{row.name}</text>
	{/each}
{/if}
{#if tab === 'tests'}
	{#each state.tests as row, i}
		{@const [x, y] = view.px(row.test.at)}
		<circle
			cx={x}
			cy={y}
			r="12"
			class={[
				'fill-well stroke-3',
				!row.test.passed ? 'stroke-flag' : 'stroke-chalk',
				!row.test.passed && '[stroke-dasharray:4_3]'
			]}
		/><text class="fill-ink text-note font-[660]" {x} y={y + 5} text-anchor="middle">{i + 1}</text>
	{/each}
	{#each state.soft as row, i}
		{@const [x, y] = view.px(row.soft.at)}
		<circle
			cx={x}
			cy={y}
			r={Math.max(9, (row.soft.across_mm / 2) * view.scale)}
			class={['fill-[color-mix(in_srgb,_var(--color-soil)_30%,_transparent)] stroke-soil stroke-2', '[stroke-dasharray:5_3]']}
		/><text class="fill-ink text-note font-[660]" {x} y={y + 5} text-anchor="middle">S{i + 1}</text>
	{/each}
{/if}
{#if tab === 'dug' && trench && trench.side !== null}
	{@const a = ring[trench.side] ?? [0, 0]}
	{@const b = ring[(trench.side + 1) % ring.length] ?? [0, 0]}
	<path d={view.path([[a, b]], false)} class="stroke-paint stroke-8 opacity-85" />
	{#each trench.stations as one}
		{@const t = one.at_mm / (trench.length_mm || 1)}
		{@const [x, y] = view.px([a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t])}
		<circle cx={x} cy={y} r="6" class="fill-well stroke-ink stroke-2" />
	{/each}
{/if}
{#if spot}
	{@const [x, y] = view.px(spot)}
	<circle cx={x} cy={y} r="20" class="fill-none stroke-paint stroke-3" />
{/if}
{#if stick && (tab === 'tests' || tab === 'laser')}
	{@const [x, y] = view.px(stick)}
	<circle cx={x} cy={y} r="14" class="fill-none stroke-paint stroke-3" />
{/if}
{#if tab === 'tests' || tab === 'laser'}
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (fields beside take the keyboard) -->
	<rect width="100%" height="100%" fill="transparent" onclick={press} />
{/if}
