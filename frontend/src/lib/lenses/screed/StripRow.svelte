<script lang="ts">
	/** A strip in the list: number, where it is, what it rides on, its cut, and whether the board reaches. */
	import type { StripTold } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import { screed as words } from '../../words/screed';
	import StripCut from './StripCut.svelte';
	interface Props {
		strip: StripTold;
		scale: number;
		on: boolean;
		press: () => void;
	}
	let { strip, scale, on, press }: Props = $props();
	const wrong = $derived(strip.wrong.length > 0);
</script>

<li class="border-b border-hair">
	<button
		type="button"
		class={[
			'grid min-h-54 w-full grid-cols-[30px_1fr_250px_66px] items-center gap-8 text-left',
			'max-phone:grid-cols-[26px_1fr_56px]',
			on && 'bg-chalk-tint'
		]}
		aria-pressed={on}
		onclick={press}
		data-strip-row={strip.n}
	>
		<b class={['text-title font-black', wrong && 'text-flag']}>{strip.n}</b>
		<span class="leading-tight"
			><b class="block">{strip.name}</b><span class="text-note"
				>{strip.pulls ? `${strip.left.words} to ${strip.right.words}` : words.cannot}</span
			></span
		>
		<span class="max-phone:order-last max-phone:col-span-3 max-phone:justify-self-center"
			>{#if strip.pulls}<StripCut {strip} {scale} wide={250} />{/if}</span
		>
		<span class={['text-right text-note font-[760]', wrong ? 'text-flag' : 'text-chalk']}
			>{#if strip.short_text}<Frac text={words.short(strip.short_text)} />{:else}{wrong ? words.broken : words.meets}{/if}</span
		>
	</button>
</li>
