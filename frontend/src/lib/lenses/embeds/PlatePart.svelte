<script lang="ts">
	/** A stretch of a wall at one scale both ways: tape, board with crayon strokes, plate with studs and their clear space, and the
	 * held bolt, to be dragged. Under it, in the same stations, what each rule leaves. */
	import type { BoltTold, WallTold } from '../../api/schema';
	import { follow } from '../../drawing/follow';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { embeds as words } from '../../words/embeds';
	import { clearOf, stationText, type Part } from './room';
	interface Props {
		wall: WallTold;
		bolt: BoltTold;
		units: 'ft-in' | 'mm';
		back: boolean;
		part: Part;
		rooms: Part[];
		/** where the bolt would stand */
		at: number;
		move: (mm: number) => void;
		drop: () => void;
		hold: (n: number) => void;
	}
	let { wall, bolt, units, back, part, rooms, at, move, drop, hold }: Props = $props();
	let wide = $state(540);
	const WIDE = $derived(Math.max(300, wide));
	const own = $props.id();
	const scale = $derived(WIDE / (part[1] - part[0]));
	const x = (mm: number) => (mm - part[0]) * scale;
	const PLATE = 74;
	const deep = $derived(Math.max(26, wall.plate_mm * scale));
	const text = (mm: number) => stationText(back ? wall.size_mm - mm : mm, units);
	/** tape: a long tick a foot or 500 mm, said; short ones between */
	const step = $derived(units === 'mm' ? 100 : 76.2);
	const long = $derived(units === 'mm' ? 5 : 4);
	const ticks = $derived.by(() => {
		const from = back ? wall.size_mm - part[1] : part[0];
		const to = back ? wall.size_mm - part[0] : part[1];
		const first = Math.ceil(Math.max(0, from) / step);
		return Array.from({ length: Math.max(0, Math.floor(Math.min(wall.size_mm, to) / step) - first + 1) }, (_, i) => {
			const n = first + i;
			return {
				mm: back ? wall.size_mm - n * step : n * step,
				said: n % long ? '' : units === 'mm' ? `${(n * step) / 1000} m` : `${n / long}′`
			};
		});
	});
	const inPart = (mm: number) => mm >= part[0] && mm <= part[1];
	const bolts = $derived(wall.bolts.filter((row) => inPart(row.at_mm)));
	const studs = $derived(wall.studs_mm.filter((mm) => mm > part[0] - 40 && mm < part[1] + 40));
	const lines = $derived([
		{ key: 'ends' as const, parts: bolt.ends ? [bolt.ends as Part] : [] },
		{ key: 'studs' as const, parts: clearOf(wall, part) },
		{ key: 'spacing' as const, parts: bolt.spacing ? [bolt.spacing as Part] : [] }
	]);
	const moved = $derived(Math.abs(at - bolt.at_mm) > 0.5);
	const good = $derived(rooms.some(([low, high]) => at >= low - 0.01 && at <= high + 0.01));
	function press(event: PointerEvent) {
		const target = event.currentTarget as SVGElement;
		const frame = target.ownerSVGElement?.getBoundingClientRect();
		if (!frame) return;
		target.setPointerCapture(event.pointerId);
		event.preventDefault();
		const per = (part[1] - part[0]) / frame.width;
		const [begun, was] = [event.clientX, at];
		follow(
			target,
			(now) => {
				const grid = units === 'mm' ? (now.altKey ? 1 : 5) : now.altKey ? 1.5875 : 12.7;
				move(Math.round((was + (now.clientX - begun) * per) / grid) * grid);
			},
			drop
		);
	}
	const clip = (row: Part): Part => [Math.max(part[0], row[0]), Math.min(part[1], row[1])];
	const high = $derived(PLATE + deep + 14);
</script>

