<script lang="ts">
	/** Sizes on a section with crow's feet: upright ones beside what they measure, flat ones under it. */
	import type { Section, SectionSize } from '../../api/schema';
	import { crowsFoot } from '../../drawing/marks';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { edges as edgeWords } from '../../words/edges';
	import type { SectionView } from './section_view';
	let {
		section,
		view,
		height,
		start
	}: { section: Section; view: SectionView; height: number; start: (size: SectionSize, x: number, y: number) => void } = $props();
	interface Placed {
		size: SectionSize;
		line: string;
		witness: string;
		x: number;
		y: number;
		anchor: 'start' | 'middle' | 'end';
	}
	function placed(size: SectionSize): Placed {
		const [x0, y0, x1, y1] = [view.x(size.s0_mm), view.y(size.z0_mm), view.x(size.s1_mm), view.y(size.z1_mm)];
		if (size.key === 'degrees') {
			const right = x1 > x0;
			const r = 44 / Math.hypot(x1 - x0, y1 - y0);
			return {
				size,
				line: `M${x0 + (right ? 44 : -44)} ${y0}A44 44 0 0 ${right ? 0 : 1} ${x0 + (x1 - x0) * r} ${y0 + (y1 - y0) * r}`,
				witness: `M${x0} ${y0}h${right ? 56 : -56}`,
				x: x0 + (right ? 60 : -60),
				y: y0 - 6,
				anchor: right ? 'start' : 'end'
			};
		}
		if (size.s0_mm === size.s1_mm) {
			const end = section.ends.find((one) => Math.abs(one.s_mm - size.s0_mm) < 2 && size.key === 'depth');
			const x = end ? x0 + end.outward * view.away : x0;
			const [top, foot] = [Math.min(y0, y1), Math.max(y0, y1)];
			const tall = foot - top;
			const out: [number, number] = [end?.outward ?? 1, 0];
			const line =
				tall > 26
					? `M${x} ${y0}V${y1}${crowsFoot([x, top], out, 6, 4)}${crowsFoot([x, foot], out, 6, 4)}`
					: `M${x} ${top - 16}v16M${x} ${foot}v16${crowsFoot([x, top], out, 6, 4)}${crowsFoot([x, foot], out, 6, 4)}`;
			const witness = end
				? `M${x0 + end.outward * 4} ${y0}H${x + end.outward * 8}M${x0 + end.outward * 4} ${y1}H${x + end.outward * 8}`
				: '';
			const centred = tall > 44;
			return { size, line, witness, x: centred ? x : x + 9, y: (y0 + y1) / 2 + 6, anchor: centred ? 'middle' : 'start' };
		}
		const y = Math.max(y0, y1) + 26;
		return {
			size,
			line: `M${x0} ${y}H${x1}${crowsFoot([x0, y], [0, 1], 6, 4)}${crowsFoot([x1, y], [0, 1], 6, 4)}`,
			witness: `M${x0} ${y0 + 5}V${y + 7}M${x1} ${y1 + 5}V${y + 7}`,
			x: (x0 + x1) / 2,
			y: y + (x1 - x0 > 60 ? 6 : 24),
			anchor: 'middle'
		};
	}
	const RANK = ['depth', 'bottom_width', 'width', 'length', 'diameter', 'drop', 'thickness', 'degrees'];
	/** The sizes that have room: what matters more goes first, what would lie over it is left out. */
	const rows = $derived.by(() => {
		const kept: { row: Placed; box: number[] }[] = [];
		for (const row of section.sizes.map(placed).sort((a, b) => RANK.indexOf(a.size.key) - RANK.indexOf(b.size.key))) {
			const wide = row.size.text.length * 10.4 + 6;
			const x = row.anchor === 'middle' ? row.x - wide / 2 : row.anchor === 'start' ? row.x : row.x - wide;
			const box = [x, row.y - 17, x + wide, row.y + 5];
			if (
				kept.every(
					({ box: one }) =>
						(box[2] ?? 0) < (one[0] ?? 0) ||
						(one[2] ?? 0) < (box[0] ?? 0) ||
						(box[3] ?? 0) < (one[1] ?? 0) ||
						(one[3] ?? 0) < (box[1] ?? 0)
				)
			)
				kept.push({ row, box });
		}
		return kept.map(({ row }) => row);
	});
	const deep = $derived(section.ends.flatMap((end) => (end.short_text && end.kind === 'thickened' ? [end] : []))[0]);
</script>

{#each rows as row}
	<path d={row.witness} stroke="var(--color-line)" stroke-width=".9" fill="none" />
	<path d={row.line} stroke="var(--color-ink)" stroke-width="1.2" fill="none" />
{/each}
{#if deep && deep.frost_mm !== null && view.y(deep.frost_mm) > view.y(deep.bottom_mm) + 40}
	{@const x = view.x(deep.s_mm) - deep.outward * 46}
	{@const far = Math.min(view.y(deep.frost_mm), height - 14)}
	{@const seen = view.y(deep.frost_mm) <= height - 14}
	{@const from = view.y(deep.bottom_mm) + (seen ? 40 : 12)}
	<path
		d="M{x} {from}{seen ? '' : `V${far - 22}l5 4l-10 6l5 4`}V{far}{crowsFoot([x, far], [deep.outward, 0])}"
		stroke="var(--color-flag)"
		stroke-width="1.8"
		fill="none"
	/>
	<text
		x={x + 10}
		y={Math.min(far - 8, (from + far) / 2 + 6)}
		class="short fill-flag stroke-bench stroke-4 text-read font-[760] [paint-order:stroke]"
		><SvgFrac text={edgeWords.short(deep.short_text)} /></text
	>
{/if}
{#each rows as row}
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<g
		class={[row.size.typed && '[cursor:text]']}
		data-size="{row.size.kind}-{row.size.key}-{row.size.mark}"
		role={row.size.typed ? 'button' : undefined}
		tabindex={row.size.typed ? 0 : undefined}
		aria-label="{row.size.mark} {row.size.key.replace('_', ' ')}, {row.size.text}"
		onclick={() => start(row.size, row.x, row.y)}
		onkeydown={(event) => (event.key === 'Enter' || event.key === ' ') && (event.preventDefault(), start(row.size, row.x, row.y))}
	>
		{#if row.size.typed}<rect
				x={row.anchor === 'middle' ? row.x - 24 : row.anchor === 'start' ? row.x - 4 : row.x - 44}
				y={row.y - 28}
				width="48"
				height="44"
				fill="transparent"
			/>{/if}
		<rect
			class="fill-bench opacity-86"
			x={row.anchor === 'middle'
				? row.x - row.size.text.length * 5.2 - 5
				: row.anchor === 'start'
					? row.x - 3
					: row.x - row.size.text.length * 10.4 - 5}
			y={row.y - 19}
			width={row.size.text.length * 10.4 + 10}
			height="25"
		/>
		<text
			class={[
				row.size.typed ? 'fill-ink text-size font-[800]' : 'fill-ink2 text-key font-mid',
				row.size.typed && 'font-stretch-[92%] underline [text-decoration-thickness:1.5px] underline-offset-[3px]'
			]}
			x={row.x}
			y={row.y}
			text-anchor={row.anchor}><SvgFrac text={row.size.text} /></text
		>
	</g>
{/each}
