<script lang="ts">
	/** On the plan: the cutting line with its handles, and everything that can be picked: beams, pads, recesses, lines. */
	import { follow } from '../../drawing/follow';
	import { snapped, snapStep } from '../../drawing/marks';
	import type { Edit, JobStore } from '../../state/job.svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import type { Viewport, XY } from '../../drawing/viewport';
	import type { EdgesData } from './edges.svelte';
	import { edges as edgeWords } from '../../words/edges';
	let {
		view,
		store,
		data,
		pick,
		marks = true,
		lined = true
	}: { view: Viewport; store: JobStore; data: EdgesData; pick: Pick; marks?: boolean; lined?: boolean } = $props();
	const plan = $derived(store.document);
	const line = $derived(data.line);
	const outlined = $derived(store.figure?.drawing?.outlined ?? []);
	const strips = $derived(store.figure?.drawing?.strips ?? []);
	const lit = $derived(strips.filter((strip) => data.lit.includes(strip.number)));
	const picks = (kind: string, row: number) => data.picked?.kind === kind && data.picked.row === row && !data.own;
	function choose(kind: string, row: number) {
		pick.none();
		data.choose(kind, row);
	}
	function grab(end: 'start' | 'end' | 'both', event: PointerEvent) {
		const target = event.currentTarget as SVGElement;
		const frame = target.ownerSVGElement?.getBoundingClientRect();
		const from = data.line;
		if (!frame || !from) return;
		event.preventDefault();
		target.setPointerCapture(event.pointerId);
		const begun = view.mm(event.clientX - frame.left, event.clientY - frame.top);
		const move = (now: PointerEvent) => {
			const at = view.mm(now.clientX - frame.left, now.clientY - frame.top);
			const by: XY = [at[0] - begun[0], at[1] - begun[1]];
			const put = (p: XY, on: boolean): XY => (on ? [p[0] + by[0], p[1] + by[1]] : p);
			data.own = { start: put(from.start, end !== 'end'), end: put(from.end, end !== 'start') };
			pick.none();
		};
		const stop = () => {};
		follow(target, move, stop);
	}
	/** Drag a beam or a pad by its tag: tried while it moves, kept where it is let go. */
	function carry(kind: string, row: number, event: PointerEvent) {
		const target = event.currentTarget as SVGElement;
		const frame = target.ownerSVGElement?.getBoundingClientRect();
		const kept = store.kept?.document;
		if (!frame || !kept) return;
		target.setPointerCapture(event.pointerId);
		const begun = view.mm(event.clientX - frame.left, event.clientY - frame.top);
		let edit: Edit | null = null;
		const move = (now: PointerEvent) => {
			const at = view.mm(now.clientX - frame.left, now.clientY - frame.top);
			const step = snapStep(store.units, view.scale, now.altKey);
			const by: XY = [snapped(at[0] - begun[0], step), snapped(at[1] - begun[1], step)];
			if (!by[0] && !by[1] && !edit) return;
			const shift = (p: readonly number[]): XY => [(p[0] ?? 0) + by[0], (p[1] ?? 0) + by[1]];
			edit =
				kind === 'pad'
					? { op: 'move_pad', pad: store.rowId('pads', row), at: shift(kept.pads[row]?.at ?? [0, 0]) }
					: { op: 'move_beam', beam: store.rowId('beams', row), path: (kept.beams[row]?.path ?? []).map(shift) };
			void store.try([edit], 'sheet');
		};
		const stop = async () => {
			if (edit) await store.keepDraft('sheet');
			else choose(kind, row);
			if (store.problem || store.clash) store.dropDraft();
		};
		follow(target, move, stop);
	}
	function nudge(end: 'start' | 'end', event: KeyboardEvent) {
		const by = ({ ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] } as Record<string, XY>)[event.key];
		const from = data.line;
		if (!by || !from) return;
		const step = (store.units === 'mm' ? 50 : 152.4) * (event.shiftKey ? 4 : 1);
		event.preventDefault();
		event.stopPropagation();
		data.own = { ...from, [end]: [from[end][0] + by[0] * step, from[end][1] + by[1] * step] };
	}
	const tags = $derived([
		...(plan?.beams ?? []).map((beam, row) => ({ kind: 'beam', row, mark: beam.type, at: middle(beam.path) })),
		...(plan?.pads ?? []).map((pad, row) => ({ kind: 'pad', row, mark: pad.type, at: below(pad.type, pad.at) }))
	]);
	/** Under the pad, so that its tag does not hide it. */
	function below(mark: string, at: XY): XY {
		const kind = plan?.pad_types.find((one) => one.mark === mark);
		const half = Math.max(kind?.length_mm ?? 0, kind?.diameter_mm ?? 0) / 2;
		return [at[0], at[1] - half - 15 / view.scale];
	}
	function middle(path: XY[]): XY {
		const k = Math.max(0, Math.floor((path.length - 1) / 2));
		const a: XY = path[k] ?? [0, 0];
		const b: XY = path[k + 1] ?? a;
		return [a[0] + (b[0] - a[0]) * 0.24, a[1] + (b[1] - a[1]) * 0.24];
	}
