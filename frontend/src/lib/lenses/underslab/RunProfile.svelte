<script lang="ts">
	/** A run along its length: floor, foam, stone, beams, the pipe in its gravel, what crosses it, and the rod at its places. */
	import type { Clash, Run } from '../../api/schema';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { underslab as words } from '../../words/underslab';
	import { profileView, spread } from './profile_view';
	let { run, clashes, stations = true }: { run: Run; clashes: readonly Clash[]; stations?: boolean } = $props();
	let width = $state(520);
	const view = $derived(profileView(run, width));
	const { x, y } = $derived(view);
	const ring = (points: readonly (readonly [number, number])[]) =>
		`M${points.map(([s, z]) => `${x(s).toFixed(1)} ${y(z).toFixed(1)}`).join('L')}Z`;
	const low = (s: number) => run.start_mm - run.fall * s;
	const pipe = $derived(
		ring([
			[0, low(0)],
			[run.length_mm, low(run.length_mm)],
			[run.length_mm, low(run.length_mm) + run.outside_mm],
			[0, low(0) + run.outside_mm]
		])
	);
	const under = $derived(run.bedding ? 101.6 : 0);
	const gravel = $derived(
		under
			? ring([
					[0, low(0) - under],
					[run.length_mm, low(run.length_mm) - under],
					[run.length_mm, low(run.length_mm) + run.outside_mm + 50.8],
					[0, low(0) + run.outside_mm + 50.8]
				])
			: ''
	);
	const bites = $derived(
		clashes.flatMap((clash, i) => (clash.where === run.id && clash.code.startsWith('pipe-in') ? [{ clash, n: i + 1 }] : []))
	);
	const shown = $derived(spread(run.stations, x, 84));
	const rows = $derived([
		{ y: view.height + 16, label: words.bottom, of: (i: number) => shown[i]?.bottom_text ?? '', strong: false },
		{ y: view.height + 40, label: words.rod, of: (i: number) => shown[i]?.rod_text ?? '', strong: true },
		{
			y: view.height + 63,
			label: words.trench,
			of: (i: number) => (run.bedding ? (shown[i]?.trench_text ?? '') : ''),
			strong: false
		}
	]);
	const laser = $derived(run.stations.some((one) => one.rod_text));
	const tall = $derived(view.height + (stations ? (laser ? 74 : 28) : 0));
	const anchor = (i: number) => (i === 0 ? 'start' : i === shown.length - 1 ? 'end' : 'middle');
	/** between the two places farthest apart the rows say what they are */
	const gap = $derived.by(() => {
		const ends = shown.slice(1).map((one, i) => ({ from: at(i), to: x(one.s_mm), wide: x(one.s_mm) - at(i) }));
		const most = ends.sort((a, b) => b.wide - a.wide)[0];
		return most && most.wide > 300 ? (most.from + most.to) / 2 + 12 : null;
	});
	const at = (i: number) => (i === 0 ? 4 : i === shown.length - 1 ? width - 4 : x(shown[i]?.s_mm ?? 0));
</script>

