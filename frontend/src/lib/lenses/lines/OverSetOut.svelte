<script lang="ts">
	/** Strings over the slab, profile boards at their ends, the base's edge, and the diagonals that must agree. */
	import type { SetOutSheet } from '../../api/schema';
	import { sizeLine } from '../../drawing/marks';
	import type { Viewport, XY } from '../../drawing/viewport';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	let { view, sheet }: { view: Viewport; sheet: SetOutSheet } = $props();
	const squares = $derived(sheet.squares.slice(0, 2));
	const sizeOf = (a: number[], b: number[]) => sizeLine(view.px(a), view.px(b), 0);
	const point = (nail: { x_mm: number; y_mm: number }): XY => [nail.x_mm, nail.y_mm];
	const share = [0.33, 0.64];
	const on = (a: number[], b: number[], k: number): XY => [
		(a[0] ?? 0) + ((b[0] ?? 0) - (a[0] ?? 0)) * k,
		(a[1] ?? 0) + ((b[1] ?? 0) - (a[1] ?? 0)) * k
	];
</script>

{#if sheet.base_ring.length}<path
		d={view.path([sheet.base_ring])}
		class="fill-none stroke-ink2 stroke-[1.1px] [stroke-dasharray:2_5]"
	/>{/if}
{#each squares as square, i}
	{@const c = square.corners}
	<path
		d={view.path(
			[
				[c[0] ?? [], c[2] ?? []],
				[c[1] ?? [], c[3] ?? []]
			],
			false
		)}
		class="fill-none stroke-pencil stroke-[2.2px] [stroke-dasharray:3_5]"
	/>
	{@const [x, y] = view.px(on(c[0] ?? [], c[2] ?? [], share[i] ?? 0.5))}
	<g transform="translate({x} {y}) rotate({sizeOf(c[0] ?? [], c[2] ?? []).angle})"
		><text class="fill-ink stroke-slab stroke-5 text-body font-[700] [paint-order:stroke]" text-anchor="middle" y="-5"
			><SvgFrac text={square.diagonal_text} /></text
		></g
	>
{/each}
{#each sheet.strings as line}
	<path d={view.path([[point(line.start), point(line.end)]], false)} class="fill-none stroke-chalk stroke-[1.8px]" />
	{#each [line.start, line.end] as nail}
		{#if nail.board.length}<path d={view.path([nail.board], false)} class="fill-none stroke-ink stroke-9" /><path
				d={view.path([nail.board], false)}
				class="fill-none stroke-board stroke-[6.4px]"
			/>{/if}
		{@const [x, y] = view.px(point(nail))}
		<circle cx={x} cy={y} r="3.2" class="fill-ink" />
	{/each}
{/each}
