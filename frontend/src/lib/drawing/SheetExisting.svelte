<script lang="ts">
	/** What stands beside the work: old slabs, walls, walks, hatched, with its name where there is room on the sheet. */
	import type { Plan } from '../api/schema';
	import type { Viewport, XY } from './viewport';
	let { view, plan, width, height }: { view: Viewport; plan: Plan; width: number; height: number } = $props();
	const inside = (value: number, least: number, most: number) => Math.min(Math.max(value, least), most);
	const rows = $derived(
		plan.existing.map((thing) => {
			const seen = thing.polygon
				.map((p) => view.px(p))
				.map(([x, y]): XY => [inside(x, 30, width - 30), inside(y, 60, height - 50)]);
			const [xs, ys] = [seen.map((p) => p[0]), seen.map((p) => p[1])];
			const [left, right, up, down] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
			const turn = right - left < thing.name.length * 7.6 ? -90 : 0;
			/* near its lower end: the sizes of the slab stand by the middle of its sides */
			const at: XY = [(left + right) / 2, turn ? Math.max(up + 50, down - 16 - thing.name.length * 4) : down - 18];
			return { thing, at, turn };
		})
	);
</script>

{#each rows as { thing, at, turn }}
	<path
		d={view.path([thing.polygon])}
		class="old fill-ground stroke-ink stroke-[1.6px] [stroke-dasharray:9_4]"
		data-existing={thing.name}
	/>
	<g transform="translate({at}) rotate({turn})"
		><text class="fill-ink stroke-ground stroke-5 text-body font-mid [paint-order:stroke]" text-anchor="middle" y="5"
			>{thing.name}</text
		></g
	>
{/each}