<div bind:clientWidth={width}>
	<svg {width} height={tall} role="img" aria-label={words.profile(run.name)} class="block">
		{#if gravel}<path d={gravel} class="fill-bench" /><path d={gravel} fill="url(#pebbles)" class="stroke-soil stroke-1" />{/if}
		{#each run.stretches as row, i (i)}
			{@const body = ring([
				[row.s0_mm, row.top0_mm],
				[row.s1_mm, row.top1_mm],
				[row.s1_mm, row.under1_mm],
				[row.s0_mm, row.under0_mm]
			])}
			{#if row.part === null && row.base_mm > 0}
				{@const base = ring([
					[row.s0_mm, row.under0_mm - row.foam_mm],
					[row.s1_mm, row.under1_mm - row.foam_mm],
					[row.s1_mm, row.under1_mm - row.base_mm],
					[row.s0_mm, row.under0_mm - row.base_mm]
				])}
				<path d={base} class="fill-well" /><path d={base} fill="url(#pebbles)" class="stroke-line stroke-1" />
			{/if}
			{#if row.part === null && row.foam_mm > 0}
				{@const foam = ring([
					[row.s0_mm, row.under0_mm],
					[row.s1_mm, row.under1_mm],
					[row.s1_mm, row.under1_mm - row.foam_mm],
					[row.s0_mm, row.under0_mm - row.foam_mm]
				])}
				<path d={foam} class="fill-sheet" /><path d={foam} fill="url(#zig)" class="stroke-line stroke-1" />
			{/if}
			<path d={body} class="fill-slab" /><path d={body} fill="url(#{row.part === null ? 'conc' : 'deep'})" />
			<path
				d="M{x(row.s0_mm)} {y(row.top0_mm)}L{x(row.s1_mm)} {y(row.top1_mm)}M{x(row.s0_mm)} {y(row.under0_mm)}L{x(row.s1_mm)} {y(
					row.under1_mm
				)}"
				class="fill-none stroke-ink stroke-2"
			/>
		{/each}
		{#each run.sleeves as sleeve (sleeve.s0_mm)}
			{@const middle = (sleeve.s0_mm + sleeve.s1_mm) / 2}
			<path
				d={ring([
					[sleeve.s0_mm, low(sleeve.s0_mm) - 14],
					[sleeve.s1_mm, low(sleeve.s1_mm) - 14],
					[sleeve.s1_mm, low(sleeve.s1_mm) + run.outside_mm + 14],
					[sleeve.s0_mm, low(sleeve.s0_mm) + run.outside_mm + 14]
				])}
				class="fill-sheet stroke-ink stroke-[2.4px]"
			/>
			<text
				x={x(middle)}
				y={Math.min(view.height - 4, y(low(middle) - under) - 4)}
				text-anchor="middle"
				class="fill-ink stroke-bench stroke-4 text-note font-mid [paint-order:stroke]"
				><SvgFrac text="{sleeve.name}, {words.sleeve(sleeve.size_text)}" /></text
			>
		{/each}
		<path d={pipe} class="fill-well stroke-ink stroke-[2.4px]" />
		{#each bites as { clash, n } (n)}
			<path
				d={ring([
					[clash.s0_mm, low(clash.s0_mm) + run.outside_mm - clash.by_mm],
					[clash.s1_mm, low(clash.s1_mm) + run.outside_mm],
					[clash.s0_mm, low(clash.s0_mm) + run.outside_mm]
				])}
				class="fill-flag"
			/>
			<text
				x={x(clash.s0_mm) + 6}
				y={Math.max(14, y(low(clash.s0_mm) + run.outside_mm) - 10)}
				class="fill-flag stroke-bench stroke-5 text-note font-[800] [paint-order:stroke]">{n}</text
			>
		{/each}
		{#each run.others as other (other.name + other.s_mm)}
			<ellipse
				cx={x(other.s_mm)}
				cy={y(other.bottom_mm + other.outside_mm / 2)}
				rx={Math.max(4, (other.outside_mm / 2) * view.scale)}
				ry={Math.max(4, (other.outside_mm / 2) * view.scale * view.times)}
				class="fill-water stroke-ink stroke-2"
			/>
			<text
				x={x(other.s_mm) + (x(other.s_mm) > width - 40 ? -10 : 10)}
				y={y(other.bottom_mm + other.outside_mm / 2) + 5}
				text-anchor={x(other.s_mm) > width - 40 ? 'end' : 'start'}
				class="fill-ink stroke-bench stroke-4 text-note font-mid [paint-order:stroke]">{other.name}</text
			>
		{/each}
		{#if stations}
			{#if gap !== null}{#each rows as row, k (k)}{#if row.of(0)}<text
							x={gap}
							y={row.y}
							text-anchor="middle"
							class="fill-ink2 text-note">{row.label}</text
						>{/if}{/each}{/if}
			{#each shown as one, i (one.s_mm)}
				<path d="M{x(one.s_mm)} {y(one.bottom_mm)}V{view.height + 2}" class="stroke-line stroke-1" />
				{#each rows as row, k (k)}
					{#if row.of(i)}<text
							x={at(i)}
							y={row.y}
							text-anchor={anchor(i)}
							class={row.strong ? 'fill-ink text-body font-[800]' : 'fill-ink2 text-note font-mid'}
							><SvgFrac text={row.of(i)} /></text
						>{/if}
				{/each}
			{/each}
		{/if}
	</svg>
</div>
