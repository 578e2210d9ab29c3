<script lang="ts">
	/** A whole wall from outside: the board with its crayon marks, the plate in its pieces, openings, and a tape under it. */
	import type { WallTold } from '../../api/schema';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import type { EmbedsData } from './embeds.svelte';
	/** back: the tape is hooked at the side's other corner. part: the stretch that is drawn large below */
	interface Props {
		wall: WallTold;
		data: EmbedsData;
		units: 'ft-in' | 'mm';
		back?: boolean;
		part?: readonly [number, number] | null;
	}
	let { wall, data, back = false, part = null }: Props = $props();
	let wide = $state(540);
	const WIDE = $derived(Math.max(300, wide));
	const x = (mm: number) => 16 + (mm / wall.size_mm) * (WIDE - 32);
	const parts = $derived(wall.pieces.length ? wall.pieces : [[wall.start_mm, wall.end_mm]]);
	/** stations that have room for their words, the held one first */
	const said = $derived.by(() => {
		const rows = wall.bolts.map((bolt) => ({ bolt, text: back ? bolt.back_text : bolt.at_text, on: bolt.n === data.bolt?.n }));
		const kept: typeof rows = [];
		for (const row of [...rows.filter((one) => one.on), ...rows.filter((one) => !one.on)])
			if (kept.every((one) => Math.abs(x(one.bolt.at_mm) - x(row.bolt.at_mm)) > 62)) kept.push(row);
		return kept;
	});
	const ends = $derived(back ? [wall.far_corner, wall.corner] : [wall.corner, wall.far_corner]);
	const anchor = (mm: number) => (x(mm) < 40 ? 'start' : x(mm) > WIDE - 40 ? 'end' : 'middle');
</script>

<div bind:clientWidth={wide} class="mt-4">
	<svg viewBox="0 0 {WIDE} 92" width={WIDE} role="img" aria-label="{wall.name}: {wall.words}">
		{#each said as row (row.bolt.key)}
			<text
				x={x(row.bolt.at_mm)}
				y="14"
				text-anchor={anchor(row.bolt.at_mm)}
				class={['text-note font-[760]', !row.bolt.ok && !row.bolt.kept ? 'fill-flag' : row.on ? 'fill-chalk' : 'fill-ink']}
				><SvgFrac text={row.text} /></text
			>
		{/each}
		<rect x={x(0)} y="22" width={x(wall.size_mm) - x(0)} height="14" class="fill-board stroke-ink stroke-[1.4px]" />
		{#each parts as [from, to]}<rect
				x={x(from ?? 0)}
				y="38"
				width={x(to ?? 0) - x(from ?? 0)}
				height="14"
				class={['stroke-ink stroke-[1.4px]', wall.comes === 'framed' ? 'fill-well' : 'fill-none [stroke-dasharray:5_4]']}
			/>{/each}
		{#each wall.bolts as bolt (bolt.key)}
			{@const on = bolt.n === data.bolt?.n}
			{@const tone = !bolt.ok && !bolt.kept ? 'fill-flag stroke-flag' : on ? 'fill-chalk stroke-chalk' : 'fill-ink stroke-ink'}
			<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (comma and full stop go bolt to bolt) -->
			<g class={['cursor-pointer', tone]} onclick={() => data.hold(wall.id, bolt.n)}>
				<rect x={x(bolt.at_mm) - 12} y="18" width="24" height="58" class="fill-transparent stroke-none" />
				<path d="M{x(bolt.at_mm)} 18v20" class="stroke-2" />
				<rect x={x(bolt.at_mm) - 4} y="41" width="8" height="8" class="stroke-none" />
				{#if wall.bolts.length < 16 || on}<text
						x={x(bolt.at_mm)}
						y="70"
						text-anchor="middle"
						class="stroke-none text-body font-[760]">{bolt.n}</text
					>{/if}
			</g>
		{/each}
		{#each wall.doors as door (door.id)}
			<text x={(x(door.from_mm) + x(door.to_mm)) / 2} y="49" text-anchor="middle" class="fill-ink2 text-note"
				>{x(door.to_mm) - x(door.from_mm) > 34 ? door.name || '' : ''}</text
			>
		{/each}
		{#if part}<path
				d="M{x(part[0])} 56v4H{x(part[1])}v-4M{x(part[0])} 60L0 92M{x(part[1])} 60L{WIDE} 92"
				class="fill-none stroke-line stroke-[1.4px]"
			/>{/if}
		<text x="2" y="72" class="fill-ink text-body font-black">{wall.corner}</text>
		<text x={WIDE - 2} y="72" text-anchor="end" class="fill-ink text-body font-black">{wall.far_corner}</text>
		<path d={back ? `M${x(wall.size_mm)} 78l-6 8h12z` : `M${x(0)} 78l-6 8h12z`} class="fill-chalk" data-hook={ends[0]} />
	</svg>
</div>
