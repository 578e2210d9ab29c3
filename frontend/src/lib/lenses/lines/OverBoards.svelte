<script lang="ts">
	/** Where each cut piece goes: a lane a course outside the slab, marks in the lane, splices as bars with their cleats. */
	import type { CutPlanOfJob, FormPlan } from '../../api/schema';
	import { outward } from '../../drawing/corner_drag';
	import { cornerName } from '../../drawing/pick.svelte';
	import type { Viewport, XY } from '../../drawing/viewport';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { LANE, laid, SHORT } from './board_lanes';
	interface Props {
		view: Viewport;
		ring: XY[];
		cuts: CutPlanOfJob;
		forms: FormPlan | null;
		picked: string;
		pick: (key: string, side: number) => void;
	}
	let { view, ring, cuts, forms, picked, pick }: Props = $props();
	const spots = $derived(ring.map((p) => view.px(p)));
	const last = $derived(new Set((forms?.sides ?? []).flatMap((side) => (side.left_out ? [side.side] : []))));
	const rows = $derived(
		laid(
			spots,
			cuts.boards.flatMap((board) => board.pieces),
			(forms?.steps ?? []).map((step) => ({ ...step, px: step.line.map((p) => view.px(p)) })),
			view.scale
		)
	);
	/** what would lie on one before it is left out */
	const clear = <T extends { at: XY }>(all: T[]): T[] =>
		all.filter((one, i) => all.slice(0, i).every((two) => Math.hypot(one.at[0] - two.at[0], one.at[1] - two.at[1]) > 22));
	const leaders = $derived(
		clear(
			rows.flatMap((row) =>
				row.long < SHORT ? [{ from: row.at, at: [row.at[0] + row.out[0] * 30, row.at[1] + row.out[1] * 30] as XY, row }] : []
			)
		)
	);
	const letters = $derived(
		clear(
			spots.map((p, i): { at: XY; from: XY; i: number } => {
				const n = spots.length;
				const out = outward(spots[(i + n - 1) % n] ?? p, p, spots[(i + 1) % n] ?? p);
				const near: XY = [p[0] - out[0] * 23, p[1] - out[1] * 23];
				const driven = rows.some((row) => row.step && Math.hypot(row.at[0] - near[0], row.at[1] - near[1]) < row.long / 2 + 14);
				return { at: driven ? [p[0] - out[0] * 46, p[1] - out[1] * 46] : near, from: p, i };
			})
		)
	);
	/** a mark with its length where that fits in the lane, else the mark alone */
	const says = (row: (typeof rows)[number]) => {
		const whole = `${row.piece.key} ${row.piece.text.replace(' mm', '')}`;
		return whole.length * 7.4 + 10 < row.long ? whole : row.piece.key;
	};
</script>

{#each rows as row (row.piece.key)}
	{@const on = picked === row.piece.key}
	{@const open = last.has(row.piece.side)}
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the list beside does the same by keyboard) -->
	<g
		transform="translate({row.at}) rotate({row.turn})"
		class="cursor-pointer"
		data-lane={row.piece.key}
		onclick={() => pick(row.piece.key, row.piece.side)}
	>
		<rect
			x={-row.long / 2}
			y={-LANE / 2}
			width={row.long}
			height={LANE}
			class={[
				open ? 'fill-sheet [stroke-dasharray:5_4]' : 'fill-board',
				on ? 'stroke-chalk stroke-4' : 'stroke-ink stroke-[1.5px]'
			]}
		/>
		{#if row.long >= SHORT}<text text-anchor="middle" y="5" class={['text-note font-[760]', open ? 'fill-ink' : 'fill-board-ink']}
				><SvgFrac text={says(row)} /></text
			>{/if}
	</g>
{/each}
{#each rows as row (row.piece.key)}
	{#if row.splice}<g transform="translate({row.splice}) rotate({row.turn})" class="pointer-events-none"
			><rect x="-2.5" y={-LANE / 2 - 2} width="5" height={LANE + 4} class="fill-ink" /><rect
				x="-9"
				y="-4"
				width="18"
				height="8"
				class="fill-ink"
			/></g
		>{/if}
{/each}
{#each leaders as { from, at, row } (row.piece.key)}
	<path d="M{from}L{at}" class="stroke-ink stroke-1" />
	<text
		x={at[0]}
		y={at[1] + 5 + row.out[1] * 8}
		text-anchor="middle"
		class="fill-ink stroke-sheet stroke-4 text-note font-[760] [paint-order:stroke]">{row.piece.key}</text
	>
{/each}
{#each letters as { at, from, i } (i)}
	{#if Math.hypot(at[0] - from[0], at[1] - from[1]) > 50}<path d="M{at}L{from}" class="stroke-ink stroke-1" />{/if}
	<g transform="translate({at})" class="pointer-events-none">
		<rect x="-11" y="-11" width="22" height="22" class="fill-well stroke-ink stroke-[1.6px]" />
		<text text-anchor="middle" y="5.5" class="fill-ink text-body font-heavy">{cornerName(i)}</text>
	</g>
{/each}
