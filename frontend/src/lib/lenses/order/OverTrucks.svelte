<script lang="ts">
	/** The slab filling: wet parts with the minute each is full, the front, where a load ends, the oldest joint, the truck. */
	import type { DeliveryTold } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	import { filled } from '../screed/fill';
	import { orderWords } from '../../words/order';
	import type { OrderData } from './order.svelte';
	import { shareOf, unloadedOf } from './play';
	let { view, data, told }: { view: Viewport; data: OrderData; told: DeliveryTold } = $props();
	const words = orderWords.trucks;
	const now = $derived(data.minutes ?? told.done_min);
	const truck = $derived(told.trucks.find((one) => now >= one.arrive_min && now < one.end_min) ?? null);
	const stands = $derived((data.store.document?.screed.standing ?? []).map((row) => row.at as XY));
	const per = $derived(data.store.units === 'mm' ? 1 : 0.764554857984);
	const shares = $derived(told.parts.map((part) => shareOf(part, now)));
	const cut = (part: DeliveryTold['parts'][number], share: number) =>
		part.rings.map((ring) => filled(ring as XY[], part.way as XY, share)).filter((ring) => ring.length > 2);
	/** where the truck stands for the part that is being filled */
	const nearest = $derived.by(() => {
		const part =
			told.parts.find((_, i) => (shares[i] ?? 0) > 0 && (shares[i] ?? 0) < 1) ??
			told.parts.findLast((_, i) => (shares[i] ?? 0) > 0);
		if (!part || !truck) return -1;
		const far = stands.map(([x, y]) => Math.hypot(x - (part.at[0] ?? 0), y - (part.at[1] ?? 0)));
		return far.indexOf(Math.min(...far));
	});
	const small = $derived(view.scale < 0.033);
</script>

{#each told.parts as part, i (part.id)}
	{@const share = shares[i] ?? 0}
	<path
		d={view.path(part.rings as XY[][])}
		fill-rule="evenodd"
		class="fill-transparent stroke-ink2 stroke-[1px] [stroke-dasharray:5_4]"
		data-part-of-pour={part.n}
		data-share={share.toFixed(2)}
	/>
	{#if share > 0}<path
			d={view.path(cut(part, share))}
			fill-rule="evenodd"
			class={['fill-water stroke-ink', share < 1 ? 'stroke-2' : 'stroke-[1px]']}
		/>{/if}
{/each}
{#if told.by_strips || !small}
	{#each told.parts as part, i (part.id)}
		{@const [x, y] = view.px(part.at as XY)}
		{@const here = (shares[i] ?? 0) > 0 && (shares[i] ?? 0) < 1}
		{#if told.by_strips}<circle
				cx={x}
				cy={y - 15}
				r="13"
				class={['stroke-ink stroke-[1.8px]', here ? 'fill-ink' : 'fill-well']}
			/>
			<text {x} y={y - 10} text-anchor="middle" class={['text-body font-heavy', here ? 'fill-sheet' : 'fill-ink']}>{part.n}</text
			>{/if}
		{#if (told.by_strips || i % 3 === 2) && part.full_text && !small}
			<rect x={x - 24} y={y + 2} width="48" height="22" class={['fill-well', here && 'stroke-ink stroke-[1.6px]']} />
			<text {x} y={y + 18} text-anchor="middle" class="fill-ink text-body font-[760]">{part.full_text}</text>
		{/if}
	{/each}
{/if}
{#each stands as at, i (i)}
	{@const [x, y] = view.px(at)}
	{@const here = i === nearest}
	{#if !here}<rect
			x={x - 8}
			y={y - 8}
			width="16"
			height="16"
			class="fill-sheet stroke-ink stroke-[1.6px] [stroke-dasharray:4_2]"
		/>
	{:else if truck}<rect x={x - 46} y={y - 20} width="92" height="40" class="fill-sheet stroke-ink stroke-[1.8px]" /><text
			{x}
			y={y - 3}
			text-anchor="middle"
			class="fill-ink text-note font-[760]">{words.truck(truck.n)}</text
		>
		<text {x} y={y + 13} text-anchor="middle" class="fill-ink text-note"
			>{((truck.m3 - unloadedOf(truck, now)) / per).toFixed(1)} left</text
		>{/if}
{/each}
