<script lang="ts">
	/** Joints over the plan: toothed where they are sawn, solid where tooled; panels with their size, failing ones hatched; a corner
	 * without a joint ringed, with the crack that it would give. The held joint is dragged aside. */
	import type { JointTold } from '../../api/schema';
	import { follow } from '../../drawing/follow';
	import { firstFree, type Room } from '../../drawing/labels';
	import type { Viewport, XY } from '../../drawing/viewport';
	import type { ScreedData } from './screed.svelte';
	import { aside, movedTo } from './snap';
	let { view, data }: { view: Viewport; data: ScreedData } = $props();
	const own = $props.id();
	const REACH_PX = 14;
	const found = $derived(data.found);
	/** a joint that is being dragged, and how far aside it is, mm */
	let dragged = $state<{ id: string; by: number } | null>(null);
	const corners = $derived([...(data.store.document?.outline ?? []), ...(data.store.document?.openings ?? []).flat()] as XY[]);
	const ends = (row: JointTold): [XY, XY] => {
		const [a, b] = [row.start as XY, row.end as XY];
		if (dragged?.id !== row.id) return [view.px(a), view.px(b)];
		const to = movedTo(a, b, dragged.by);
		const [dx, dy] = [to[0] - (a[0] + b[0]) / 2, to[1] - (a[1] + b[1]) / 2];
		return [view.px([a[0] + dx, a[1] + dy]), view.px([b[0] + dx, b[1] + dy])];
	};
	const path = (row: JointTold) => {
		const [a, b] = ends(row);
		return `M${a[0].toFixed(1)} ${a[1].toFixed(1)}L${b[0].toFixed(1)} ${b[1].toFixed(1)}`;
	};
	/** a short stroke to one side every few px: a saw's teeth */
	const teeth = (row: JointTold) => {
		const [a, b] = ends(row);
		const size = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
		const [ux, uy] = [(b[0] - a[0]) / size, (b[1] - a[1]) / size];
		const marks: string[] = [];
		for (let s = 5; s < size; s += 9)
			marks.push(`M${(a[0] + ux * s).toFixed(1)} ${(a[1] + uy * s).toFixed(1)}l${(uy * 5).toFixed(1)} ${(-ux * 5).toFixed(1)}`);
		return marks.join('');
	};
	function press(row: JointTold, event: PointerEvent) {
		const target = event.currentTarget as SVGElement;
		const frame = target.ownerSVGElement?.getBoundingClientRect();
		if (!frame) return;
		target.setPointerCapture(event.pointerId);
		event.preventDefault();
		event.stopPropagation();
		if (data.held?.id !== row.id) data.hold(row.id);
		const at = (now: PointerEvent) => view.mm(now.clientX - frame.left, now.clientY - frame.top);
		const from = at(event);
		const step = data.store.units === 'mm' ? 50 : 76.2;
		follow(
			target,
			(now) => {
				const by = aside(row.start as XY, row.end as XY, from, at(now), corners, step, REACH_PX / view.scale);
				if (dragged || Math.abs(by) * view.scale > 3) dragged = { id: row.id, by };
			},
			() => {
				const moved = dragged;
				if (!moved?.by) return void (dragged = null);
				void data
					.keep({ op: 'move_joint', joint: row.id, to: movedTo(row.start as XY, row.end as XY, moved.by) })
					.finally(() => (dragged = null));
			}
		);
	}
	const names = $derived.by(() => {
		const taken: Room[] = [];
		return (found?.panels ?? []).flatMap((panel) => {
			const spot = firstFree([view.px(panel.at as XY)], panel.text.length * 6.6, 18, taken);
			return spot ? [{ at: spot, panel }] : [];
		});
	});
	/** a crack runs from its corner into the slab, not quite straight */
	const crack = (at: XY) => `M${at[0]} ${at[1]}l9 11l-3 9l11 8l2 12l10 6`;
</script>

<defs>
	<pattern id="{own}-fail" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
		<path d="M0 0v9" class="stroke-flag stroke-[1.4px]" />
	</pattern>
</defs>
{#each found?.panels ?? [] as panel, i (i)}{#if panel.rules.length}<path
			d={view.path([panel.ring as XY[]])}
			fill="url(#{own}-fail)"
			class="opacity-50"
			data-panel-fails={panel.rules.join(' ')}
		/>{/if}{/each}
{#each found?.steps ?? [] as line, i (i)}<path
		d={view.path([line as XY[]], false)}
		class="fill-none stroke-ink stroke-[1.6px] [stroke-dasharray:8_4]"
	/>{/each}
{#each found?.columns ?? [] as row (row.id)}{#if row.ring.length}
		{@const ring = view.path([row.ring as XY[]])}
		<path d={ring} class="pointer-events-none fill-slab stroke-ink stroke-[5px]" data-isolation={row.shape} />
		<path d={ring} class="pointer-events-none fill-none stroke-sheet stroke-[2px]" />
	{/if}{/each}
{#each data.lines as row (row.id)}
	{@const on = data.held?.id === row.id}
	<!-- svelte-ignore a11y_no_static_element_interactions (the bench lists the joints and calls them) -->
	<g class="cursor-grab touch-none" onpointerdown={(event) => press(row, event)} data-joint={row.id}>
		<path d={path(row)} class="stroke-transparent stroke-18" />
		<path
			d={path(row)}
			class={[
				'stroke-[2.6px]',
				on ? 'stroke-chalk' : 'stroke-ink',
				row.how === 'inserted' && '[stroke-dasharray:3_3]',
				row.how === 'construction' && 'stroke-[6px]'
			]}
		/>
		{#if row.how === 'sawn'}<path d={teeth(row)} class={['stroke-[1.4px]', on ? 'stroke-chalk' : 'stroke-ink']} />{/if}
	</g>
{/each}
{#each names as { at, panel }, i (i)}<text
		x={at[0]}
		y={at[1] + 5}
		text-anchor="middle"
		class={[
			'pointer-events-none stroke-slab stroke-[4px] text-note font-[680] [paint-order:stroke]',
			panel.rules.length ? 'fill-flag' : 'fill-ink'
		]}>{panel.text}</text
	>{/each}
{#each found?.cracks ?? [] as one, i (i)}
	{@const at = view.px(one.at as XY)}
	<g data-crack={one.rule} class="pointer-events-none">
		<path d={crack(at)} class="fill-none stroke-flag stroke-[2.6px]" />
		<circle cx={at[0]} cy={at[1]} r="12" class="fill-none stroke-flag stroke-[3px]" />
	</g>
{/each}
