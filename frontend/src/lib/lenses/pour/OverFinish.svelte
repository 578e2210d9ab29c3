<script lang="ts">
	/** The finish over the plan: shade now and where the sun stands, joints to saw and those that are sawn. */
	import type { Viewport, XY } from '../../drawing/viewport';
	import type { PourData } from './pour.svelte';
	let { view, data, shade }: { view: Viewport; data: PourData; shade: string } = $props();
	/** numbers of joints that cross stand apart */
	const along = (n: number) => (n % 2 ? 0.24 : 0.76);
	const sun = $derived(data.told?.sun ?? null);
	const spots = $derived(data.strips.flatMap((row) => row.rings.flat()) as XY[]);
	/** middle and reach of the slab on the screen */
	const box = $derived.by(() => {
		const px = spots.map((spot) => view.px(spot));
		const [xs, ys] = [px.map((p) => p[0]), px.map((p) => p[1])];
		const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
		return { x: (x0 + x1) / 2, y: (y0 + y1) / 2, far: Math.hypot(x1 - x0, y1 - y0) / 2 };
	});
	const ray = $derived.by(() => {
		if (!sun?.up || !spots.length) return null;
		const [ux, uy] = [sun.toward[0] ?? 0, -(sun.toward[1] ?? 0)];
		const [from, to] = [box.far + 4, box.far - 34];
		return { x: box.x + ux * from, y: box.y + uy * from, tx: box.x + ux * to, ty: box.y + uy * to, ux, uy };
	});
</script>

{#if sun?.shade.length}
	<path
		d={view.path(sun.shade as number[][][])}
		fill="url(#{shade})"
		fill-rule="evenodd"
		class="pointer-events-none stroke-ink stroke-[1px] [stroke-dasharray:5_4]"
		data-shade
	/>
{/if}
{#if ray}
	<g class="pointer-events-none" data-sun>
		<path d="M{ray.x} {ray.y}L{ray.tx} {ray.ty}" class="stroke-ink stroke-[3px]" />
		<path
			d="M{ray.tx} {ray.ty}l{(ray.ux - ray.uy * 0.6) * 11} {(ray.uy + ray.ux * 0.6) * 11}M{ray.tx} {ray.ty}l{(ray.ux +
				ray.uy * 0.6) *
				11} {(ray.uy - ray.ux * 0.6) * 11}"
			class="stroke-ink stroke-[3px]"
		/>
	</g>
{/if}
{#each data.told?.cuts ?? [] as one (one.joint)}
	{@const [a, b] = [view.px(one.line[0] as XY), view.px(one.line[1] as XY)]}
	<path
		d="M{a[0]} {a[1]}L{b[0]} {b[1]}"
		class={[
			'pointer-events-none stroke-[4px]',
			one.done_text ? 'stroke-ink' : one.state === 'late' ? 'stroke-flag' : 'stroke-chalk [stroke-dasharray:9_5]'
		]}
		data-cut-line={one.n}
	/>
	<g
		class="pointer-events-none"
		transform="translate({a[0] + (b[0] - a[0]) * along(one.n)} {a[1] + (b[1] - a[1]) * along(one.n)})"
	>
		<rect
			x="-10"
			y="-11"
			width="20"
			height="22"
			class={['stroke-ink stroke-[1.6px]', one.done_text ? 'fill-ink' : 'fill-well']}
		/>
		<text y="5" text-anchor="middle" class={['text-note font-black', one.done_text ? 'fill-sheet' : 'fill-ink']}>{one.n}</text>
	</g>
{/each}
