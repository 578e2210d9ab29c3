<script lang="ts">
	/** Strips over the plan: filled to the time on the string, numbered in order, boards at true length, pads, lines that are dragged
	 * aside, trucks with their reach. */
	import type { RunTold, StandTold, StripTold } from '../../api/schema';
	import { follow } from '../../drawing/follow';
	import type { Viewport, XY } from '../../drawing/viewport';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { screed as words } from '../../words/screed';
	import { filled } from './fill';
	import { aside, movedTo } from './snap';
	import type { StripsData } from './strips.svelte';
	let { view, data, tab }: { view: Viewport; data: StripsData; tab: string } = $props();
	const own = $props.id();
	const REACH_PX = 14;
	const found = $derived(data.found);
	let line = $state<{ key: string; by: number } | null>(null);
	let stand = $state.raw<{ id: string; at: XY } | null>(null);
	let carried = $state.raw<{ id: string; at: XY } | null>(null);
	const corners = $derived([...(data.store.document?.outline ?? [])] as XY[]);
	const grain = $derived(data.store.units === 'mm' ? 50 : 152.4);
	const ends = (run: RunTold): [XY, XY] => {
		const [a, b] = [run.start as XY, run.end as XY];
		if (line?.key !== run.key) return [view.px(a), view.px(b)];
		const to = movedTo(a, b, line.by);
		const [dx, dy] = [to[0] - (a[0] + b[0]) / 2, to[1] - (a[1] + b[1]) / 2];
		return [view.px([a[0] + dx, a[1] + dy]), view.px([b[0] + dx, b[1] + dy])];
	};
	/* on a phone the marks shrink with the plan */
	const small = $derived(view.scale < 0.033);
	const done = (row: StripTold) => data.minutes !== null && data.minutes >= row.end_min;
	const part = $derived(data.now ? filled(data.now.strip.ring as XY[], data.now.strip.way as XY, data.now.share) : null);
	const standAt = (row: StandTold): XY => (stand?.id === row.id ? stand.at : (row.at as XY));
	const boards = $derived(tab === 'order' ? (data.now ? [data.now.strip] : []) : tab === 'strips' ? data.strips : []);
	/** what a press takes hold of and how it follows */
	function grab(event: PointerEvent, moving: (from: XY, to: XY) => void, let_go: (at: XY) => void) {
		const target = event.currentTarget as SVGElement;
		const frame = target.ownerSVGElement?.getBoundingClientRect();
		if (!frame) return;
		target.setPointerCapture(event.pointerId);
		event.preventDefault();
		event.stopPropagation();
		const at = (now: PointerEvent) => view.mm(now.clientX - frame.left, now.clientY - frame.top);
		const from = at(event);
		let last = from;
		follow(
			target,
			(now) => moving(from, (last = at(now))),
			() => let_go(last)
		);
	}
	function dragLine(run: RunTold, event: PointerEvent) {
		if (!run.drawn) return;
		const [a, b] = [run.start as XY, run.end as XY];
		grab(
			event,
			(from, to) => {
				const by = aside(a, b, from, to, corners, grain, REACH_PX / view.scale);
				if (line || Math.abs(by) * view.scale > 3) line = { key: run.key, by };
			},
			() => {
				const now = line;
				if (!now?.by) return void (line = null);
				void data.keep({ op: 'move_pad_line', pad: run.key, to: movedTo(a, b, now.by) }).finally(() => (line = null));
			}
		);
	}
	function dragStand(row: StandTold, event: PointerEvent) {
		const start = row.at as XY;
		grab(
			event,
			(from, to) => (stand = { id: row.id, at: [start[0] + to[0] - from[0], start[1] + to[1] - from[1]] }),
			() => {
				const now = stand;
				if (!now) return;
				const at = now.at.map((mm) => Math.round(mm));
				void data.keep({ op: 'set_truck_stand', stand: row.id, at }).finally(() => (stand = null));
			}
		);
	}
	function dragNumber(row: StripTold, event: PointerEvent) {
		grab(
			event,
			(_, to) => (carried = { id: row.id, at: to }),
			(to) => {
				const other = carried ? data.strips.find((one) => one.id !== row.id && near(one.at as XY, to)) : null;
				if (!carried || near(row.at as XY, to)) data.hold(row.id);
				carried = null;
				if (other) void data.place(row.id, other.id);
			}
		);
	}
	const near = (at: XY, to: XY) => Math.hypot(at[0] - to[0], at[1] - to[1]) * view.scale < 26;
</script>

<defs>
	<pattern id="{own}-wrong" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
		<path d="M0 0v9" class="stroke-flag stroke-[1.4px]" />
	</pattern>
