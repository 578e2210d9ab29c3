<script lang="ts">
	/** The days over the yard's lines: this week wide, the two after it narrow. */
	import { daysApart, letterOf, monthOf, plus, today } from '../ui/days';
	import { middleOf, SHOWN, xOfDay } from './dates';
	let { from, width }: { from: string; width: number } = $props();
	const now = $derived(daysApart(from, today()));
	const days = $derived([...Array(SHOWN).keys()]);
</script>

<svg {width} height="46" class="block overflow-visible" aria-hidden="true" data-yard-days={from}>
	{#each days as n (n)}
		{@const x = middleOf(n, width)}
		{#if n === now}<rect
				x={xOfDay(n, width)}
				y="0"
				width={xOfDay(n + 1, width) - xOfDay(n, width)}
				height="40"
				class="fill-chalk"
			/>{/if}
		<path d="M{xOfDay(n, width)} {n % 7 ? 34 : 20}V42" class={['stroke-ink', n % 7 === 0 && 'stroke-2']} />
		{#if n < 7 || n % 7 < 6}<text
				{x}
				y="14"
				text-anchor="middle"
				class={['text-label font-mid', n === now ? 'fill-on-chalk' : 'fill-ink2']}>{letterOf(n % 7)}</text
			>{/if}
		{#if n < 7 || n % 7 === 0}<text
				{x}
				y="32"
				text-anchor="middle"
				class={['text-label font-heavy', n === now ? 'fill-on-chalk' : 'fill-ink']}
				>{+plus(from, n).slice(8)}{n === 0 ? ` ${monthOf(plus(from, n)).slice(0, 3)}` : ''}</text
			>{/if}
	{/each}
	<path d="M0 42H{width}" class="stroke-ink stroke-2" />
</svg>
