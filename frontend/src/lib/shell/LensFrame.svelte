<script lang="ts" generics="T extends string">
	/** A lens: the sheet, and the bench with its question, its tabs, what the tab holds, and the working slip at its foot. */
	import type { Snippet } from 'svelte';
	import FinderSoon from '../finder/FinderSoon.svelte';
	import { finder } from '../finder/finder.svelte';
	import { questionOf, rowsOf } from '../lenses/lens';
	import type { Turn } from '../lenses/turn.svelte';
	import { w } from '../words/words';
	import Turns from '../ui/Turns.svelte';
	import MoreBelow from '../ui/MoreBelow.svelte';
	import Later from '../ui/Later.svelte';
	import { workingSlip } from '../state/working_slip.svelte';
	import { finderPanel, workings } from './parts';
	/** ready: there is something to show; else `empty` stands there. name: what its tabs are called */
	let {
		turn,
		name = '',
		ready,
		sheet,
		empty,
		foot,
		children
	}: {
		turn: Turn<T>;
		name?: string;
		ready: boolean;
		sheet: Snippet;
		empty: Snippet;
		foot?: Snippet;
		children: Snippet;
	} = $props();
	let bench: HTMLElement | undefined = $state();
	const question = $derived(!ready && turn.lens.id === 'lines' ? w.ask.start : questionOf(turn.lens, turn.tab));
</script>

{@render sheet()}
<section
	id="bench"
	bind:this={bench}
	tabindex="-1"
	aria-label={question}
	class={[
		'bench flex min-w-0 flex-col overflow-auto border-l-3 border-ink bg-bench max-fold:overflow-visible max-fold:border-t-3',
		'max-fold:border-l-0 side:col-start-2 side:row-span-full side:overflow-auto side:border-t-0 side:border-l-3',
		'print:overflow-visible print:border-0 print:bg-white'
	]}
>
	{#if finder.open}<div class="flex min-h-0 flex-1 flex-col px-20 pt-6 max-phone:px-14">
			<Later load={finderPanel}>{#snippet soon()}<FinderSoon />{/snippet}</Later>
		</div>{/if}
	<div class={['flex-none px-20 pt-14 pb-16 max-phone:px-14 max-phone:py-6 side:px-14 side:py-6', finder.open && 'hidden']}>
		<h1>{question}</h1>
		{#if !ready}
			{@render empty()}
		{:else if turn.lens.tabs.length > 1}
			<Turns rows={rowsOf(turn.lens)} here={turn.tab} turn={(key) => turn.to(key)} {name}>{@render children()}</Turns>
		{:else}
			{@render children()}
		{/if}
		{@render foot?.()}
	</div>
	{#if workingSlip.asked}<Later load={workings} />{/if}
	<MoreBelow of={bench} />
</section>
