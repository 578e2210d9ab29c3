<script lang="ts">
	/** How the top lies, on the plan: level lines with their level, long-short lines down the fall, drains. */
	import type { PlanView, TopView } from '../../api/schema';
	import { inside } from '../../drawing/empty_place';
	import { boundsOf, type Viewport, type XY } from '../../drawing/viewport';
	import { edges as edgeWords } from '../../words/edges';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	let { view, top, drawing, picked }: { view: Viewport; top: TopView; drawing: PlanView; picked: string | null } = $props();
	/** how wide a zone is on the sheet: in a narrow one its corners say the levels, not its lines */
	const wideOf = (row: number) => {
		const box = boundsOf(drawing.zones.find((one) => one.index === row)?.rings.flat() ?? [[0, 0]]);
		return (box.x1 - box.x0) * view.scale;
	};
	/** labels that have room: one beside another is left out */
	const labels = $derived.by(() => {
		const kept: { at: XY; text: string; half: number }[] = [];
		for (const line of top.lines) {
			const spots = line.path.map((p) => view.px(p));
			const long = spots
				.slice(1)
				.reduce((sum, p, i) => sum + Math.hypot(p[0] - (spots[i]?.[0] ?? 0), p[1] - (spots[i]?.[1] ?? 0)), 0);
			const at = view.px(line.at);
			const text = line.text.replace(' mm', '');
			const half = text.length * 3.8 + 5;
			const near = kept.some((one) => Math.abs(one.at[0] - at[0]) < one.half + half && Math.abs(one.at[1] - at[1]) < 20);
			if (long > 60 && wideOf(line.zone) > 130 && !near) kept.push({ at, text, half });
		}
		return kept;
	});
	/** each zone's name where it is farthest from levels, drains and recesses */
	const names = $derived.by(() => {
		const taken: XY[] = [
			...labels.map((one) => one.at),
			...drains.flatMap(({ at }): XY[] => [at, [at[0], at[1] + 26]]),
			...drawing.outlined.map((thing) => view.px(thing.at))
		];
		return top.zones.flatMap((zone) => {
			const rings = (drawing.zones.find((one) => one.index === zone.row)?.rings ?? []).map((ring) => ring.map((p) => view.px(p)));
			const under = `${zone.mark}, ${edgeWords.says(zone.says, zone.use)}`;
			const half = Math.max(zone.name.length * 4.2, under.length * 3.4) + 4;
			const box = boundsOf(rings.flat());
			let best: { at: XY; far: number } | null = null;
			for (let i = 1; i < 12; i += 1)
				for (let j = 1; j < 12; j += 1) {
					const at: XY = [box.x0 + ((box.x1 - box.x0) * i) / 12, box.y0 + ((box.y1 - box.y0) * j) / 12];
					const ends: XY[] = [-half, half].flatMap((dx): XY[] => [
						[at[0] + dx, at[1] - 16],
						[at[0] + dx, at[1] + 22]
					]);
					if (!ends.every((end) => inside(end, rings))) continue;
					const room = taken.map(
						(one) => Math.max(Math.abs(one[0] - at[0]) - half, 0) + Math.max(Math.abs(one[1] - at[1]) - 18, 0)
					);
					const far = Math.min(60, ...room) - Math.abs(i - 6) - Math.abs(j - 6);
					if (!best || far > best.far) best = { at, far };
				}
			return best ? [{ at: best.at, name: zone.name, under, on: zone.id === picked }] : [];
		});
	});
	const drains = $derived(
		top.zones.flatMap((zone) => (zone.drain ? [{ at: view.px(zone.drain), text: zone.drain_text.replace(' mm', '') }] : []))
	);
</script>

<g class="pointer-events-none">
	{#each top.zones as zone}{#each zone.falls as fall}<path
				d={view.path([fall], false)}
				class="fill-none stroke-ink2 stroke-1 [stroke-dasharray:10_4_2_4]"
			/>{/each}{/each}
	{#each top.lines as line}<path
			d={view.path([line.path], false)}
			class="fill-none stroke-ink stroke-[1.2px]"
			data-level={line.text}
		/>{/each}
	{#each labels as label}<text
			x={label.at[0]}
			y={label.at[1] + 5}
			text-anchor="middle"
			class="fill-ink stroke-slab stroke-6 text-note font-[700] [paint-order:stroke]"><SvgFrac text={label.text} /></text
		>{/each}
	{#each names as row}
		<text
			x={row.at[0]}
			y={row.at[1]}
			text-anchor="middle"
			class={['stroke-slab stroke-5 text-read font-[760] [paint-order:stroke]', row.on ? 'fill-chalk' : 'fill-ink']}
			>{row.name}</text
		>
		<text
			x={row.at[0]}
			y={row.at[1] + 18}
			text-anchor="middle"
			class="fill-ink stroke-slab stroke-5 text-note font-label [paint-order:stroke]"><SvgFrac text={row.under} /></text
		>
	{/each}
	{#each drains as { at, text }}
		<circle cx={at[0]} cy={at[1]} r="9" class="fill-well stroke-ink stroke-2" />
		<path d="M{at[0] - 9} {at[1]}h18M{at[0]} {at[1] - 9}v18" class="stroke-ink stroke-[1.4px]" />
		{#if text}<g transform="translate({at[0]} {at[1] + 26})"
				><rect x={-text.length * 4.6 - 5} y="-12" width={text.length * 9.2 + 10} height="22" class="fill-well stroke-ink" /><text
					text-anchor="middle"
					y="5"
					class="fill-ink text-note font-[760]"><SvgFrac {text} /></text
				></g
			>{/if}
	{/each}
</g>
