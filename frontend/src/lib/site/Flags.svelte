<script lang="ts">
	/** A flag on a peg where each one looks; dashed: out of reach. */
	import type { HereTold } from '../api/schema';
	import { boundsOf, type Viewport, type XY } from '../drawing/viewport';
	import { flagPlaces } from './flags';
	import { nameOf } from './who.svelte';
	let { rows, view, ring, laptop }: { rows: HereTold[]; view: Viewport; ring: XY[]; laptop: string } = $props();
	const middle = $derived.by((): XY => {
		const box = boundsOf(ring);
		return view.px([(box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2]);
	});
	const flags = $derived(
		flagPlaces(
			rows.map((row) => ({ device: row.device, spot: row.spot_mm ? view.px(row.spot_mm) : null })),
			middle
		).map((flag) => ({ ...flag, row: rows.find((row) => row.device === flag.device)! }))
	);
	const wide = (name: string) => 18 + name.length * 8.4;
</script>

<g class="pointer-events-none" aria-hidden="true">
	{#each flags as { at, row } (row.device)}
		{@const name = nameOf(row, laptop)}
		<g transform="translate({at[0]} {at[1]})" data-flag={name} data-reach={row.reach}>
			<path d="M0 0V-42" class={['stroke-ink stroke-[2.4px]', !row.reach && '[stroke-dasharray:5_4]']} />
			<path d="M-4.5 -9h9L0 2z" class="fill-board stroke-ink stroke-[1.4px]" />
			<rect
				y="-43"
				width={wide(name)}
				height="25"
				class={[row.reach ? 'fill-ink' : 'fill-sheet', 'stroke-ink stroke-[2px]', !row.reach && '[stroke-dasharray:5_3]']}
			/>
			<text
				x={wide(name) / 2}
				y="-25"
				class={['text-[15px] font-strong [text-anchor:middle]', row.reach ? 'fill-sheet' : 'fill-ink']}>{name}</text
			>
		</g>
	{/each}
</g>
