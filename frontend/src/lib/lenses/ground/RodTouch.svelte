<script lang="ts">
	/** A rod read with a glove on: inch, then eighth. Where shots are kept, the second press keeps it; each eighth says before
	 * it is pressed what it would mean. */
	import type { RodAnswer } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import RodMark from '../../ui/RodMark.svelte';
	import { ground as groundWords } from '../../words/ground';
	import { w } from '../../words/words';
	import type { LaserLink } from './laser.svelte';
	import type { Reading } from './reading.svelte';
	import { partsOf, saidOf, totalOf } from './rod_keys';
	import { EIGHTHS, inchOf, marksOf, spanOf } from './two_press';
	import VerdictBand from './VerdictBand.svelte';
	type Said = NonNullable<RodAnswer['said']>;
	interface Props {
		box: Reading;
		reads: 'sixteenths' | 'tenths' | 'mm';
		laser: LaserLink;
		shoot?: (() => void) | null;
		/** keeps what is read; without it a reading is only answered */
		keep?: (() => Promise<void>) | null;
		/** the last that was kept, and what can be done about it */
		last?: Said | null;
		again?: ((typed: string) => Promise<void>) | null;
		undo?: (() => void) | null;
	}
	let { box, reads, laser, shoot = null, keep = null, last = null, again = null, undo = null }: Props = $props();
	let inch = $state<number | null>(null);
	let foot = $state<number | null>(null);
	let feetAsked = $state(false);
	const should = $derived(box.shouldMm === null ? null : inchOf(box.shouldMm));
	const feet = $derived(foot ?? should?.feet ?? 4);
	const marks = $derived(inch === null ? [] : marksOf(feet, inch, box.insideMm));
	const span = $derived(spanOf(marks));
	const asked = $derived(box.answer?.jump ?? '');
	const sixteenths = $derived(reads === 'sixteenths');
	async function press(eighth: number) {
		if (inch === null) return;
		box.type(saidOf({ feet, inches: inch, sixteenths: eighth * 2 }));
		await box.check();
		inch = null;
		if (keep && box.answer && !box.answer.jump) await keep();
	}
	function digit(key: string) {
		const was = box.mm === null ? box.typed.replace(/ ?(mm|ft|')$/, '') : '';
		box.type(was + key + (reads === 'tenths' && key !== '.' ? "'" : ''));
	}
	/** A sixteenth more or less than what was read last. */
	function nudge(by: number) {
		const from = box.answer ?? last;
		if (!from) return;
		const typed = saidOf(partsOf(totalOf(partsOf((from.reading_mm / 25.4) * 16)) + by));
		if (box.answer || !again) box.type(typed);
		else void again(typed);
	}
	function inchPressed(n: number) {
		if (feetAsked) {
			[foot, feetAsked] = [n, false];
			return;
		}
		if (!box.answer?.jump) box.clear();
		else box.type('');
		inch = n;
	}
	const KEY =
		'min-h-50 border-2 border-ink text-call font-heavy font-stretch-[92%] active:bg-ink active:text-sheet side:min-h-44';
	const SMALL = 'min-h-46 min-w-58 border-2 border-ink bg-well px-8 font-heavy active:bg-ink active:text-sheet';
</script>

{#snippet fixes()}
	<span class="ml-auto flex flex-none gap-5">
		{#if sixteenths}
			<button type="button" class={SMALL} aria-label={groundWords.lessSixteenth} onclick={() => nudge(-1)}
				>−<Frac text="1/16" /></button
			>
			<button type="button" class={SMALL} aria-label={groundWords.moreSixteenth} onclick={() => nudge(1)}
				>+<Frac text="1/16" /></button
			>
		{/if}
		{#if undo && !box.answer}<button type="button" class={SMALL} onclick={undo}>{w.board.undo}</button>{/if}
	</span>
{/snippet}
<div class="rod -mx-14 border-y-2 border-ink side:border-0">
	<div
		class={[
			'verdict flex min-h-64 items-center gap-10 border-b-2 border-ink bg-well px-14 py-4',
			'side:fixed side:bottom-50 side:left-0 side:h-64 side:w-[40%]'
		]}
		aria-live="polite"
		data-verdict={box.answer?.verdict ?? (inch === null ? (last?.verdict ?? '') : '')}
	>
		{#if inch !== null}
			<b class="text-tally leading-[1.05] font-black whitespace-nowrap">{inch}″ …</b>
			<p class="text-read leading-[1.2] font-mid">
				{#if span.inside}<RodMark is="inside" /> <Frac text={groundWords.isInside(span.inside)} />.{/if}
				{#if span.less}<RodMark is="high" /> {groundWords.lessIs}.{/if}
				{#if span.more}<RodMark is="low" /> {groundWords.moreIs}.{/if}
			</p>
			<button type="button" class="{SMALL} ml-auto flex-none" onclick={() => (inch = null)}>{groundWords.notInch(inch)}</button>
		{:else if asked}
			<p class="wrong text-key" role="alert"><Frac text={asked} /></p>
			{#if keep}<button type="button" class="{SMALL} ml-auto flex-none" onclick={() => void keep?.()}>{groundWords.keepSo}</button
				>{/if}
		{:else if box.answer}
			<VerdictBand said={box.answer} brief />
			{@render fixes()}
		{:else if last}
			<VerdictBand said={last}>
				{#snippet tail()}<span class="font-label">{groundWords.keptAt} <Frac text={last.reading_text} /></span>{/snippet}
			</VerdictBand>
			{@render fixes()}
		{:else}<p class="text-read text-ink2">{box.wrong || groundWords.nothingRead}</p>{/if}
	</div>
	{#if box.wrong && (box.answer || inch !== null || last)}<p class="wrong px-14" role="alert">{box.wrong}</p>{/if}
	<div class="flex items-end gap-16 px-14 pt-4">
		<div class="min-w-110">
			<p class="label">{groundWords.should}</p>
			<p class="should h-32 text-call leading-28 font-heavy whitespace-nowrap font-stretch-[90%] [&_button]:-mt-8">
				{#if box.working}<Num working={box.working} text={box.should} />{/if}
			</p>
		</div>
		<label class="min-w-0 flex-1"
			><span class="label">{groundWords.read}</span><input
				id="rod-reading"
				class={[
					'pen -mt-18 block h-52 w-full border-b-2 border-dashed border-pencil bg-transparent bg-none pt-18 text-call leading-28',
					'font-label placeholder:font-sans placeholder:text-body placeholder:text-ink2 focus:bg-well'
				]}
				inputmode="none"
				autocomplete="off"
				placeholder={sixteenths ? groundWords.inchThenEighth : groundWords.readHint[reads]}
				value={inch === null ? box.typed : `${feet}' ${inch} …`}
				aria-invalid={box.wrong !== ''}
				oninput={(e) => box.type(e.currentTarget.value)}
				onkeydown={(e) => e.key === 'Enter' && keep && box.answer && void keep()}
			/></label
		>
		{#if sixteenths}<button
				type="button"
				class={[SMALL, 'flex-none', feetAsked && 'bg-ink text-sheet']}
				aria-pressed={feetAsked}
				onclick={() => (feetAsked = !feetAsked)}>{feetAsked ? groundWords.whichFoot : `${groundWords.feet} ${feet}`}</button
			>{/if}
	</div>
	{#if sixteenths}
		<div class="grid grid-cols-6 gap-5 px-14 py-6" role="group" aria-label={feetAsked ? groundWords.feet : groundWords.inches}>
			{#each Array.from({ length: 12 }, (_, i) => i) as n}
				{@const on = feetAsked ? feet === n : inch === n}
				<button
					class={[KEY, on ? 'bg-ink text-sheet' : 'bg-well', 'relative']}
					type="button"
					class:on
					aria-pressed={on}
					onclick={() => inchPressed(n)}
					>{n}{#if !feetAsked && should?.inches === n && should.feet === feet && !on}<i
							class="absolute inset-x-10 bottom-4 h-4 bg-chalk"
						></i>{/if}</button
				>
			{/each}
		</div>
		<div class="grid grid-cols-8 px-14 pb-8" role="group" aria-label={groundWords.eighths}>
			{#each EIGHTHS as name, n}
				<button
					type="button"
					class={[
						'relative -ml-2 flex min-h-64 flex-col items-center justify-end border-2 border-ink bg-well pb-4 text-ask',
						'font-heavy active:bg-ink active:text-sheet disabled:text-ink2 side:min-h-48'
					]}
					disabled={inch === null}
					aria-label={groundWords.eighthSays(name, marks[n] ?? '')}
					onclick={() => void press(n)}
				>
					<i class="absolute top-0 w-3 bg-current" style:height="{n === 0 ? 16 : n === 4 ? 13 : n % 2 ? 6 : 9}px"></i>
					{#if marks[n]}<RodMark is={marks[n]} />{/if}
					<span aria-hidden="true"><Frac text={name} /></span>
				</button>
			{/each}
		</div>
	{:else}
		<div class="grid grid-cols-3 gap-5 px-14 py-6">
			{#each ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0'] as key}
				<button class="{KEY} bg-well" type="button" disabled={key === '.' && reads === 'mm'} onclick={() => digit(key)}
					>{key}</button
				>
			{/each}
			<button class="{KEY} bg-well" type="button" onclick={() => box.clear()}>{groundWords.clear}</button>
			{#if keep}<button class={[KEY, 'act main col-span-full']} type="button" disabled={!box.answer} onclick={() => void keep?.()}
					>{groundWords.keepShot}</button
				>{/if}
		</div>
	{/if}
	{#if laser.on && shoot}<p class="px-14 pb-8">
			<button type="button" class="act w-full" onclick={shoot}>{groundWords.shootHere}</button>
		</p>{/if}
	{#if laser.words}<p class="wrong px-14" role="alert">{laser.words}</p>{/if}
</div>
