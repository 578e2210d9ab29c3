<script lang="ts">
	/** Where the concrete went on one tape: drawn, allowed with its spread, placed, ordered. */
	import { afterWords } from '../../words/after';
	import type { AfterData } from './after.svelte';
	import { feet, ticksOf } from './spread';
	let { data, wide }: { data: AfterData; wide: number } = $props();
	const words = afterWords.lessons;
	const HIGH = 108;
	const BASE = 82;
	const went = $derived(data.told?.went ?? null);
	const air = $derived(went ? (went.high - went.low) * 0.08 || 0.1 : 0.1);
	const low = $derived((went?.low ?? 0) - air);
	const high = $derived((went?.high ?? 1) + air);
	const x = $derived((value: number) => 14 + ((value - low) / (high - low)) * (wide - 28));
	const anchor = (value: number) => (x(value) < 70 ? 'start' : x(value) > wide - 70 ? 'end' : 'middle');
</script>

{#if went}
	<h2 class="text-read font-heavy" data-went>{went.words}</h2>
	<svg width={wide} height={HIGH} class="block" aria-hidden="true">
		<path d="M6 {BASE}H{wide - 6}" class="stroke-ink stroke-2" />
		{#each ticksOf(low, high) as tick (tick)}
			<path d="M{x(tick)} {BASE}v-8" class="stroke-ink stroke-[1.6px]" />
			<text x={x(tick)} y={BASE + 18} text-anchor={anchor(tick)} class="fill-ink text-label">{tick}</text>
		{/each}
		<path d="M{x(went.drawn)} {BASE}V36" class="stroke-ink stroke-[3px]" />
		<text x={x(went.drawn)} y="30" text-anchor={anchor(went.drawn)} class="fill-ink text-note"
			>{words.drawn} {went.drawn.toFixed(2)}</text
		>
		<path
			d={feet(x(went.allowed.mean - went.allowed.sd), x(went.allowed.mean + went.allowed.sd), 54)}
			class="fill-none stroke-ink2 stroke-2"
		/>
		<path d="M{x(went.allowed.mean)} 54V{BASE}" class="stroke-ink2 stroke-2 [stroke-dasharray:3_3]" />
		<text
			x={x(went.allowed.mean)}
			y="47"
			text-anchor={anchor(went.allowed.mean)}
			class="fill-ink2 stroke-sheet stroke-[4px] text-note [paint-order:stroke]">{words.allowed}</text
		>
		{#if went.placed !== null}<path d="M{x(went.placed)} {BASE}V20" class="stroke-chalk stroke-[4px]" data-placed />
			<text
				x={x(went.placed)}
				y="14"
				text-anchor={anchor(went.placed)}
				class="fill-chalk stroke-sheet stroke-[4px] text-note font-heavy [paint-order:stroke]"
				>{words.placed} {went.placed.toFixed(1)}</text
			>{/if}
		<path d="M{x(went.ordered)} {BASE}V62" class="stroke-ink stroke-[2.4px]" />
		<path d="M{x(went.ordered)} 62h-16v12h16z" class="fill-board stroke-ink stroke-[1.4px]" />
	</svg>
{/if}
