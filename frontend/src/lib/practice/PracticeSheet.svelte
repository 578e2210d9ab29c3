<script lang="ts">
	/** What is there, drawn: shapes of 640 by 400, words of one size whatever the sheet's. */
	import SvgFrac from '../ui/SvgFrac.svelte';
	import { practiceWords as words } from '../words/practice';
	import type { Shape } from './mark';
	/** read: texts of what was taped, by id. press: what can be pressed, by id, with its name; on: those that are */
	let {
		shapes,
		over = [],
		read,
		press,
		on,
		take
	}: {
		shapes: Shape[];
		over?: Shape[];
		read: Record<string, string>;
		press: Record<string, string>;
		on: string[];
		take: (id: string) => void;
	} = $props();
	let wide = $state(640);
	let high = $state(400);
	const k = $derived(Math.max(0.3, Math.min(wide / 640, high / 400)));
	const left = $derived((wide - 640 * k) / 2);
	const small = $derived(k < 0.75);
	const px = (at: readonly number[]): [number, number] => [left + (at[0] ?? 0) * k, (at[1] ?? 0) * k];
	const path = (shape: Shape) =>
		shape.at
			.map(
				(at, i) =>
					`${i ? 'L' : 'M'}${px(at)
						.map((v) => v.toFixed(1))
						.join(' ')}`
			)
			.join('') + (shape.kind === 'area' ? 'Z' : '');
	const LINE: Record<string, string> = {
		board: 'stroke-board stroke-[9px]',
		held: 'stroke-ink stroke-[3.5px]',
		string: 'stroke-chalk stroke-[2.5px]',
		ghost: 'stroke-chalk stroke-[2.5px] [stroke-dasharray:9_6]',
		steel: 'stroke-rust stroke-[3.5px]',
		joint: 'stroke-ink stroke-2 [stroke-dasharray:12_5]',
		flag: 'stroke-flag stroke-[3.5px]',
		done: 'stroke-chalk stroke-[3.5px]'
	};
	const AREA: Record<string, string> = {
		slab: 'fill-slab stroke-ink stroke-2',
		ground: 'fill-soil/30 stroke-soil stroke-2',
		board: 'fill-board stroke-ink stroke-[1.5px]',
		water: 'fill-water/60 stroke-none'
	};
	const DOT: Record<string, string> = { flag: 'fill-flag', steel: 'fill-rust', done: 'fill-chalk' };
	const WORD: Record<string, string> = {
		name: 'fill-ink text-act font-black',
		reading: 'fill-ink text-key font-heavy',
		note: 'fill-ink2 text-body font-mid'
	};
	const shown = (shape: Shape) => (shape.id && !shape.text ? (read[shape.id] ?? '') : (shape.text ?? ''));
	/** pressed once each, on its first shape that can be hit */
	const hits = $derived(
		Object.keys(press).flatMap((id) => {
			const shape = shapes.find((one) => one.id === id && one.kind !== 'word');
			return shape ? [{ id, shape }] : [];
		})
	);
	/** what a thumb hits of an area: 44 at least each way */
	function around(shape: Shape) {
		const spots = shape.at.map(px);
		const [xs, ys] = [spots.map((at) => at[0]), spots.map((at) => at[1])];
		const [wide, high] = [xs, ys].map((row) => Math.max(44, Math.max(...row) - Math.min(...row)));
		const mid = (row: number[]) => (Math.max(...row) + Math.min(...row)) / 2;
		return { x: mid(xs) - (wide ?? 44) / 2, y: mid(ys) - (high ?? 44) / 2, wide, high };
	}
	const turned = (shape: Shape) => Math.abs((shape.at[0]?.[0] ?? 0) - (shape.at[1]?.[0] ?? 0)) < 1;
</script>

