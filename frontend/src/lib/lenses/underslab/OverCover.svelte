<script lang="ts">
	/** What covers the ground, over the plan: sheets of barrier as they unroll and lap, or foam board by board. */
	import { around, firstFree, LETTER_PX, standing } from '../../drawing/labels';
	import type { Viewport, XY } from '../../drawing/viewport';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { cover as words } from '../../words/underslab_cover';
	import type { UnderslabData } from './underslab.svelte';
	let { view, data, foam = false }: { view: Viewport; data: UnderslabData; foam?: boolean } = $props();
	const px = (p: readonly number[]): XY => view.px([p[0] ?? 0, p[1] ?? 0]);
	const laid = $derived(foam ? null : (data.covered?.barrier ?? null));
	const boards = $derived(foam ? (data.covered?.foam ?? []) : []);
	const area = $derived((laid ? [laid.region] : boards.map((row) => row.region)).map((region) => view.path(region)).join(''));
	const clip = $props.id();
	const between = (a: XY, b: XY, t: number): XY => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
	interface Sheet {
		piece: { row: number; long_mm: number };
		path: string;
		roll: XY;
		run: string;
		spots: XY[];
		text: string;
	}
	/** each sheet: its outline, where its roll starts, and its name */
	const sheets = $derived(
		(laid?.pieces ?? []).map((piece, i): Sheet => {
			const [a = [0, 0], b = [0, 0], c = [0, 0], d = [0, 0]] = piece.corners.map(px);
			const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
			const u: XY = [(b[0] - a[0]) / long, (b[1] - a[1]) / long];
			const mid = between(a, d, 0.5);
			const roll: XY = [mid[0] + u[0] * 26, mid[1] + u[1] * 26];
			return {
				piece,
				path: `M${a}L${b}L${c}L${d}Z`,
				roll,
				run: `M${roll}l${u[0] * 46} ${u[1] * 46}`,
				spots: [0.5, 0.35, 0.65, 0.22, 0.78].map((t) => between(between(a, b, t), between(d, c, t), 0.5)),
				text: long < 190 ? (laid?.piece_texts[i] ?? '') : words.barrier.sheet(piece.row, laid?.piece_texts[i] ?? '')
			};
		})
	);
	const boots = $derived(laid ? data.risers.filter((row) => laid.boots.includes(row.name)) : []);
	const names = $derived.by((): XY[] => {
		const taken = [
			...standing(view, data.store.document?.outline ?? [], []),
			...boots.map((row) => around(px(row.at), 22, 22)),
			...sheets.map((sheet) => around(sheet.roll, 60, 44))
		];
		return sheets.map(
			(sheet) => firstFree(sheet.spots, sheet.text.length * LETTER_PX + 10, 22, taken) ?? sheet.spots[0] ?? [0, 0]
		);
	});
	const spiral = ([x, y]: XY) =>
		`M${x} ${y}${[1, 2, 3, 4].map((k) => `a${k * 2.2} ${k * 2.2} 0 0 1 ${k % 2 ? k * 4.4 : -k * 4.4} 0`).join('')}`;
</script>

<clipPath id={clip}><path d={area} clip-rule="evenodd" /></clipPath>
{#if laid}
	<g clip-path="url(#{clip})">
		{#each sheets as sheet}
			<path
				d={sheet.path}
				class={['fill-sheet/60', laid.open_sheet?.row === sheet.piece.row && 'fill-bench']}
				data-sheet={sheet.piece.row}
			/>
		{/each}
		{#each sheets as sheet}<path d={sheet.path} class="fill-none stroke-ink stroke-[1.2px] [stroke-dasharray:2_4]" />{/each}
	</g>
	<path d={area} class="fill-none stroke-ink stroke-[3px] [stroke-dasharray:11_6]" />
	{#each laid.seams as seam}
		<path d="M{px(seam.ends[0])}L{px(seam.ends[1])}" class="stroke-ink stroke-[3px] [stroke-dasharray:11_6]" data-seam />
	{/each}
	{#each sheets as sheet, i}
		{@const [x, y] = names[i] ?? sheet.roll}
		<path d={sheet.run} class="stroke-ink stroke-2" />
		<circle cx={sheet.roll[0]} cy={sheet.roll[1]} r="12" class="fill-well stroke-ink stroke-2" />
		<path d={spiral([sheet.roll[0] - 3, sheet.roll[1]])} class="fill-none stroke-ink stroke-[1.4px]" />
		<text {x} y={y + 5} text-anchor="middle" class="fill-ink stroke-sheet stroke-4 text-note font-[740] [paint-order:stroke]"
			><SvgFrac text={sheet.text} /></text
		>
	{/each}
	{#each boots as row (row.id)}
		{@const [x, y] = px(row.at)}
		<g data-boot={row.name}>
			<circle cx={x} cy={y} r="9" class="fill-well stroke-ink stroke-2" />
			<circle cx={x} cy={y} r="3" class="fill-ink" />
		</g>
	{/each}
{:else}
	{#each boards as row}
		{#if row.layout}
			<g clip-path="url(#{clip})">
				{#each row.layout.pieces as piece}
					{@const path = view.path([piece.corners as XY[]])}
					<path d={path} class="fill-well" />
					<path d={path} fill="url(#zig)" class={[piece.whole ? 'opacity-35' : 'opacity-80']} />
					<path
						d={path}
						data-board={piece.board}
						class={['fill-none stroke-ink stroke-[1.6px]', piece.offcut && '[stroke-dasharray:6_3]']}
					/>
				{/each}
			</g>
			{#each row.layout.pieces as piece}
				{@const [a, b] = [px(piece.corners[0]), px(piece.corners[2])]}
				{#if Math.min(Math.abs(a[0] - b[0]), Math.abs(a[1] - b[1])) > 22}
					<text
						x={(a[0] + b[0]) / 2}
						y={(a[1] + b[1]) / 2 + 5}
						text-anchor="middle"
						class="fill-ink stroke-well stroke-5 text-note font-[740] [paint-order:stroke]">{piece.board}</text
					>
				{/if}
			{/each}
			<path d={view.path(row.region)} class="fill-none stroke-ink stroke-[2.4px]" />
		{:else if row.region.length}
			<path d={view.path(row.region)} class="fill-well" />
			<path d={view.path(row.region)} fill="url(#zig)" class="stroke-ink stroke-[1.6px]" />
		{/if}
	{/each}
{/if}
