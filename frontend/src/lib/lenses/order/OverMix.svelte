<script lang="ts">
	/** What each part of the floor stands in: those in the weather are hatched. A press turns one outside or in. */
	import type { Viewport, XY } from '../../drawing/viewport';
	import { orderWords } from '../../words/order';
	import type { OrderData } from './order.svelte';
	let { view, data }: { view: Viewport; data: OrderData } = $props();
	const own = $props.id();
	const words = orderWords.mix;
	const plan = $derived(data.store.document);
	const outside = $derived(plan?.mix.outside ?? []);
	const zones = $derived(
		(data.store.figure?.drawing?.zones ?? []).map((zone) => ({ ...zone, id: plan?.zones[zone.index]?.id ?? '' }))
	);
	/** how many px a zone is across */
	function across(rings: XY[][]): number {
		const xs = rings.flat().map((at) => at[0]);
		return (Math.max(...xs) - Math.min(...xs)) * view.scale;
	}
	const turn = (id: string) =>
		void data.set(
			{ 'mix.outside': outside.includes(id) ? outside.filter((one) => one !== id) : [...outside, id] },
			'mix-outside'
		);
</script>

<defs>
	<pattern id="{own}-rain" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(35)"
		><path d="M0 0v9" class="stroke-flag stroke-[1.4px]" /></pattern
	>
</defs>
{#each zones as zone (zone.index)}
	{@const out = outside.includes(zone.id)}
	{@const [x, y] = view.px(zone.at as XY)}
	{@const wide = across(zone.rings as XY[][])}
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the bench has a switch for each) -->
	<g class="cursor-pointer" onclick={() => turn(zone.id)} data-outside={out}>
		<path
			d={view.path(zone.rings as XY[][])}
			fill-rule="evenodd"
			fill={out ? `url(#${own}-rain)` : 'transparent'}
			class={['stroke-ink', out ? 'stroke-flag stroke-[2.4px]' : 'stroke-[1px]']}
		/>
		<text {x} y={y - 2} text-anchor="middle" class="fill-ink stroke-slab stroke-[5px] text-body font-[760] [paint-order:stroke]"
			>{zone.name}</text
		>
		{#if out && wide > 96}<text
				{x}
				y={y + 15}
				text-anchor="middle"
				class="fill-flag stroke-slab stroke-[5px] text-note font-[680] [paint-order:stroke]">{words.outsideMark}</text
			>{:else if !out && wide > 96 && plan?.mix.finish}<text
				{x}
				y={y + 15}
				text-anchor="middle"
				class="fill-ink stroke-slab stroke-[5px] text-note [paint-order:stroke]"
				>{words.finishes[plan.mix.finish].toLowerCase()}</text
			>{/if}
	</g>
{/each}
