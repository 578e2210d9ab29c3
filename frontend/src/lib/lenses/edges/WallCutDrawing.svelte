<script lang="ts">
	/** The cut through a wall, its footing and the floor, to scale; levels from the floor down at the left, sizes typed on it. */
	import type { WallCut } from '../../api/schema';
	import type { Edit, JobStore } from '../../state/job.svelte';
	import Field from '../../ui/Field.svelte';
	import { coarse } from '../../ui/pointer.svelte';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { shownLength } from '../../ui/typed';
	import { footings } from '../../words/footings';
	import { walls as words } from '../../words/walls';
	let { store, cut, wall: at }: { store: JobStore; cut: WallCut; wall: number } = $props();
	const row = $derived(store.document?.walls[at]);
	const footing = $derived(store.document?.footings.find((one) => one.id === row?.footing));
	const name = $derived(row?.name ?? '');
	const TALL = 262;
	const TOP = 22;
	/** a level with its field under it; taller in the hand */
	const GAP = $derived(coarse.now ? 72 : 58);
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
		const rows: { name: string; level: string; reading: string; mm: number; y: number; key: string }[] = [];
		for (const one of cut.levels) {
			const same = rows.find((row) => Math.abs(row.mm - one.level_mm) < 0.5);
			const typed = one.key === 'top' ? row?.top_mm : one.key === 'footing' ? footing?.top_mm : undefined;
			const key = typed !== undefined && Math.abs(typed - one.level_mm) < 0.5 ? one.key : '';
			if (same) {
				same.name = `${same.name}, ${one.name[0]?.toLowerCase()}${one.name.slice(1)}`;
				same.key ||= key;
			} else
				rows.push({
					name: one.name,
					level: one.level_text,
					reading: one.reading_text,
					mm: one.level_mm,
					y: y(one.level_mm),
					key
				});
		}
		rows.sort((a, b) => a.y - b.y);
		let last = -Infinity;
		for (const one of rows) last = one.y = Math.max(one.y, last + GAP);
		return rows;
	});
	const deep = $derived(Math.max(TALL, ...labels.map((one) => one.y + 36)));
	const wall = $derived(cut.boxes.find((box) => box.kind === 'block' || box.kind === 'wall'));
	const foot = $derived(cut.boxes.find((box) => box.kind === 'footing'));
	const floor = $derived(cut.boxes.find((box) => box.kind === 'slab'));
	const inner = $derived(
		Math.max(...cut.boxes.filter((box) => box.kind !== 'slab' && box.kind !== 'footing').map((b) => b.to_mm))
	);
	const say = (mm: number) => shownLength(mm, store.units);
	const level = (mm: number) => (mm ? `${say(Math.abs(mm))} ${mm < 0 ? 'below' : 'above'}` : '0');
	const set = (of: 'wall' | 'footing', key: string) => (typed: string) =>
		store.keep(
			[
				(of === 'wall'
					? { op: 'set_wall', wall: row?.id ?? '', changes: { [key]: typed.trim() } }
					: { op: 'set_footing', footing: footing?.id ?? '', changes: { [key]: typed.trim() } }) as Edit
			],
			`cut-${of}-${key}`
		);
	const wrong = (of: string, key: string) => store.problemFor(`cut-${of}-${key}`);
	const told = (one: { guessed?: string[] } | undefined, key: string, label: string) =>
		one?.guessed?.includes(key) ? footings.guess(label) : label;
</script>

{#snippet size(of: 'wall' | 'footing', key: string, label: string, mm: number, left: number, top: number)}
	<div class="absolute" style:left="{left}px" style:top="{top}px">
		<Field
			label={told(of === 'wall' ? row : footing, key, label)}
			width="86px"
			value={say(mm)}
			problem={wrong(of, key)}
			keep={set(of, key)}
		/>
	</div>
{/snippet}

<div class="relative" bind:clientWidth={width}>
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
				>{#if !row.key}<SvgFrac text={row.level} />{/if}{#if row.reading}<tspan class="fill-ink2 font-label" dx="6"
						>{words.rod} {row.reading}</tspan
					>{/if}</text
			>
		{/each}
	</svg>
	{#each labels.filter((one) => one.key) as one (one.key)}
		{@const top = one.key === 'top'}
		<div class="absolute w-112" style:left="{NAMES - 10 - 112}px" style:top="{one.y + (one.reading ? 20 : 2)}px">
			<div class="[&_input]:text-right">
				<Field
					label={top ? told(row, 'top_mm', words.top) : told(footing, 'top_mm', words.footingTop)}
					hide
					mode="text"
					value={level((top ? row?.top_mm : footing?.top_mm) ?? 0)}
					problem={wrong(top ? 'wall' : 'footing', 'top_mm')}
					keep={set(top ? 'wall' : 'footing', 'top_mm')}
				/>
			</div>
			{#if (top ? row : footing)?.guessed?.some((key) => key === 'top_mm')}<p class="label text-right text-pencil">
					{words.guessed}
				</p>{/if}
		</div>
	{/each}
	{#if wall && row}{@render size(
			'wall',
			'thickness_mm',
			words.thick,
			row.thickness_mm,
			x(inner) + 16,
			floor ? y(floor.bottom_mm) + 4 : (y(wall.top_mm) + y(wall.bottom_mm)) / 2 - 26
		)}{/if}
	{#if foot && footing}
		{@const roomy = x(foot.to_mm) + 200 < width}
		{@const under = roomy ? Math.min(deep - 56, (y(foot.top_mm) + y(foot.bottom_mm)) / 2 - 26) : deep + 2}
		{@const beside = roomy ? x(foot.to_mm) + 14 : NAMES - 10}
		{@render size('footing', 'width_mm', words.footingWide, footing.width_mm, beside, under)}
		{@render size('footing', 'thickness_mm', words.footingThick, footing.thickness_mm, beside + 98, under)}
		{#if !roomy}<div class="h-72"></div>{/if}
	{/if}
</div>
