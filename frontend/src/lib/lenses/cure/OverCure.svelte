<script lang="ts">
	/** The cure over the plan: what lies on each room, its probe, when it will bear; joints, boards that are still on, level shots. */
	import type { ZoneCure } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	import { cureWords } from '../../words/cure';
	import type { CureData } from './cure.svelte';
	let { view, data, tab, rings }: { view: Viewport; data: CureData; tab: string; rings: { id: string; rings: XY[][] }[] } =
		$props();
	const own = $props.id();
	const small = $derived(view.scale < 0.03);
	/** no room for words in each: those of the one that is looked at stand alone */
	const tiny = $derived(view.scale < 0.015);
	const told = $derived(data.told);
	const fill = (zone: ZoneCure | undefined) =>
		!zone?.what
			? 'transparent'
			: zone.what === 'wet'
				? `url(#${own}-wet)`
				: zone.what === 'blankets'
					? `url(#${own}-warm)`
					: `url(#${own}-dots)`;
	const lines = (zone: ZoneCure) =>
		small
			? [zone.name, zone.build_text.replace(/ \w+$/, '')]
			: [
					zone.name,
					cureWords.build(zone.build_text),
					...(zone.read || tab === 'strength' ? [`${zone.temp_text} ${zone.by}`] : [])
				];
	function tap(event: MouseEvent) {
		if (tab !== 'work') return;
		const frame = (event.currentTarget as SVGElement).ownerSVGElement?.getBoundingClientRect();
		if (!frame) return;
		const [x, y] = view.mm(event.clientX - frame.left, event.clientY - frame.top);
		data.spot = [Math.round(x), Math.round(y)];
	}
	const press = (zone: ZoneCure) => (data.trying ? data.tryZone(zone.zone) : (data.zone = zone.zone));
</script>

<defs>
	<pattern id="{own}-wet" width="10" height="10" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"
		><path d="M0 0V10" class="stroke-ink2 stroke-[1.4px]" /></pattern
	>
	<pattern id="{own}-warm" width="14" height="14" patternUnits="userSpaceOnUse"
		><path d="M0 0L14 14M14 0L0 14" class="stroke-ink2 stroke-[1.2px]" /></pattern
	>
	<pattern id="{own}-dots" width="12" height="12" patternUnits="userSpaceOnUse"
		><path d="M3 3h2v2h-2z" class="fill-ink2" /></pattern
	>
</defs>
{#each rings as row (row.id)}
	{@const zone = data.zones.find((one) => one.zone === row.id)}
	<path
		d={view.path(row.rings)}
		fill-rule="evenodd"
		fill={fill(zone)}
		class="stroke-ink stroke-[1px]"
		data-room={zone?.name}
		data-under={zone?.what}
	/>
	{#if data.tries.includes(row.id)}<path
			d={view.path(row.rings)}
			fill-rule="evenodd"
			class="fill-transparent stroke-chalk stroke-[4px] [stroke-dasharray:8_5]"
			data-tried={zone?.name}
		/>{/if}
{/each}
<!-- svelte-ignore a11y_no_static_element_interactions, a11y_click_events_have_key_events (the list beside it takes the keyboard) -->
{#if tab === 'work'}<path
		d={view.path(rings.flatMap((row) => row.rings))}
		class="cursor-crosshair fill-transparent"
		onclick={tap}
		data-tap-level
	/>
	{#each told?.sides ?? [] as one (one.side)}
		{#if one.state !== 'off'}{@const [a, b] = [view.px(one.line[0] as XY), view.px(one.line[1] as XY)]}
			<path
				d="M{a[0]} {a[1]}L{b[0]} {b[1]}"
				class="pointer-events-none stroke-chalk stroke-[5px] [stroke-dasharray:10_5]"
				data-board-on={one.name}
			/>{/if}
	{/each}
	{#each told?.cuts ?? [] as one (one.joint)}
		{@const [a, b] = [view.px(one.line[0] as XY), view.px(one.line[1] as XY)]}
		<path
			d="M{a[0]} {a[1]}L{b[0]} {b[1]}"
			class={['pointer-events-none stroke-[3px]', one.done_text ? 'stroke-ink' : 'stroke-ink2 [stroke-dasharray:9_5]']}
		/>
	{/each}
	{#if told?.levels.gap}
		{@const [a, b, c] = told.levels.gap.map((spot) => view.px(spot as XY))}
		{#if a && b && c}<path
				d="M{a[0]} {a[1]}L{b[0]} {b[1]}"
				class="pointer-events-none stroke-flag stroke-[2.4px]"
				data-gap
			/>{/if}
	{/if}
	{#each told?.levels.spots ?? [] as one, i (one.record)}
		{@const at = view.px(one.spot as XY)}
		<path
			d={one.over ? `M${at[0]} ${at[1] - 7}l7 12h-14z` : `M${at[0]} ${at[1] + 7}l7 -12h-14z`}
			class={['pointer-events-none', one.mend ? 'fill-flag' : 'fill-ink']}
		/>
		<text
			x={at[0] + 9}
			y={at[1] + 5}
			class="pointer-events-none fill-ink stroke-sheet stroke-[4px] text-label font-heavy [paint-order:stroke]">{i + 1}</text
		>
	{/each}
	{#if data.spot}{@const at = view.px(data.spot)}<path
			d="M{at[0] - 12} {at[1]}h24M{at[0]} {at[1] - 12}v24"
			class="pointer-events-none stroke-chalk stroke-[3px]"
			data-spot-tapped
		/>{/if}
{:else}
	{#each data.zones as zone (zone.zone)}
		{@const at = view.px(zone.at as XY)}
		{@const rows = lines(zone)}
		{@const wide = Math.max(44, ...rows.map((row) => row.length * (small ? 6.6 : 8))) + 10}
		<g
			class="cursor-pointer"
			role="button"
			tabindex="0"
			aria-label={rows.join(' ')}
			aria-pressed={data.trying ? data.tries.includes(zone.zone) : data.held?.zone === zone.zone}
			onclick={() => press(zone)}
			onkeydown={(event) => event.key === 'Enter' && (event.stopPropagation(), press(zone))}
			data-zone-press={zone.name}
		>
			<rect x={at[0] - wide / 2} y={at[1] - 23} width={wide} height="46" class="fill-transparent" />
			{#if !tiny || data.held?.zone === zone.zone}<rect
					x={at[0] - wide / 2}
					y={at[1] - rows.length * 9 - 3}
					width={wide}
					height={rows.length * 18 + 4}
					class={['fill-sheet', data.held?.zone === zone.zone && 'stroke-chalk stroke-[3px]']}
				/>
				{#each rows as row, i (i)}<text
						x={at[0]}
						y={at[1] - rows.length * 9 + 14 + i * 18}
						text-anchor="middle"
						class={['fill-ink', i === 0 ? 'font-heavy' : 'font-mid', small ? 'text-label' : 'text-note']}
						>{i ? ` ${row}` : row}</text
					>{/each}{/if}
		</g>
	{/each}
{/if}
