<script lang="ts">
	/** Where the doubt is: each row's letter on the plan, those of the truck beside it. */
	import type { SureTold } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	let { view, told }: { view: Viewport; told: SureTold } = $props();
	const placed = $derived(told.doubts.filter((row) => row.at));
	/* letters at one spot stand side by side */
	const spots = $derived.by(() => {
		const had: XY[] = [];
		return placed.map((row) => {
			let [px, py] = view.px(row.at as XY);
			while (had.some(([ax, ay]) => Math.hypot(ax - px, ay - py) < 26)) px += 28;
			had.push([px, py]);
			return { row, px, py };
		});
	});
</script>

{#each spots as { row, px, py } (row.key)}
	<g transform="translate({px} {py})" data-doubt-at={row.key}>
		<circle r="13" class={['fill-well stroke-ink stroke-[1.8px]', !row.measured && '[stroke-dasharray:5_3]']} />
		<text y="5" text-anchor="middle" class="fill-ink text-body font-heavy">{row.letter}</text>
	</g>
{/each}