</script>

{#each lit as strip}<path d={view.path(strip.rings)} fill="var(--color-chalk)" fill-opacity=".5" pointer-events="none" />{/each}
<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
{#each plan?.edges ?? [] as edge, row}
	{#if edge.along}<path
			d={view.path([edge.along], false)}
			fill="none"
			stroke={picks('along', row) ? 'var(--color-chalk)' : 'transparent'}
			stroke-width="14"
			stroke-opacity=".6"
			class="cursor-pointer"
			onclick={() => choose('along', row)}
		/>{/if}
{/each}
{#each plan?.beams ?? [] as beam, row}
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
	<path
		d={view.path([beam.path], false)}
		fill="none"
		stroke={picks('beam', row) ? 'var(--color-chalk)' : 'transparent'}
		stroke-width="13"
		stroke-opacity=".55"
		class="cursor-pointer"
		data-beam={row}
		onclick={() => choose('beam', row)}
	/>
{/each}
{#each outlined as thing}
	{#if thing.kind === 'recess'}
		<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
		<path
			d={view.path(thing.rings)}
			fill="transparent"
			class="cursor-pointer"
			data-recess={thing.row}
			onclick={() => choose('recess', thing.row)}
		/>
	{/if}
{/each}
{#if marks}
	{#each tags as tag}
		{@const [x, y] = view.px(tag.at)}
		<!-- svelte-ignore a11y_no_static_element_interactions -->
		<g class="cursor-move touch-none" data-tag="{tag.kind}-{tag.row}" onpointerdown={(event) => carry(tag.kind, tag.row, event)}>
			<rect
				x={x - 13}
				y={y - 11}
				width="26"
				height="22"
				class={['stroke-[1.8px]', picks(tag.kind, tag.row) ? 'fill-chalk stroke-chalk' : 'fill-well stroke-ink']}
				class:on={picks(tag.kind, tag.row)}
			/>
			<text
				{x}
				y={y + 5}
				text-anchor="middle"
				class={['text-note font-heavy', picks(tag.kind, tag.row) ? 'fill-on-chalk' : 'fill-ink']}
				class:on={picks(tag.kind, tag.row)}>{tag.mark}</text
			>
		</g>
	{/each}
{/if}
{#if line && lined}
	{@const a = view.px(line.start)}
	{@const b = view.px(line.end)}
	{@const angle = (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI}
	<!-- svelte-ignore a11y_no_static_element_interactions -->
	<path
		d="M{a}L{b}"
		stroke="transparent"
		stroke-width="16"
		class="cursor-move touch-none"
		onpointerdown={(event) => grab('both', event)}
	/>
	<path d="M{a}L{b}" stroke="var(--color-chalk)" stroke-width="2.6" pointer-events="none" />
	{#each [{ p: a, end: 'start' }, { p: b, end: 'end' }] as const as one}
		<path
			d="M0 0l-7 -13h14z"
			fill="var(--color-chalk)"
			transform="translate({one.p}) rotate({angle + 180}) translate(0 13)"
			pointer-events="none"
		/>
		<circle
			cx={one.p[0]}
			cy={one.p[1]}
			r="22"
			fill="transparent"
			class="cursor-move touch-none"
			data-cut-end={one.end}
			role="button"
			tabindex="0"
			aria-label={edgeWords.cutEnd(one.end)}
			onpointerdown={(event) => grab(one.end, event)}
			onkeydown={(event) => nudge(one.end, event)}
		/>
	{/each}
	<g transform="translate({a})" pointer-events="none"
		><rect x="-11" y="-11" width="22" height="22" fill="var(--color-chalk)" /><text
			text-anchor="middle"
			y="6"
			class="fill-on-chalk text-body font-heavy">1</text
		></g
	>
{/if}