<div bind:clientWidth={wide}>
	<svg viewBox="0 0 {WIDE} {high + 92}" width={WIDE} class="touch-pan-y" role="img" aria-label={words.outside(wall.name)}>
		<defs>
			<pattern id="{own}-clear" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
				<path d="M0 0v7" class="stroke-ink2 stroke-1" />
			</pattern>
		</defs>
		<rect x="0" y="0" width={WIDE} height="24" class="fill-well stroke-ink stroke-[1.6px]" />
		{#each ticks as tick}
			<path d="M{x(tick.mm)} 0v{tick.said ? 24 : 9}" class="stroke-ink stroke-[1.3px]" />
			{#if tick.said}<text x={x(tick.mm) + 4} y="20" class="fill-ink text-note font-[760]">{tick.said}</text>{/if}
		{/each}
		<rect
			x={x(Math.max(0, part[0]))}
			y="24"
			width={x(Math.min(wall.size_mm, part[1])) - x(Math.max(0, part[0]))}
			height={PLATE - 24}
			class="fill-board stroke-ink stroke-[1.6px]"
		/>
		{#each bolts as row (row.key)}{#if row.n !== bolt.n || !moved}
				<path d="M{x(row.at_mm) + 1} 26c-3 14 3 26 -1 {PLATE - 28}" class="fill-none stroke-ink stroke-[3px]" />
				<text
					x={x(row.at_mm) > WIDE - 90 ? x(row.at_mm) - 7 : x(row.at_mm) + 7}
					y="46"
					text-anchor={x(row.at_mm) > WIDE - 90 ? 'end' : 'start'}
					class="fill-ink text-key font-[760]"><SvgFrac text={text(row.at_mm)} /></text
				>
			{/if}{/each}
		{#if moved}
			<path d="M{x(at)} 26V{PLATE}" class={['stroke-[2.5px] [stroke-dasharray:4_4]', good ? 'stroke-chalk' : 'stroke-flag']} />
			<text
				x={x(at) > WIDE - 100 ? x(at) - 7 : x(at) + 7}
				y="66"
				text-anchor={x(at) > WIDE - 100 ? 'end' : 'start'}
				class={['font-pencil text-key', good ? 'fill-chalk' : 'fill-flag']}><SvgFrac text={text(at)} /></text
			>
		{/if}
		{#each wall.pieces as [from, to]}
			{#if (to ?? 0) > part[0] && (from ?? 0) < part[1]}
				{@const [a, b] = clip([from ?? 0, to ?? 0])}
				<rect x={x(a)} y={PLATE} width={x(b) - x(a)} height={deep} class="fill-well stroke-ink stroke-[1.6px]" />
				<path
					d="M{x(a)} {PLATE + deep / 3}H{x(b)}M{x(a)} {PLATE + (2 * deep) / 3}H{x(b)}"
					class="stroke-line stroke-1 [stroke-dasharray:12_4_3_4]"
				/>
			{/if}
		{/each}
		{#each studs as mm}
			<rect
				x={x(mm - wall.stud_clear_mm)}
				y={PLATE}
				width={2 * wall.stud_clear_mm * scale}
				height={deep}
				fill="url(#{own}-clear)"
				class="opacity-60"
			/>
			<rect x={x(mm - 19)} y={PLATE} width={38 * scale} height={deep} class="fill-well stroke-ink stroke-[1.3px]" />
			<path d="M{x(mm - 19)} {PLATE}l{38 * scale} {deep}M{x(mm + 19)} {PLATE}l{-38 * scale} {deep}" class="stroke-ink stroke-1" />
			<path d="M{x(mm) - 6} {PLATE - 13}l12 10m0 -10l-12 10" class="stroke-ink stroke-2" />
		{/each}
		{#each wall.blocked as [low, top]}{#if (top ?? 0) > part[0] && (low ?? 0) < part[1]}<rect
					x={x(low ?? 0)}
					y={PLATE}
					width={((top ?? 0) - (low ?? 0)) * scale}
					height={deep}
					class="fill-rust opacity-30"
				/>{/if}{/each}
		{#each wall.joints_mm.filter(inPart) as mm}<path d="M{x(mm)} {PLATE - 4}v{deep + 10}" class="stroke-ink stroke-[3.5px]" />
			<text x={x(mm) + 6} y={high} class="fill-ink text-note font-[760]">{words.plateJoint}</text>{/each}
		{#each bolts as row (row.key)}
			{@const mine = row.n === bolt.n}
			{@const spot = mine ? at : row.at_mm}
			{@const bad = mine && moved ? !good : !row.ok && !row.kept}
			<!-- svelte-ignore a11y_no_static_element_interactions (the call box sets it by keys) -->
			<g
				class={[mine ? 'cursor-grab touch-none' : 'cursor-pointer', bad ? 'stroke-flag' : mine ? 'stroke-chalk' : 'stroke-ink']}
				onpointerdown={mine ? press : () => hold(row.n)}
				data-held-bolt={mine ? row.n : undefined}
			>
				<rect x={x(spot) - 22} y={PLATE + deep / 2 - 22} width="44" height="44" class="fill-transparent stroke-none" />
				<rect
					x={x(spot) - 13}
					y={PLATE + deep / 2 - 13}
					width="26"
					height="26"
					class={['stroke-[2.4px]', mine ? 'fill-chalk-tint' : 'fill-sheet']}
				/>
				<circle cx={x(spot)} cy={PLATE + deep / 2} r="5" class="fill-sheet stroke-[2.4px]" />
			</g>
		{/each}
		{#each lines as line, i (line.key)}
			{@const y = high + 24 + i * 25}
			{#each line.parts as row}{#if row[1] >= part[0] && row[0] <= part[1]}{@const [a, b] = clip(row)}<path
						d="M{x(a)} {y}H{Math.max(x(b), x(a) + 2)}"
						class="stroke-ink stroke-4"
					/>{/if}{/each}
			<text x="0" y={y - 6} class="fill-ink stroke-bench stroke-[4px] text-note [paint-order:stroke]"
				>{words.rules[line.key]}</text
			>
		{/each}
		{#each rooms as row}{#if row[1] >= part[0] && row[0] <= part[1]}{@const [a, b] = clip(row)}<rect
					x={x(a)}
					y={high + 6}
					width={Math.max(3, x(b) - x(a))}
					height="78"
					class="fill-chalk opacity-20"
				/>{/if}{/each}
	</svg>
</div>
