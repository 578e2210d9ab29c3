<script lang="ts">
	/** One reading of the board: its name, the number (struck through beside it what it was), and a line under it. */
	import type { Snippet } from 'svelte';
	import Frac from '../ui/Frac.svelte';
	import { w } from '../words/words';
	/** was: the number before the last change; '' where it did not move. value: none where nothing is set yet. */
	let {
		reading,
		name,
		was = '',
		note = '',
		value,
		chars = 0,
		more,
		class: hides = '',
		...rest
	}: {
		reading: string;
		name: string;
		was?: string;
		note?: string;
		value?: Snippet | false;
		/** how long the number is with what it was: long ones are set smaller in a narrow cell */
		chars?: number;
		more?: Snippet;
		class?: string;
		'aria-live'?: 'polite';
	} = $props();
</script>

<div
	class={[
		'relative min-w-0 border-r-[1.5px] border-board-ink pt-6 pr-8 pl-18 max-phone:pl-12 side:flex side:items-center side:gap-8 side:pt-0',
		hides
	]}
	data-reading={reading}
	{...rest}
>
	<p class="overflow-hidden text-note leading-15 font-[620] text-ellipsis whitespace-nowrap text-board-ink2">{name}</p>
	<p
		class={[
			'v leading-36 font-heavy whitespace-nowrap font-stretch-[90%] max-phone:leading-28',
			chars <= 9 && 'max-phone:text-call',
			value ? 'text-tally' : 'text-title',
			chars > 16 ? 'max-phone:text-note' : chars > 12 ? 'max-phone:text-read' : chars > 9 && 'max-phone:text-act',
			chars > 16 && 'max-fold:text-size'
		]}
	>
		{#if was}<s class="mr-5 text-[0.7em] font-plain [text-decoration-thickness:2px]"
				><span class="sr-only">{`${w.board.was} `}</span><Frac text={was} /><span class="sr-only">{`, ${w.board.now} `}</span></s
			>{/if}
		{#if value}{@render value()}{:else}{w.notSet}{/if}
	</p>
	<p
		class="d overflow-hidden text-label leading-15 font-label text-ellipsis whitespace-nowrap text-board-ink2 side:hidden short:hidden"
	>
		{note}&nbsp;
	</p>
	{@render more?.()}
</div>
