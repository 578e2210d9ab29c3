<script lang="ts">
	/** Runs and risers on the plan: kinds told by line, the held one in chalk, clashes as flags, a riser's two sizes. */
	import { follow } from '../../drawing/follow';
	import { crowsFoot } from '../../drawing/marks';
	import type { Viewport, XY } from '../../drawing/viewport';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import Flag from './Flag.svelte';
	import { about, around, standing } from '../../drawing/labels';
	import { besideLegs, chevrons, placed } from './runs';
	import type { Edit } from '../../state/job.svelte';
	import type { UnderslabData } from './underslab.svelte';
	/** check: where risers stand as they were taped, and no run in the hand; of: risers to name, where not all */
	let { view, data, check = false, of }: { view: Viewport; data: UnderslabData; check?: boolean; of?: string[] } = $props();
	const held = $derived(check ? null : data.run);
	const riser = $derived(data.riser);
	const wide = (mm: number) => Math.max(5, Math.min(11, mm * view.scale * 1.6));
	const px = (p: readonly number[]): XY => view.px([p[0] ?? 0, p[1] ?? 0]);
	/** the sizes of the riser that is held: from each face square to it */
	const sizes = $derived.by(() => {
		const at = riser?.at;
		const ring = data.store.document?.outline ?? [];
		if (!at) return [];
		return riser.faces.map((face) => {
			const a = ring[face.side] ?? [0, 0];
			const b = ring[(face.side + 1) % ring.length] ?? a;
			const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
			const n: XY = [-(b[1] - a[1]) / long, (b[0] - a[0]) / long];
			const foot = px([at[0] - n[0] * face.face_mm, at[1] - n[1] * face.face_mm]);
			const end = px(at);
			const away: XY = [end[0] - foot[0], end[1] - foot[1]];
			const size = Math.hypot(...away) || 1;
			const u: XY = [away[0] / size, away[1] / size];
			const across: XY = [-u[1], u[0]];
			return {
				face,
				foot,
				end,
				feet: `${crowsFoot(foot, across)}${crowsFoot(end, across)}`,
				said: [foot[0] - u[0] * 26, foot[1] - u[1] * 20 + 5],
				anchor: u[0] > 0.7 ? 'end' : u[0] < -0.7 ? 'start' : 'middle'
			};
		});
	});
	/** where the riser in the hand is dragged to, on a grid of half inches or centimetres */
	let dragged = $state<XY | null>(null);
	function grab(event: PointerEvent, id: string) {
		const svg = (event.currentTarget as SVGElement).ownerSVGElement;
		if (event.button || !svg) return;
		event.stopPropagation();
		data.hold('riser', id);
		if (check) return;
		const [x0, y0] = [event.clientX, event.clientY];
		const step = data.store.units === 'mm' ? 10 : 12.7;
		const move = (now: PointerEvent) => {
			if (!dragged && Math.hypot(now.clientX - x0, now.clientY - y0) < 6) return;
			const box = svg.getBoundingClientRect();
			dragged = view.mm(now.clientX - box.left, now.clientY - box.top).map((mm) => Math.round(mm / step) * step) as XY;
		};
		const end = () => {
			const at = dragged;
			dragged = null;
			if (at) void data.store.keep([{ op: 'move_riser', riser: id, at } as Edit], 'riser-move');
		};
		follow(window, move, end);
	}
	const names = $derived.by(() => {
		const taken = [
			...standing(view, data.store.document?.outline ?? [], []),
			...data.risers.map((row) => around(px(row.at), 18, 18)),
			...data.clashes.map((clash) => {
				const [x, y] = px(clash.at);
				return around([x + 12, y - 26], 40, 44);
			})
		];
		const told = data.risers.filter((row) => !of || of.includes(row.id));
		const risers = told.map((row) => {
			const [x, y] = px(row.at);
			const half = row.name.length * 3.8 + 20;
			const near: XY[] = [
				[x, y + 23],
				[x, y - 23],
				[x + half, y],
				[x - half, y]
			];
			return { id: row.id, text: row.name, spots: [...near, ...about([x, y], 38, 74, 12)], must: riser?.id === row.id };
		});
		const runs = data.runs.map((run) => ({
			id: run.id,
			text: `${run.name} ${run.size_text}`,
			spots: besideLegs(run.path.map(px)),
			must: held?.id === run.id
		}));
		return placed([...risers, ...runs], taken);
	});
</script>

