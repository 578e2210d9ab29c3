<script lang="ts">
	/** A core through the ground on the picked day, from below: what lies, what waits and till when. */
	import { holdWords } from '../../words/holds';
	import { dayText, today } from '../../ui/days';
	import type { GateData } from './holds.svelte';
	import { laidOn } from './laid';
	let { data }: { data: GateData } = $props();
	const words = holdWords.trades;
	const day = $derived(data.day || data.schedule?.pour_at?.slice(0, 10) || today());
	const layers = $derived(laidOn(data.schedule?.tasks ?? [], day).filter((one) => one.key !== 'dig' && one.key !== 'pipes'));
	const step = $derived(Math.min(26, 118 / (layers.length + 1)));
</script>

<div class="absolute inset-x-0 bottom-0 border-t-2 border-ink bg-sheet px-20 py-8" data-core={day}>
	<svg width="100%" height="132" aria-hidden="true">
		<path d="M0 126H110" class="stroke-soil stroke-[2.4px]" /><path
			d={[...Array(8).keys()].map((n) => `M${8 + n * 14} 127l-6 6`).join('')}
			class="stroke-soil"
		/>
		{#each layers as one, i (one.key)}
			{@const y = 126 - (i + 1) * step}
			{#if one.key === 'barrier'}<path d="M0 {y + step / 2}H110" class="stroke-chalk stroke-[3px] [stroke-dasharray:9_5]" />
			{:else}<rect
					x="0"
					y={y + 2}
					width="110"
					height={step - 4}
					fill={one.key === 'stone' && one.there ? 'url(#stones)' : 'none'}
					class={['stroke-ink', one.there ? (one.key === 'pour' ? 'fill-slab' : '') : '[stroke-dasharray:5_4]']}
				/>{/if}
			<text x="124" y={y + step / 2 + 5} class={['text-note', one.there ? 'fill-ink font-mid' : 'fill-chalk font-heavy']}
				>{one.name}, {dayText(one.on)}</text
			>
		{/each}
		{#if !layers.length}<text x="124" y="70" class="fill-ink text-note">{words.none}</text>{/if}
	</svg>
</div>
