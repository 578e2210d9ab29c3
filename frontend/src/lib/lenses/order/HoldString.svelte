<script lang="ts">
	/** Firm loads as knots, the held one a loop; the spread shrinks as the slab fills; the flag stands at the last minute to say it. */
	import type { HoldTold } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { orderWords } from '../../words/order';
	let { hold, unit }: { hold: HoldTold; unit: string } = $props();
	const words = orderWords.sure;
	let wide = $state(300);
	const end = $derived(Math.max(hold.moments.at(-1)?.at_min ?? 1, 1));
	const x = (minute: number) => 26 + (Math.max(0, minute) / end) * (wide - 78);
	const most = $derived(Math.max(...hold.moments.map((one) => one.sd_m3), 1e-6));
	const size = (sd: number) => 8 + (sd / most) * 18;
</script>

<section aria-label={words.hold(hold.say_text)} data-hold={hold.say_text}>
	<h2 class="mt-8">{hold.late ? words.holdLate(hold.say_text) : words.hold(hold.say_text)}</h2>
	<p class="label">{words.holdHow} <Frac text={words.holdRange(hold.range_text, unit)} /></p>
	<div bind:clientWidth={wide}>
		<svg width={wide} height="118" class="block" aria-hidden="true">
			{#each hold.moments as one, i (one.at_min)}
				{@const at = x(one.at_min)}
				{@const tall = size(one.sd_m3)}
				{#if i}{@const before = x(hold.moments[i - 1]?.at_min ?? 0)}
					<path
						d="M{before} 72H{at}"
						class={one.at_min > hold.say_min + 1e-6 ? 'stroke-ink stroke-2 [stroke-dasharray:7_4]' : 'stroke-chalk stroke-[3px]'}
					/>{/if}
				<path d="M{at} {32 - tall}V{32 + tall}M{at - 5} {32 - tall}h10M{at - 5} {32 + tall}h10" class="stroke-ink stroke-[4px]" />
				<text x={at + 11} y="37" class="fill-ink text-note font-mid">± <SvgFrac text={one.sd_text} /></text>
			{/each}
			{#each hold.moments as one, i (one.at_min)}
				{@const at = x(one.at_min)}
				{@const last = i === hold.moments.length - 1}
				{#if one.say}<path d="M{at} 72V6" class="stroke-flag stroke-[2.4px]" /><path
						d="M{at} 6h20l-6 6l6 6h-20z"
						class="fill-flag"
					/>{/if}
				<circle
					cx={at}
					cy="72"
					r={last ? 8 : 7}
					class={last ? 'fill-bench stroke-ink stroke-[2.4px]' : 'fill-chalk stroke-ink stroke-[1.4px]'}
				/>
				<text x={at} y="98" text-anchor={last ? 'middle' : i ? 'middle' : 'start'} class="fill-ink text-body font-[760]"
					>{one.text}</text
				>
				<text x={at} y="114" text-anchor={i ? 'middle' : 'start'} class="fill-ink text-label"
					><SvgFrac text={one.firm_text} /></text
				>
			{/each}
		</svg>
	</div>
	<p class="label">{hold.why}</p>
</section>
