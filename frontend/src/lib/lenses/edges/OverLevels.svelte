<script lang="ts">
	/** The level of every corner of every zone, written inside it. */
	import type { CornerLevel } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	let { view, levels }: { view: Viewport; levels: CornerLevel[] } = $props();
	const rows = $derived.by(() => {
		const seen: { at: XY; text: string; left: number; wide: number; anchor: 'start' | 'middle' | 'end' }[] = [];
		for (const zone of new Set(levels.map((row) => row.zone))) {
			const own = levels.filter((row) => row.zone === zone);
			const middle: XY = [
				own.reduce((sum, row) => sum + (row.at[0] ?? 0), 0) / own.length,
				own.reduce((sum, row) => sum + (row.at[1] ?? 0), 0) / own.length
			];
			const xs = own.map((row) => view.px(row.at)[0]);
			const narrow = Math.max(...xs) - Math.min(...xs) < 130;
			for (const row of own) {
				const [x, y] = view.px(row.at);
				const [mx, my] = view.px(middle);
				const drain = row.corner === 'drain';
				const side = Math.sign(Math.round(mx - x));
				const at: XY = drain
					? [x, y + 38]
					: [x + side * 7, y + (Math.sign(my - y) || 1) * (narrow && side < 0 && row.text.length > 3 ? 33 : 17)];
				const text = row.text
					.replace(' mm', '')
					.replace(' down', '')
					.replace(/^(?!0$|.*up$)/, '−');
				const wide = text.length * 7.4;
				const left = side < 0 ? at[0] - wide : at[0];
				const over = (one: (typeof seen)[number]) => left < one.left + one.wide && one.left < left + wide;
				if (!seen.some((one) => over(one) && Math.abs(one.at[1] - at[1]) < 15))
					seen.push({ at, text, left, wide, anchor: drain ? 'middle' : side < 0 ? 'end' : 'start' });
			}
		}
		return seen;
	});
</script>

{#each rows as row}<text
		class="fill-ink stroke-slab stroke-4 text-note font-strong [paint-order:stroke]"
		x={row.at[0]}
		y={row.at[1] + 5}
		text-anchor={row.anchor}
		pointer-events="none"><SvgFrac text={row.text} /></text
	>{/each}
