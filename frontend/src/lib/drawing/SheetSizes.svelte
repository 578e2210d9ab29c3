<script lang="ts">
	/** The sizes of the sides: witness lines, crow's feet, the number in the line; press one to type over it. */
	import type { Figure } from '../api/schema';
	import SvgFrac from '../ui/SvgFrac.svelte';
	import { sizeLine } from './marks';
	import type { Pick } from './pick.svelte';
	import type { Viewport, XY } from './viewport';
	let {
		view,
		ring,
		figure,
		pick,
		editable,
		roomy
	}: { view: Viewport; ring: XY[]; figure: Figure; pick: Pick; editable: boolean; roomy: boolean } = $props();
	const rows = $derived(
		ring.map((p, i) => {
			const q = ring[(i + 1) % ring.length] ?? p;
			const [a, b] = [view.px(p), view.px(q)];
			const short = Math.hypot(a[0] - b[0], a[1] - b[1]) < 62;
			return { i, short, line: sizeLine(a, b, short ? -17 : 34), text: figure.outline?.sides[i]?.text.replace(' mm', '') ?? '' };
		})
	);
	const width = (text: string) => Math.max(18, text.length * 7.6 + 6);
</script>

{#each rows as { i, short, line, text } (i)}
	{@const shown = !(pick.bays && pick.side === i) && ((short ? line.length > 30 && roomy : line.length > 22) || pick.side === i)}
	{#if shown}
		{@const w = width(text)}
		{@const tight = w + 22 > line.length}
		<g class={[pick.side === i ? 'text-chalk' : 'text-ink']} class:on={pick.side === i}>
			{#if !short}
				<path d={line.witness} stroke="var(--color-line)" stroke-width=".9" />
				<path d="M{line.a}L{line.b}" stroke="currentColor" stroke-width="1.2" />
				<path d={line.feet} fill="none" stroke="currentColor" stroke-width="1.4" />
			{/if}
			<g transform="translate({line.middle}) rotate({tight || Math.abs(line.angle) > 60 ? 0 : line.angle})">
				<rect
					x={-w / 2}
					y="-10"
					width={w}
					height="20"
					fill={short ? 'var(--color-slab)' : 'var(--color-sheet)'}
					rx={short ? 3 : 0}
				/>
				<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the sheet itself takes the keys) -->
				<text
					class={['fill-current text-body font-mid font-stretch-[90%]', editable && '[cursor:text]']}
					text-anchor="middle"
					y="5"
					data-size={i}
					onclick={() => {
						pick.chooseSide(i);
						pick.typing = editable;
					}}><SvgFrac {text} /></text
				>
			</g>
		</g>
	{/if}
{/each}
