<script lang="ts">
	/** A cage cut across, true to size: the concrete, the stirrup, every bar with its tag, cover in white boxes. */
	import type { CageBar, CageTold } from '../../api/schema';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { steel as words } from '../../words/steel';
	import Tag from './Tag.svelte';
	/** scale: px a mm, the same for all that stand beside each other */
	let { cage, scale, held }: { cage: CageTold; scale: number; held: string } = $props();
	const WIDE = 268;
	const high = $derived(cage.deep_mm * scale);
	const wide = $derived(cage.wide_mm * scale);
	const slab = $derived(Math.min(high, cage.slab_mm * scale));
	const run = $derived(cage.run_per_rise * Math.max(0, high - slab));
	const left = $derived(cage.one_sided ? 64 : Math.max(46, (WIDE - wide) / 2));
	const end = WIDE - 8;
	const x = (mm: number) => left + mm * scale;
	const y = (mm: number) => 22 - mm * scale;
	const outline = $derived.by(() => {
		const [a, b, top, foot] = [left, left + wide, 22, 22 + high];
		const right =
			cage.of === 'pad' || cage.of === 'pile'
				? `L${end} ${top}L${end} ${top + slab}L${b} ${top + slab}L${b} ${foot}`
				: `L${end} ${top}L${end} ${top + slab}L${Math.min(end, b + run)} ${top + slab}L${b} ${foot}`;
		const back = cage.one_sided
			? `L${a} ${foot}Z`
			: `L${a} ${foot}L${Math.max(8, a - run)} ${top + slab}L8 ${top + slab}L8 ${top}Z`;
		return `M${a} ${top}${right}${back}`;
	});
	/** a tag for each mark, at the side of its bars */
	const tags = $derived.by(() => {
		const by: Record<string, CageBar[]> = {};
		for (const bar of cage.bars) if (bar.mark) (by[bar.mark] ??= []).push(bar);
		let low = 0;
		const height = (bars: CageBar[]) => bars[0]?.level_mm ?? 0;
		const sorted = Object.entries(by).sort((a, b) => height(b[1]) - height(a[1]));
		return sorted.map(([mark, bars]) => {
			const last = bars.reduce((far, bar) => (bar.off_mm > far.off_mm ? bar : far));
			const from = [x(last.off_mm), y(last.level_mm)] as const;
			const at = [Math.min(end - 16, x(cage.wide_mm) + 34), Math.max(from[1], low)] as const;
			low = at[1] + 26;
			return { mark, n: bars.length, from, at };
		});
	});
</script>

<figure class="m-0" data-cage={cage.mark}>
	<figcaption class="font-[760]">
		{words.of[cage.of]}
		{cage.name || cage.mark}{#if cage.drawn}<span class="block text-note font-normal text-ink2">{cage.drawn}</span>{/if}
	</figcaption>
	<svg
		viewBox="0 0 {WIDE} {high + 62}"
		width="100%"
		style:max-width="{WIDE}px"
		role="img"
		aria-label="{words.of[cage.of]} {cage.name || cage.mark}"
	>
		<path d={outline} class="fill-slab stroke-ink stroke-[2.4px]" />
		{#if cage.head_mm}<rect
				x={left + (wide - cage.head_mm * scale) / 2}
				y={22 + high}
				width={cage.head_mm * scale}
				height="16"
				class="fill-board stroke-ink stroke-[1.4px]"
			/>{/if}
		{#if cage.one_sided}<rect
				x={left - 12}
				y="20"
				width="12"
				height={high + 4}
				class="fill-board stroke-ink stroke-[1.4px]"
			/>{/if}
		{#if cage.stirrup}
			{@const [sx, sy, sw, sh] = cage.stirrup}
			<rect
				x={x(sx) + 1}
				y={y(sy) + 1}
				width={Math.max(2, sw * scale - 2)}
				height={Math.max(2, sh * scale - 2)}
				rx={4 + cage.stirrup_d_mm * scale * 2}
				stroke-width={Math.max(2, cage.stirrup_d_mm * scale)}
				class={['fill-none', held && held === cage.stirrup_mark ? 'stroke-chalk' : 'stroke-rust']}
			/>
			<path d="M{x(sx) + 8} {y(sy) + 3}l9 9M{x(sx) + 3} {y(sy) + 8}l9 9" class="stroke-rust stroke-2" />
			{#if cage.stirrup_mark}<Tag
					mark={cage.stirrup_mark}
					on={held === cage.stirrup_mark}
					x={x(sx)}
					y={y(sy) + (sh * scale) / 2}
				/>{/if}
		{/if}
		{#each cage.bars as bar}<circle
				cx={x(bar.off_mm)}
				cy={y(bar.level_mm)}
				r={Math.max(2.6, (bar.d_mm * scale) / 2)}
				class={[held && held === bar.mark ? 'fill-chalk' : 'fill-rust', 'stroke-sheet stroke-1']}
			/>{/each}
		{#each tags as tag (tag.mark)}
			<path d="M{tag.from[0] + 4} {tag.from[1]}L{tag.at[0] - 16} {tag.at[1]}" class="stroke-ink stroke-1" />
			<Tag mark={tag.mark} on={held === tag.mark} x={tag.at[0]} y={tag.at[1]} />
			{#if tag.at[0] + 22 < end}<text x={tag.at[0] + 18} y={tag.at[1] + 5} class="fill-ink text-note font-[760]">{tag.n}</text
				>{/if}
		{/each}
		<g class="text-note font-[760]">
			<text x={left + wide / 2} y={high + 42} text-anchor="middle" class="fill-ink"><SvgFrac text={cage.bottom_text} /></text>
			<path d="M{left + wide / 2} {22 + high - 1}v7" class="stroke-ink stroke-1" />
			{#if cage.one_sided}<text x={left - 18} y={22 + high / 2} text-anchor="end" class="fill-ink"
					><SvgFrac text={cage.side_text} /></text
				>{/if}
			<text x={left + wide / 2} y="14" text-anchor="middle" class="fill-ink"><SvgFrac text={cage.top_text} /></text>
		</g>
	</svg>
</figure>