</defs>
{#each data.strips as row (row.id)}
	{@const held = data.strip?.id === row.id}
	<path
		d={view.path([row.ring as XY[]])}
		class={['stroke-ink stroke-[1px]', done(row) ? 'fill-water' : held ? 'fill-chalk-tint' : 'fill-transparent']}
		data-strip={row.n}
		data-done={done(row)}
	/>
	{#if row.wrong.length && tab !== 'pads'}<path
			d={view.path([row.ring as XY[]])}
			fill="url(#{own}-wrong)"
			class="pointer-events-none opacity-40"
		/>{/if}
{/each}
{#if part}<path d={view.path([part])} class="fill-water stroke-ink stroke-[1px]" data-front />{/if}
{#if tab === 'order'}
	{#each found?.stands ?? [] as row, i (row.id)}
		{@const at = view.px(standAt(row))}
		<circle
			cx={at[0]}
			cy={at[1]}
			r={row.reach_mm * view.scale}
			class="pointer-events-none fill-none stroke-ink2 stroke-[1.2px] [stroke-dasharray:10_6]"
		/>
		<!-- svelte-ignore a11y_no_static_element_interactions (the bench lists places and calls them) -->
		<g class="cursor-grab touch-none" onpointerdown={(event) => dragStand(row, event)} data-stand-at={i + 1}>
			<rect
				x={at[0] - 34}
				y={at[1] - 15}
				width="68"
				height="30"
				class="fill-sheet stroke-ink stroke-[1.6px] [stroke-dasharray:6_3]"
			/>
			<text x={at[0]} y={at[1] + 5} text-anchor="middle" class="fill-ink text-note font-[680]"
				>{small ? words.standShort(i + 1) : words.standName(i + 1)}</text
			>
		</g>
	{/each}
{/if}
{#each data.runs as run (run.key)}
	{@const [a, b] = ends(run)}
	<!-- svelte-ignore a11y_no_static_element_interactions (the bench lists the lines and calls them) -->
	<g class={['touch-none', run.drawn && 'cursor-grab']} onpointerdown={(event) => dragLine(run, event)} data-pad-run={run.letter}>
		<path d="M{a[0]} {a[1]}L{b[0]} {b[1]}" class="stroke-transparent stroke-18" />
		<path
			d="M{a[0]} {a[1]}L{b[0]} {b[1]}"
			class={[
				'stroke-paint',
				run.drawn ? 'stroke-[2.4px]' : 'stroke-[1.4px] [stroke-dasharray:7_4]',
				line?.key === run.key && 'stroke-[4px]'
			]}
		/>
	</g>
{/each}
{#each boards as row (row.id)}
	{#if row.board.length === 2}
		{@const [a, b] = [view.px(row.board[0] as XY), view.px(row.board[1] as XY)]}
		<path
			d="M{a[0]} {a[1]}L{b[0]} {b[1]}"
			class={['pointer-events-none stroke-9', row.short_mm ? 'stroke-flag' : 'stroke-ink']}
		/>
		<path d="M{a[0]} {a[1]}L{b[0]} {b[1]}" class="pointer-events-none stroke-well stroke-6" data-board={row.n} />
	{/if}
{/each}
{#each data.pads as pad (pad.key)}
	{@const at = view.px(pad.spot as XY)}
	{@const held = tab === 'pads' && data.pad?.key === pad.key}
	<!-- svelte-ignore a11y_no_static_element_interactions, a11y_click_events_have_key_events (the bench lists the pads) -->
	<g
		class={tab === 'pads' ? 'cursor-pointer' : 'pointer-events-none'}
		onclick={() => data.holdPad(pad.key)}
		data-pad={pad.name}
		data-state={pad.state}
	>
		{#if pad.state === 'open'}<circle
				cx={at[0]}
				cy={at[1]}
				r={held ? 11 : 6}
				class="fill-sheet stroke-paint stroke-[2.2px] [stroke-dasharray:3_2.4]"
			/>
		{:else}<path
				d="M{at[0] - 6} {at[1] - 6}l12 12m0-12l-12 12"
				class={['stroke-[3px]', pad.state === 'off' ? 'stroke-flag' : 'stroke-paint']}
			/>{/if}
		{#if tab === 'pads'}<text
				x={at[0] + 10}
				y={at[1] - 8}
				class="fill-ink stroke-slab stroke-[4px] text-note font-[760] [paint-order:stroke]"
				>{pad.name} <SvgFrac text={pad.read_text} /></text
			>{/if}
	</g>
{/each}
{#if tab !== 'pads'}
	{#each data.strips as row (row.id)}
		{@const at = view.px(carried?.id === row.id ? carried.at : (row.at as XY))}
		<!-- svelte-ignore a11y_no_static_element_interactions (the bench lists the strips) -->
		<g class="cursor-grab touch-none" onpointerdown={(event) => dragNumber(row, event)} data-number={row.n}>
			<circle
				cx={at[0]}
				cy={at[1]}
				r={small ? 12 : 17}
				class={['fill-well stroke-2', row.wrong.length ? 'stroke-flag' : 'stroke-ink']}
			/>
			<text
				x={at[0]}
				y={at[1] + (small ? 5 : 7)}
				text-anchor="middle"
				class={[small ? 'text-note' : 'text-act', 'font-black', row.wrong.length ? 'fill-flag' : 'fill-ink']}>{row.n}</text
			>
		</g>
	{/each}
{/if}
