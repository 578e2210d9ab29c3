<script lang="ts">
	/** The level of every corner of every zone, written inside it. */
	import type { CornerLevel } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	let { view, levels }: { view: Viewport; levels: CornerLevel[] } = $props();
	const rows = $derived.by(() => {
		const seen: { at: XY; text: string }[] = [];
		for (const zone of new Set(levels.map((row) => row.zone))) {
			const own = levels.filter((row) => row.zone === zone);
			const middle: XY = [own.reduce((sum, row) => sum + (row.at[0] ?? 0), 0) / own.length, own.reduce((sum, row) => sum + (row.at[1] ?? 0), 0) / own.length];
			for (const row of own) {
				const [x, y] = view.px(row.at);
				const [mx, my] = view.px(middle);
				const size = Math.hypot(mx - x, my - y) || 1;
				const at: XY = row.corner === 'drain' ? [x, y + 22] : [x + ((mx - x) / size) * 30, y + ((my - y) / size) * 22];
				const text = row.text.replace(' down', ' dn');
				if (!seen.some((one) => Math.abs(one.at[0] - at[0]) < 34 && Math.abs(one.at[1] - at[1]) < 15)) seen.push({ at, text });
			}
		}
		return seen;
	});
</script>

{#each rows as row}<text x={row.at[0]} y={row.at[1] + 5} text-anchor="middle" pointer-events="none"><SvgFrac text={row.text} /></text>{/each}

<style>
	text {
		font-size: 13.5px;
		font-weight: 720;
		fill: var(--ink);
		paint-order: stroke;
		stroke: var(--slab);
		stroke-width: 4px;
	}
</style>
