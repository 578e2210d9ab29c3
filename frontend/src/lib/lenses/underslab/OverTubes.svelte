<script lang="ts">
	/** Loops over the plan, bend by bend: the held one in chalk, its number on it, where no tube lies hatched, the manifold. */
	import type { Viewport, XY } from '../../drawing/viewport';
	import { tubing as words } from '../../words/tubing';
	import type { UnderslabData } from './underslab.svelte';
	let { view, data }: { view: Viewport; data: UnderslabData } = $props();
	const px = (p: readonly number[]): XY => view.px([p[0] ?? 0, p[1] ?? 0]);
	const laid = $derived(data.tubing);
	const loops = $derived([...(laid?.loops ?? [])].sort((a, b) => Number(a.n === data.loop?.n) - Number(b.n === data.loop?.n)));
	const wide = $derived(Math.max(2.2, Math.min(5, 16 * view.scale * 2)));
	/** where its number stands: at the middle of its longest leg */
	function numberAt(points: readonly (readonly number[])[]): XY {
		let best: XY = px(points[0] ?? [0, 0]);
		let long = 0;
		for (let i = 1; i < points.length; i++) {
			const [a, b] = [px(points[i - 1] ?? [0, 0]), px(points[i] ?? [0, 0])];
			const size = Math.hypot(b[0] - a[0], b[1] - a[1]);
			if (size > long) [long, best] = [size, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]];
		}
		return best;
	}
	const at = $derived(laid?.manifold_at ? px(laid.manifold_at) : null);
	const pins = $derived((laid?.pins ?? []).map(px));
</script>

{#if laid}
	{#each laid.room_rings as ring}<path
			d={view.path(ring)}
			class="fill-sheet/55 stroke-ink stroke-[1.4px] [stroke-dasharray:7_5]"
		/>{/each}
	{#each laid.kept_out as ring}
		<path d={view.path([ring])} class="fill-sheet" /><path
			d={view.path([ring])}
			fill="url(#filled)"
			class="stroke-ink2 stroke-1 [stroke-dasharray:4_3]"
		/>
	{/each}
	{#each loops as loop (loop.id)}
		{@const on = loop.n === data.loop?.n}
		{@const path = view.path([loop.points], false)}
		{@const [x, y] = numberAt(loop.points)}
		<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the bench lists the loops) -->
		<g class="cursor-pointer" data-tube={loop.n} onclick={() => data.holdLoop(loop.n)}>
			<path d={path} class="fill-none stroke-transparent stroke-16" />
			<path
				d={path}
				stroke-width={wide}
				class={['fill-none [stroke-linejoin:round]', on ? 'stroke-chalk' : loop.over ? 'stroke-flag' : 'stroke-ink']}
			/>
			<circle cx={x} cy={y} r="11" class={['stroke-sheet stroke-2', on ? 'fill-chalk' : loop.over ? 'fill-flag' : 'fill-ink']} />
			<text {x} y={y + 5} text-anchor="middle" class="fill-sheet text-note font-black">{loop.n}</text>
		</g>
	{/each}
	{#each pins as [x, y], i}<circle
			cx={x}
			cy={y}
			r="3"
			class={[i % 2 ? 'fill-sheet' : 'fill-ink', 'stroke-ink stroke-[1.4px]']}
		/>{/each}
	{#if at}
		<g transform="translate({at[0] - 52} {at[1]})" class="pointer-events-none">
			<rect x="-42" y="-11" width="84" height="22" class="fill-well stroke-ink stroke-[1.4px]" />
			<text y="5" text-anchor="middle" class="fill-ink text-note font-mid">{words.manifold}</text>
		</g>
	{/if}
{/if}
