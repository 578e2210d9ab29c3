<script lang="ts">
	/** What the next quote learns: each middle as it was, as this job says, as it would be; hours, what was left, money. */
	import { untrack } from 'svelte';
	import { note, restored } from '../../state/remember.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { afterWords } from '../../words/after';
	import type { AfterData } from './after.svelte';
	import HoursRows from './HoursRows.svelte';
	import LessonRow from './LessonRow.svelte';
	import LessonMoney from './LessonMoney.svelte';
	import SpreadLine from './SpreadLine.svelte';
	import { tapeOf, ticksOf } from './spread';
	import WentTape from './WentTape.svelte';
	let { data }: { data: AfterData } = $props();
	const words = afterWords.lessons;
	const told = $derived(data.told);
	const of = (group: string) => data.lessons.filter((one) => one.group === group);
	const volume = $derived(of('volume'));
	const rates = $derived(of('rate'));
	let wide = $state(760);
	/** what the columns beside the tape take, as LessonRow lays them out */
	const tapeWide = $derived(wide < 620 ? wide - 8 : wide - 30 - 150 - 64 - 70 - 134 - 48);
	const tape = $derived(
		tapeOf(
			volume.filter((one) => one.state !== 'nothing'),
			Math.max(80, tapeWide)
		)
	);
	const ticks = $derived(ticksOf(tape.low, tape.high));
	const held = $derived(
		data.lessons.find((one) => one.key === data.lesson) ?? data.lessons.find((one) => one.state === 'open') ?? null
	);
	const key = untrack(() => `${data.store.id}/lesson-why`);
	let why = $state<Record<string, string>>(restored<Record<string, string>>(key) ?? {});
	$effect(() => note(key, why));
	const demo = (mean: number) => ({ mean, sd: 14, text: '', sd_text: '' });
	const same = (value: number) => value;
</script>

{#if told}
	<div bind:clientWidth={wide}>
		<Verdict text={told.verdict} under={told.under} />
		{#if data.wrong}<p class="wrong mt-6" role="alert">{data.wrong}</p>{/if}
		{#if !data.mayTake}<p class="mt-4 text-note">{words.ownerTakes}</p>{/if}
		<p class="mt-6 flex flex-wrap items-center gap-x-16 text-note" aria-hidden="true">
			<svg width="46" height="16"><SpreadLine x={same} y={8} of={demo(22)} is="old" /></svg>{words.heads.old}
			<svg width="46" height="16"><SpreadLine x={same} y={8} of={demo(22)} is="seen" /></svg>{words.heads.seen}
			<svg width="46" height="16"><SpreadLine x={same} y={8} of={demo(22)} is="new" /></svg><b>{words.heads.now}</b>
		</p>
		<ol class="mt-2 border-t-2 border-ink">
			{#each volume as one (one.key)}<LessonRow {data} {one} tape={tape.x} {ticks} reason={why[one.key] ?? ''} />{/each}
		</ol>
		{#if volume.some((one) => one.state !== 'nothing')}<svg
				width={Math.max(80, tapeWide)}
				height="20"
				class={['block', wide < 620 ? 'ml-4' : 'ml-200']}
				aria-hidden="true"
			>
				{#each ticks as tick, n (tick)}<text
						x={tape.x(tick)}
						y="14"
						text-anchor={n === ticks.length - 1 ? 'end' : 'middle'}
						class="fill-ink text-label">{tick}{n === ticks.length - 1 ? ` ${volume[0]?.unit}` : ''}</text
					>{/each}
			</svg>{/if}
		<ol class="border-t border-ink">
			{#each of('own') as one (one.key)}<LessonRow {data} {one} tape={null} reason={why[one.key] ?? ''} />{/each}
		</ol>
		{#if held && data.mayTake}<label class="mt-8 flex items-center gap-8 text-read"
				><b class="flex-none">{words.because(held.letter)}</b><input
					class="min-h-44 min-w-0 flex-1 border-b-2 border-dotted border-ink bg-transparent font-pencil text-body text-pencil"
					maxlength="400"
					aria-label="{words.because(held.letter)}: {words.becauseName(held.name)}"
					bind:value={() => why[held.key] ?? '', (now) => (why[held.key] = now)}
				/></label
			>{/if}
		<Fold name={words.hours} class="mt-8" aside={words.hoursHow} open={told.hours.some((one) => one.took_text)}>
			<HoursRows {data} />
			<ol class="border-t border-ink">
				{#each rates as one (one.key)}<LessonRow {data} {one} tape={null} reason={why[one.key] ?? ''} />{/each}
			</ol>
		</Fold>
		<div class="hidden max-phone:block"><WentTape {data} {wide} /></div>
		{#if told.next}<p class="mt-10 text-read" data-next-like-it>
				<b>{words.next}:</b>
				<Frac text={words.nextText(told.next.would_text, told.next.now_text, told.next.unit)} />, {told.next.over_text}
			</p>{/if}
		<LessonMoney {data} />
	</div>
{/if}
<FindingList findings={data.findings} />