{#each data.runs as run (run.id)}
	{@const on = held?.id === run.id}
	{@const falls = run.kind === 'drain' || run.kind === 'land-drain'}
	{@const path = view.path([run.path], false)}
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the bench lists the runs) -->
	<g class="cursor-pointer" data-run={run.name} onclick={() => data.hold('run', run.id)}>
		<path d={path} class="fill-none stroke-transparent stroke-22" />
		{#if run.kind === 'conduit' || run.kind === 'ground'}
			<path d={path} class={['fill-none stroke-[2.4px] [stroke-dasharray:12_4_2_4]', on ? 'stroke-chalk' : 'stroke-ink']} />
		{:else}
			<path d={path} class={['fill-none', on ? 'stroke-chalk' : 'stroke-ink']} stroke-width={wide(run.outside_mm) + 3} />
			<path d={path} class={['fill-none', falls ? 'stroke-well' : 'stroke-water']} stroke-width={wide(run.outside_mm)} />
			{#if !falls}<path d={path} class={['fill-none stroke-[1.6px]', on ? 'stroke-chalk' : 'stroke-ink']} />{/if}
		{/if}
		{#if falls}{#each chevrons(run.path.map(px)) as mark}<path
					d={mark}
					class={['fill-none stroke-[1.6px]', on ? 'stroke-chalk' : 'stroke-ink']}
				/>{/each}{/if}
		{#each run.sleeves as sleeve}
			{@const [a, b] = [px(sleeve.a), px(sleeve.b)]}
			<path d="M{a}L{b}" class="stroke-ink" stroke-width={wide(run.outside_mm) + 9} />
			<path d="M{a}L{b}" class="stroke-sheet" stroke-width={wide(run.outside_mm) + 5} />
			<path d="M{a}L{b}" class="stroke-ink stroke-[1.6px]" />
		{/each}
		{#if names.has(run.id)}
			{@const [x, y] = names.get(run.id) ?? [0, 0]}
			<text
				{x}
				y={y + 5}
				text-anchor="middle"
				class={['stroke-sheet stroke-4 text-note font-[740] [paint-order:stroke]', on ? 'fill-chalk' : 'fill-ink']}
				><SvgFrac text="{run.name} {run.size_text}" /></text
			>
		{/if}
	</g>
{/each}
{#each sizes as { face, foot, end, feet, said, anchor } (face.id)}
	<path d="M{foot}L{end}" class="stroke-chalk stroke-[1.6px]" />
	<path d={feet} class="fill-none stroke-chalk stroke-[1.6px]" />
	<text
		x={said[0]}
		y={said[1]}
		text-anchor={anchor}
		class="fill-chalk stroke-sheet stroke-5 text-body font-[800] [paint-order:stroke]"><SvgFrac text={face.face_text} /></text
	>
{/each}
{#each data.risers as row (row.id)}
	{@const [x, y] = px(row.at)}
	{@const on = riser?.id === row.id}
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the bench lists the risers) -->
	<g
		class="cursor-grab touch-none"
		data-riser={row.name}
		onpointerdown={(event) => grab(event, row.id)}
		onclick={() => data.hold('riser', row.id)}
	>
		<circle cx={x} cy={y} r="22" fill="transparent" />
		<circle cx={x} cy={y} r="7.5" class={['fill-well stroke-[2.4px]', on ? 'stroke-chalk' : 'stroke-ink']} />
		<circle cx={x} cy={y} r="2.4" class={on ? 'fill-chalk' : 'fill-ink'} />
		{#if names.has(row.id)}
			{@const [nx, ny] = names.get(row.id) ?? [x, y]}
			{#if Math.hypot(nx - x, ny - y) > 34}<path d="M{x} {y}L{nx} {ny}" class="stroke-ink stroke-1" />{/if}
			<g transform="translate({nx} {ny})">
				<rect
					x={-row.name.length * 4.1 - 6}
					y="-11"
					width={row.name.length * 8.2 + 12}
					height="21"
					class={['fill-well stroke-[1.4px]', on ? 'stroke-chalk' : 'stroke-ink']}
				/>
				<text y="5" text-anchor="middle" class={['text-note font-mid', on ? 'fill-chalk' : 'fill-ink']}>{row.name}</text>
			</g>
		{/if}
	</g>
{/each}
{#if dragged}
	{@const [x, y] = px(dragged)}
	<path d="M{x - 16} {y}H{x + 16}M{x} {y - 16}V{y + 16}" class="pointer-events-none stroke-chalk stroke-2" />
	<circle cx={x} cy={y} r="10" class="pointer-events-none fill-none stroke-chalk stroke-2 [stroke-dasharray:4_3]" />
{/if}
{#each check ? data.risers.filter((row) => row.check && !row.check.on) : [] as row (row.id)}
	{@const [a, b] = [px(row.at), px(row.check?.stands ?? row.at)]}
	<circle cx={a[0]} cy={a[1]} r="9" class="fill-none stroke-chalk stroke-[1.6px] [stroke-dasharray:4_3]" />
	<path d="M{a}L{b}" class="stroke-flag stroke-2" />
	<circle cx={b[0]} cy={b[1]} r="7.5" class="fill-well stroke-flag stroke-3" />
{/each}
{#each check ? [] : data.clashes as clash, i}
	{@const [x, y] = px(clash.at)}
	<Flag n={i + 1} {x} y={y - 8} />
{/each}