{#snippet drawn(shape: Shape)}
	{#if shape.kind === 'line'}
		{#if shape.look === 'board'}<path d={path(shape)} class="fill-none stroke-ink stroke-[12px] [stroke-linejoin:round]" />{/if}
		<path d={path(shape)} class="fill-none {LINE[shape.look] ?? 'stroke-ink2 stroke-[1.5px]'}" />
	{:else if shape.kind === 'area'}<path d={path(shape)} class={AREA[shape.look] ?? 'fill-slab'} />
	{:else if shape.kind === 'dot'}
		{@const at = px(shape.at[0] ?? [0, 0])}
		{#if shape.text}
			<circle
				cx={at[0]}
				cy={at[1]}
				r={small ? 13 : 15}
				class="stroke-ink stroke-2 {on.includes(shape.id ?? '') ? 'fill-flag' : 'fill-well'}"
			/>
			<text
				x={at[0]}
				y={at[1] + 6}
				text-anchor="middle"
				class="text-key font-black {on.includes(shape.id ?? '') ? 'fill-sheet' : 'fill-ink'}">{shape.text}</text
			>
		{:else}<circle cx={at[0]} cy={at[1]} r="6" class={DOT[shape.look] ?? 'fill-ink'} />{/if}
	{:else if shape.kind === 'size'}
		{@const a = px(shape.at[0] ?? [0, 0])}
		{@const b = px(shape.at[1] ?? [0, 0])}
		<path d="M{a[0]} {a[1]}L{b[0]} {b[1]}" class="stroke-ink2 stroke-[1.5px]" />
		{#each [a, b] as end, i (i)}<path
				d={turned(shape) ? `M${end[0] - 7} ${end[1]}h14` : `M${end[0]} ${end[1] - 7}v14`}
				class="stroke-ink stroke-2"
			/>{/each}
		<text
			x={(a[0] + b[0]) / 2}
			y={(a[1] + b[1]) / 2 + 6}
			text-anchor="middle"
			transform={turned(shape) ? `rotate(-90 ${(a[0] + b[0]) / 2} ${(a[1] + b[1]) / 2})` : undefined}
			class="fill-ink stroke-sheet stroke-[6px] text-read font-mid [paint-order:stroke]"><SvgFrac text={shape.text ?? ''} /></text
		>
	{:else if shown(shape)}
		{@const at = px(shape.at[0] ?? [0, 0])}
		<text
			x={at[0]}
			y={at[1]}
			text-anchor={shape.side}
			class="stroke-sheet stroke-[5px] [paint-order:stroke] {WORD[shape.look] ?? WORD['note']}"
			><SvgFrac text={shown(shape)} /></text
		>
	{/if}
{/snippet}

<div class="flex h-full min-h-0 w-full items-center" bind:clientWidth={wide} bind:clientHeight={high}>
	<svg width={wide} height={Math.round(400 * k)} role="group" aria-label={words.sheet} class="block">
		{#each shapes as shape, i (i)}{#if shape.kind !== 'word'}{@render drawn(shape)}{/if}{/each}
		{#each over as shape, i (i)}{@render drawn(shape)}{/each}
		{#each shapes as shape, i (i)}{#if shape.kind === 'word'}{@render drawn(shape)}{/if}{/each}
		{#each hits as { id, shape } (id)}
			{@const spot = px(shape.at[0] ?? [0, 0])}
			<g
				role="button"
				tabindex="0"
				class="cursor-pointer"
				aria-label={press[id]}
				aria-pressed={on.includes(id)}
				onclick={() => take(id)}
				onkeydown={(event) => {
					if (event.key !== 'Enter' && event.key !== ' ') return;
					event.preventDefault();
					take(id);
				}}
				data-hit={id}
			>
				{#if shape.kind === 'dot'}<rect x={spot[0] - 22} y={spot[1] - 22} width="44" height="44" class="fill-transparent" />
				{:else if shape.kind === 'area'}
					{@const box = around(shape)}
					<rect x={box.x} y={box.y} width={box.wide} height={box.high} class="fill-transparent" />
				{:else}<path d={path(shape)} class="fill-none stroke-transparent stroke-[30px]" />{/if}
			</g>
		{/each}
	</svg>
</div>
