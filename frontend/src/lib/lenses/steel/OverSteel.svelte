<script lang="ts">
	/** Steel over the plan: bars as they lie, mesh by its sheets, fibre as strokes, stirrups as ticks; the held mark in chalk. */
	import { around, firstFree, standing } from '../../drawing/labels';
	import type { Viewport, XY } from '../../drawing/viewport';
	import type { MarkTold } from '../../api/schema';
	import { steel as words } from '../../words/steel';
	import Tag from './Tag.svelte';
	import type { SteelData } from './steel.svelte';
	let { view, data, tab, rows }: { view: Viewport; data: SteelData; tab: string; rows: readonly MarkTold[] } = $props();
	const own = $props.id();
	const px = (p: readonly number[]): XY => view.px([p[0] ?? 0, p[1] ?? 0]);
	const laid = $derived(data.laid);
	const shown = $derived(tab === 'chairs' ? [] : rows);
	const path = (row: MarkTold) =>
		row.lines
			.map(
				(line) =>
					`M${line
						.map((p) =>
							px(p)
								.map((v) => v.toFixed(1))
								.join(' ')
						)
						.join('L')}`
			)
			.join('');
	const wide = (row: MarkTold) => Math.max(row.shape === 'stirrup' ? 1.4 : 1.8, Math.min(5, row.d_mm * view.scale * 1.4));
	const fibred = $derived((laid?.ways ?? []).filter((row) => row.way.startsWith('fibre')));
	const meshed = $derived(tab === 'way' || tab === 'mat' || tab === 'lists' ? (laid?.mesh ?? []) : []);
	/** where each tag stands: on its bar, where no other stands */
	const tags = $derived.by(() => {
		const taken = [...standing(view, data.store.document?.outline ?? [], [])];
		return (tab === 'look' ? [] : shown).flatMap((row) => {
			const spots = row.lines.flatMap((line): XY[] => {
				const [a, b] = [px(line[0] ?? [0, 0]), px(line[line.length - 1] ?? [0, 0])];
				return [0.5, 0.3, 0.7, 0.15, 0.85].map((t): XY => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]);
			});
			const at = firstFree(spots, 36, 24, taken);
			return at ? [{ row, at }] : [];
		});
	});
	const names = $derived.by(() => {
		const taken = tags.map((tag) => around(tag.at, 36, 24));
		return (tab === 'way' ? (laid?.ways ?? []) : []).flatMap((row) => {
			const at = row.at ? px(row.at) : null;
			const text = words.ways[row.way] ?? row.way;
			const spots = at ? [0, 26, -26, 52, -52].map((dy): XY => [at[0], at[1] + dy]) : [];
			const spot = firstFree(spots, text.length * 8 + 14, 24, taken) ?? at;
			return spot ? [{ id: row.slab, at: spot, text }] : [];
		});
	});
</script>

<defs>
	<pattern id="{own}-fibre" width="46" height="40" patternUnits="userSpaceOnUse">
		<path
			d="M4 7l9 4M24 4l7-3M36 13l5 6M10 22l2 9M25 20l8 3M41 31l-7 4M18 35l-7 2M3 36l4-3"
			class="fill-none stroke-rust stroke-[1.5px]"
		/>
	</pattern>
</defs>
{#if tab === 'way' || tab === 'mat' || tab === 'lists'}
	{#each fibred as row (row.slab)}<path d={view.path(row.region)} fill="url(#{own}-fibre)" data-fibre={row.slab} />{/each}
{/if}
{#each meshed as mesh (mesh.slab)}
	<clipPath id="{own}-{mesh.slab}"><path d={view.path(mesh.region)} clip-rule="evenodd" /></clipPath>
	<g clip-path="url(#{own}-{mesh.slab})" data-mesh={mesh.slab}>
		{#each mesh.pieces as piece}
			{@const [a, , c] = piece.corners.map(px)}
			<path d={view.path([piece.corners as XY[]])} class="fill-none stroke-rust stroke-[1.6px]" />
			{#if a && c}<path d="M{a}L{c}" class="stroke-rust stroke-[1px] opacity-70" />{/if}
		{/each}
	</g>
{/each}
{#each shown as row (row.key)}
	{@const on = data.held?.mark === row.mark}
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the bench lists the marks) -->
	<g class="cursor-pointer" onclick={() => data.hold(row.mark)} data-bars={row.mark}>
		<path d={path(row)} class="fill-none stroke-transparent stroke-12" />
		<path
			d={path(row)}
			stroke-width={on ? wide(row) + 1.5 : wide(row)}
			class={['fill-none [stroke-linejoin:round]', on ? 'stroke-chalk' : data.held ? 'stroke-rust/45' : 'stroke-rust']}
		/>
	</g>
{/each}
{#each tags as { row, at } (row.key)}<Tag mark={row.mark} on={data.held?.mark === row.mark} x={at[0]} y={at[1]} />{/each}
{#if tab === 'dowels'}
	{#each data.keys as row (row.id)}<path
			d={view.path([row.path as XY[]], false)}
			class="stroke-ink stroke-[5px] [stroke-dasharray:10_4]"
		/>{/each}
	{#each laid?.dowels ?? [] as row (row.id)}
		{#each row.spots as spot}{@const [x, y] = px(spot)}<circle
				cx={x}
				cy={y}
				r="3.4"
				class="fill-sheet stroke-ink stroke-[1.6px]"
			/>{/each}
	{/each}
{/if}
{#if tab === 'look'}
	{#each data.places as place, i (place.id)}
		{@const [x, y] = px(place.at)}
		{@const on = data.place?.id === place.id}
		<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the bench lists the places) -->
		<g class="cursor-pointer" transform="translate({x} {y})" data-place={place.id} onclick={() => data.lookAt(place.id, '')}>
			<circle r="22" class="fill-transparent" />
			<circle r="13" class={['stroke-sheet stroke-2', place.short ? 'fill-flag' : on ? 'fill-chalk' : 'fill-ink']} />
			<text y="5.5" text-anchor="middle" class="fill-sheet text-body font-black">{i + 1}</text>
		</g>
	{/each}
{/if}
{#if tab === 'chairs'}
	{#each laid?.chairs ?? [] as row (row.slab)}
		<g data-chairs={row.slab}>
			{#each row.spots as spot}{@const [x, y] = px(spot)}<path d="M{x - 5} {y + 4}l5 -8l5 8z" class="fill-rust" />{/each}
		</g>
	{/each}
{/if}
{#each names as name (name.id)}<text
		x={name.at[0]}
		y={name.at[1] + 5}
		text-anchor="middle"
		class="pointer-events-none fill-ink stroke-slab stroke-5 text-read font-[760] [paint-order:stroke]">{name.text}</text
	>{/each}
