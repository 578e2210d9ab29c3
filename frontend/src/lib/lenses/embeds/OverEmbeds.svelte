<script lang="ts">
	/** What sticks up over the plan: plates with studs, openings left open, bolts three times their size, straps, groups. */
	import type { ItemTold, WallTold } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	import { embeds as words } from '../../words/embeds';
	import type { EmbedsData } from './embeds.svelte';
	let { view, data, tab }: { view: Viewport; data: EmbedsData; tab: string } = $props();
	let area: SVGPathElement | undefined = $state();
	const found = $derived(data.found);
	/** a place of a wall on the sheet: at a station, from its outer face (0) to its inner (1) */
	function at(wall: WallTold, mm: number, across: number): XY {
		const [a, b, , d] = wall.outline as XY[];
		if (!a || !b || !d) return [0, 0];
		const t = (mm - wall.start_mm) / Math.max(1, wall.end_mm - wall.start_mm);
		return view.px([a[0] + (b[0] - a[0]) * t + (d[0] - a[0]) * across, a[1] + (b[1] - a[1]) * t + (d[1] - a[1]) * across]);
	}
	const strip = (wall: WallTold, from: number, to: number) =>
		`M${at(wall, from, 0)}L${at(wall, to, 0)}L${at(wall, to, 1)}L${at(wall, from, 1)}Z`;
	const parts = (wall: WallTold): [number, number][] =>
		wall.pieces.length ? (wall.pieces as [number, number][]) : [[wall.start_mm, wall.end_mm]];
	const held = $derived(tab === 'straps' ? '' : tab === 'setting' ? (data.item?.wall ?? '') : (data.wall?.id ?? ''));
	const half = $derived(Math.max(3.4, Math.min(8, 1.5 * (found?.bolt_mm ?? 12) * view.scale)));
	const states = $derived(new Map(data.items.map((item): [string, ItemTold] => [item.key, item])));
	/** how many bolts, beside the middle of each wall */
	const names = $derived(
		data.walls.map((wall) => {
			const [x, y] = at(wall, (wall.start_mm + wall.end_mm) / 2, 0.5);
			const [ox, oy] = at(wall, (wall.start_mm + wall.end_mm) / 2, 1.5);
			const far = Math.hypot(ox - x, oy - y) || 1;
			const text = wall.comes === 'framed' ? `${wall.bolts.length}` : (words.comes[wall.comes] ?? '');
			return { wall, text, x: x + ((ox - x) / far) * 22, y: y + ((oy - y) / far) * 22 };
		})
	);
	function press(event: MouseEvent) {
		const frame = area?.ownerSVGElement?.getBoundingClientRect();
		if (frame) data.spot = view.mm(event.clientX - frame.left, event.clientY - frame.top).map(Math.round) as XY;
	}
	const tone = (key: string, ok: boolean, on: boolean) => {
		const state = tab === 'setting' ? states.get(key)?.state : '';
		if (state === 'set') return 'fill-chalk stroke-sheet';
		if (state === 'cannot' || !ok) return 'fill-flag stroke-sheet';
		return on ? 'fill-chalk stroke-sheet' : tab === 'setting' ? 'fill-sheet stroke-ink' : 'fill-ink stroke-sheet';
	};
</script>

{#if tab === 'straps' && data.store.document?.outline}
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the bench takes pads) -->
	<path
		bind:this={area}
		d={view.path([data.store.document.outline])}
		class="cursor-crosshair fill-transparent"
		onclick={press}
		data-embed-area
	/>
{/if}
{#each data.walls as wall (wall.id)}
	{@const on = held === wall.id}
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the bench lists the walls) -->
	<g class="cursor-pointer" onclick={() => data.hold(wall.id)} data-stud-wall={wall.name}>
		<path d={strip(wall, wall.start_mm, wall.end_mm)} class="fill-transparent stroke-transparent stroke-14" />
		{#each parts(wall) as [from, to]}<path
				d={strip(wall, from, to)}
				class={[
					'stroke-[1.4px]',
					wall.comes === 'framed' ? 'fill-well' : 'fill-none [stroke-dasharray:5_4]',
					on ? 'stroke-chalk' : 'stroke-ink'
				]}
			/>{/each}
		{#if wall.comes === 'framed' && view.scale * 400 > 7}
			<path
				d={wall.studs_mm.map((mm) => `M${at(wall, mm, 0)}L${at(wall, mm, 1)}`).join('')}
				class={['stroke-1', on ? 'stroke-chalk/60' : 'stroke-ink2/60']}
			/>
		{/if}
	</g>
{/each}
{#if tab !== 'walls'}
	{#each found?.straps ?? [] as strap (strap.key)}
		{@const [x, y] = view.px(strap.spot as XY)}
		<rect
			x={x - 4}
			y={y - 9}
			width="8"
			height="18"
			class={[tone(strap.key, true, data.item?.key === strap.key && tab === 'setting'), 'stroke-[1.6px]']}
			data-strap={strap.what}
		/>
	{/each}
	{#each found?.groups ?? [] as group (group.id)}
		{#each group.spots as spot}{@const [x, y] = view.px(spot as XY)}<circle
				cx={x}
				cy={y}
				r={Math.max(2.6, half / 2)}
				class={[tone(group.id, true, false), 'stroke-1']}
			/>{/each}
	{/each}
{/if}
{#if tab !== 'straps'}
	{#each data.walls as wall (wall.id)}
		{#each wall.bolts as bolt (bolt.key)}
			{@const [x, y] = view.px(bolt.spot as XY)}
			{@const mine = tab === 'bolts' && held === wall.id && data.bolt?.n === bolt.n}
			<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the bench goes bolt to bolt) -->
			<g
				class="cursor-pointer"
				data-bolt="{wall.corner}{bolt.n}"
				onclick={() => (tab === 'setting' ? data.holdItem(bolt.key) : data.hold(wall.id, bolt.n))}
			>
				<circle cx={x} cy={y} r="11" class="fill-transparent" />
				<rect
					x={x - half}
					y={y - half}
					width={2 * half}
					height={2 * half}
					class={[tone(bolt.key, bolt.ok || bolt.kept, tab === 'bolts' && held === wall.id), 'stroke-1']}
				/>
				{#if mine || (tab === 'setting' && data.item?.key === bolt.key)}<circle
						cx={x}
						cy={y}
						r="14"
						class="fill-none stroke-chalk stroke-[2.5px]"
					/>{/if}
			</g>
		{/each}
	{/each}
{/if}
{#if tab === 'straps' && data.spot}
	{@const [x, y] = view.px(data.spot)}
	<path d="M{x - 10} {y}h20M{x} {y - 10}v20" class="stroke-chalk stroke-[2.5px]" />
{/if}
{#if tab === 'walls' || tab === 'bolts'}
	{#each names as { wall, text, x, y } (wall.id)}<text
			{x}
			y={y + 5}
			text-anchor="middle"
			class={[
				'pointer-events-none fill-ink stroke-slab stroke-[5px] text-note font-[760] [paint-order:stroke]',
				held === wall.id && 'fill-chalk'
			]}>{text}</text
		>{/each}
{/if}
