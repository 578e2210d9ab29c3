<script lang="ts">
	/** The second way: the same slab in slices, drawn under the plan at the plan's own scale. */
	import type { Concrete } from '../../api/schema';
	import { orderWords } from '../../words/order';
	let { concrete, counting, units, unit }: { concrete: Concrete; counting: number | null; units: 'ft-in' | 'mm'; unit: string } =
		$props();
	let width = $state(380);
	const most = $derived(Math.max(...concrete.slices.map((bar) => bar.m3), 1e-9));
	const step = $derived((width - 2) / concrete.slices.length);
	const height = 86;
	const thin = $derived(units === 'mm' ? `${concrete.slice_mm.toFixed(0)} mm` : '½″');
</script>

<div class="absolute right-20 bottom-10 left-20" bind:clientWidth={width}>
	<h2>{orderWords.second}</h2>
	<p class="label">{orderWords.slices(thin, units === 'mm' ? orderWords.halfMetre : orderWords.foot)}</p>
	<svg class="mx-0 my-4 block" {width} {height} aria-hidden="true">
		{#each concrete.slices as bar, i}
			<rect
				x={1 + i * step}
				y={height - 3 - (bar.m3 / most) * (height - 8)}
				width={Math.max(step - 1, 1)}
				height={(bar.m3 / most) * (height - 8)}
				fill="var(--color-water)"
				stroke="var(--color-ink2)"
				stroke-width=".8"
			/>
		{/each}
		<path d="M0 {height - 2}H{width}" stroke="var(--color-ink)" stroke-width="2.4" />
	</svg>
	<p class="font-[760]" role="status">
		{concrete.second_way_text
			? `${orderWords.compare(concrete.second_way_text, concrete.net_text, unit)} ${concrete.agree}`
			: counting === null
				? concrete.agree
				: orderWords.counting(counting)}
	</p>
</div>
