<script lang="ts">
	/** The cut through a wall, its footing and the floor, to scale; the levels from the floor down stand at the left. */
	import type { WallCut } from '../../api/schema';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { walls as words } from '../../words/walls';
	let { cut, name }: { cut: WallCut; name: string } = $props();
	const TALL = 262;
	const TOP = 22;
	const GAP = 36;
	let width = $state(560);
	const NAMES = 172;
	const low = $derived(Math.min(...cut.boxes.map((box) => box.bottom_mm)));
	const high = $derived(Math.max(0, ...cut.boxes.map((box) => box.top_mm)));
	const left = $derived(Math.min(...cut.boxes.map((box) => box.from_mm)));
	const right = $derived(Math.max(...cut.boxes.map((box) => box.to_mm)));
	const scale = $derived(Math.min((TALL - TOP - 20) / (high - low), (width - NAMES - 22) / (right - left)));
	const x = (mm: number) => NAMES + 20 + (mm - left) * scale;
	const y = (mm: number) => TOP + (high - mm) * scale;
	const FILL: Record<string, string> = {
		footing: 'fill-water',
		wall: 'fill-water',
		block: 'fill-well',
		slab: 'fill-slab',
		foam: 'fill-sheet',
		isolation: 'fill-ink'
	};
	const HATCH: Record<string, string> = { footing: 'deep', wall: 'deep', slab: 'conc', foam: 'zig' };
	/** one label for all that lies at one level, each pushed down clear of the one over it */
	const labels = $derived.by(() => {
		const rows: { name: string; level: string; reading: string; mm: number; y: number }[] = [];
		for (const one of cut.levels) {
			const same = rows.find((row) => Math.abs(row.mm - one.level_mm) < 0.5);
			if (same) same.name = `${same.name}, ${one.name[0]?.toLowerCase()}${one.name.slice(1)}`;
			else rows.push({ name: one.name, level: one.level_text, reading: one.reading_text, mm: one.level_mm, y: y(one.level_mm) });
		}
		rows.sort((a, b) => a.y - b.y);
		let last = -Infinity;
		for (const row of rows) last = row.y = Math.max(row.y, last + GAP);
		return rows;
	});
	const deep = $derived(Math.max(TALL, ...labels.map((row) => row.y + 24)));
	const wall = $derived(cut.boxes.find((box) => box.kind === 'block' || box.kind === 'wall'));
</script>

<div bind:clientWidth={width}>
	<svg {width} height={deep} role="img" aria-label={words.cut(name)} class="block">
		{#each cut.boxes as box, i (i)}
			{@const [bx, by, bw, bh] = [
				x(box.from_mm),
				y(box.top_mm),
				(box.to_mm - box.from_mm) * scale,
				(box.top_mm - box.bottom_mm) * scale
			]}
			<rect x={bx} y={by} width={bw} height={bh} class={FILL[box.kind]} />
			<rect
				x={bx}
				y={by}
				width={bw}
				height={bh}
				fill={HATCH[box.kind] ? `url(#${HATCH[box.kind]})` : 'none'}
				class="stroke-ink stroke-[1.8px]"
			/>
		{/each}
		{#if wall}{#each cut.joints as joint (joint)}
				{#if joint < wall.top_mm - 1}<path
						d="M{x(wall.from_mm)} {y(joint)}H{x(wall.to_mm)}"
						class="fill-none stroke-ink stroke-[1.2px]"
					/>{/if}
			{/each}{/if}
		{#each labels as row (row.mm)}
			<path
				d="M{x(left) - 4} {y(row.mm)}H{x(left) - 14}L{NAMES} {row.y}H{NAMES - 6}"
				class="fill-none stroke-line stroke-[1.1px]"
			/>
			<text x={NAMES - 10} y={row.y - 1} text-anchor="end" class="fill-ink text-note font-mid">{row.name}</text>
			<text x={NAMES - 10} y={row.y + 17} text-anchor="end" class="fill-ink text-note font-black"
				><SvgFrac text={row.level} />{#if row.reading}<tspan class="fill-ink2 font-label" dx="6">{words.rod} {row.reading}</tspan
					>{/if}</text
			>
		{/each}
	</svg>
</div>
