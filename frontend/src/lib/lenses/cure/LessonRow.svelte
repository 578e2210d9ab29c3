<script lang="ts">
	/** One lesson: old, this job, new under each other on one tape; taken or left by a press, undone by another. */
	import type { LessonNow } from '../../api/schema';
	import Act from '../../ui/Act.svelte';
	import { afterWords } from '../../words/after';
	import type { AfterData } from './after.svelte';
	import SpreadLine from './SpreadLine.svelte';
	import { ownTape } from './spread';
	/** tape: shared by all of its group; its own where there is none. reason: as typed for it */
	let {
		data,
		one,
		tape,
		ticks = [],
		reason
	}: {
		data: AfterData;
		one: LessonNow;
		tape: ((value: number) => number) | null;
		ticks?: number[];
		reason: string;
	} = $props();
	const words = afterWords.lessons;
	let wide = $state(300);
	const x = $derived(tape ?? ownTape(one, wide));
	const held = $derived(data.lesson === one.key);
	const says = $derived(
		words.says(
			one.name,
			words.spread(one.old.text, one.old.sd_text, one.unit),
			one.seen ? words.spread(one.seen.text, one.seen.sd_text, one.unit) : words.nothingSaid,
			one.new ? words.spread(one.new.text, one.new.sd_text, one.unit) : words.nothingSaid
		)
	);
</script>

<li
	class={[
		'grid min-h-60 grid-cols-[30px_minmax(110px,150px)_minmax(0,1fr)_64px_70px_134px] items-center gap-x-8 border-b border-hair px-4',
		'max-phone:grid-cols-[30px_minmax(0,1fr)_auto] max-phone:py-6',
		held && 'bg-well outline-2 outline-ink'
	]}
	data-lesson={one.key}
	data-lesson-state={one.state}
>
	<button
		type="button"
		class="col-span-2 flex min-h-44 items-center gap-8 text-left"
		aria-expanded={held}
		onclick={() => (data.lesson = held ? '' : one.key)}
	>
		<b
			class="flex size-26 flex-none items-center justify-center rounded-full border-[1.8px] border-ink bg-sheet text-note leading-none"
			aria-hidden="true">{one.letter}</b
		>
		<b class="text-read leading-tight">{one.name}</b>
	</button>
	<div class="min-w-0 max-phone:order-5 max-phone:col-span-3" bind:clientWidth={wide}>
		{#if one.state === 'nothing'}<p class="text-note leading-tight text-ink2">{one.why}</p>
		{:else}<svg width={wide} height="56" class="block" role="img" aria-label={says}>
				{#each ticks as tick (tick)}<path d="M{x(tick)} 0V56" class="stroke-line stroke-[1px] [stroke-dasharray:2_3]" />{/each}
				<SpreadLine {x} y={10} of={one.old} is="old" />
				{#if one.seen}<SpreadLine {x} y={28} of={one.seen} is="seen" />{/if}
				{#if one.new}<SpreadLine {x} y={46} of={one.new} is="new" />{/if}
			</svg>{/if}
	</div>
	<span class="text-note leading-tight text-ink2 max-phone:order-4 max-phone:col-span-2"
		><span class="hidden max-phone:inline">{words.heads.old}</span>
		{one.old.text}
		<span class="block max-phone:inline">± {one.old.sd_text}</span></span
	>
	<span class="leading-tight max-phone:order-4 max-phone:text-right"
		>{#if one.new}<b class={['text-read', one.state === 'taken' && 'border-b-3 border-l-3 border-chalk pl-3']}>{one.new.text}</b>
			<span class="block text-note max-phone:inline">± {one.new.sd_text}</span>{/if}</span
	>
	<span class="flex items-center justify-end gap-6 max-phone:order-3">
		{#if one.state === 'open' && data.mayTake}
			<Act
				class="min-h-48 min-w-56"
				kind={one.worth ? 'main' : 'plain'}
				disabled={data.busy}
				aria-label="{words.take}, {one.name}"
				onclick={() => void data.take(one.key, true, reason)}>{words.take}</Act
			><Act
				class="min-h-48 min-w-48"
				disabled={data.busy}
				aria-label="{words.no}, {one.name}"
				onclick={() => void data.take(one.key, false, reason)}>{words.no}</Act
			>
		{:else if one.state === 'taken' || one.state === 'left'}
			<span class={['text-note', one.state === 'taken' ? 'font-heavy text-chalk' : 'text-ink2']}
				>{one.state === 'taken' ? words.taken : words.left}</span
			>{#if data.mayTake}<Act
					kind="quiet"
					disabled={data.busy}
					aria-label="{words.undo}, {one.name}"
					onclick={() => void data.undo(one.key)}>{words.undo}</Act
				>{/if}
		{/if}
	</span>
	{#if held}
		<p class="order-6 col-span-full pb-8 text-note">
			{one.why}
			{#if one.odd && one.state === 'open'}<b class="text-flag">{words.odd}</b>{/if}
			{#if one.reason}<span class="font-pencil text-pencil"
					>{words.because(one.letter)} {one.reason}{one.by ? `, ${one.by}` : ''}</span
				>{/if}
		</p>
	{/if}
</li>
