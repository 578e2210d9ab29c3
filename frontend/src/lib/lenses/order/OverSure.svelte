<script lang="ts">
	/** Where the doubt is: each row's letter on the plan, those of the truck beside it. */
	import type { SureTold } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	let { view, told, ring }: { view: Viewport; told: SureTold; ring: XY[] } = $props();
	const loose = $derived(told.doubts.filter((row) => !row.at));
	/* the truck stands over the top right corner of all of it */
	const drum = $derived(view.px([Math.max(...ring.map((p) => p[0])), Math.max(...ring.map((p) => p[1]))]));
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

{#if ring.length && loose.length}
	<g transform="translate({drum[0] - 20 - loose.length * 30} {drum[1] - 30})" data-drum>
		<path
			d="M-16 20L8 -8L{loose.length * 30 + 6} -14L{loose.length * 30 + 18} 4L{loose.length * 30 + 6} 22L8 26Z"
			class="fill-well stroke-ink stroke-[1.8px]"
		/>
		{#each loose as row, i (row.key)}
			<g transform="translate({18 + i * 30} 6)" data-doubt-at={row.key}>
				<circle r="12" class={['fill-well stroke-ink stroke-[1.8px]', !row.measured && '[stroke-dasharray:5_3]']} />
				<text y="5" text-anchor="middle" class="fill-ink text-body font-heavy">{row.letter}</text>
			</g>
		{/each}
	</g>
{/if}
{#each spots as { row, px, py } (row.key)}
	<g transform="translate({px} {py})" data-doubt-at={row.key}>
		<circle r="13" class={['fill-well stroke-ink stroke-[1.8px]', !row.measured && '[stroke-dasharray:5_3]']} />
		<text y="5" text-anchor="middle" class="fill-ink text-body font-heavy">{row.letter}</text>
	</g>
{/each}
