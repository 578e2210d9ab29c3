<script lang="ts">
	/** Tickets: three presses for the next truck; what came, its tests, its age, what is wrong with it and who decides. */
	import type { TruckNow } from '../../api/schema';
	import PhotoStrip from '../../photos/PhotoStrip.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { pourWords } from '../../words/pour';
	import type { PourData } from './pour.svelte';
	import TicketBack from './TicketBack.svelte';
	import TicketTests from './TicketTests.svelte';
	import TicketThree from './TicketThree.svelte';
	let { data }: { data: PourData } = $props();
	const words = pourWords.ticket;
	const waits = $derived(data.waitingLoads);
	const next = $derived(data.trucks.filter((one) => !one.said)[waits.length] ?? null);
	const here = $derived(data.trucks.filter((one) => one.here).toReversed());
	let open = $state('');
	let part = $state<'tests' | 'back' | 'correct' | ''>('');
	const turn = (load: string, to: typeof part) => ([open, part] = open === load && part === to ? ['', ''] : [load, to]);
	const bad = (one: TruckNow) => one.doubts.some((row) => row.send_back);
	const empty = (one: TruckNow) => data.say('ticket', { load: one.load, empty_at: data.at });
</script>

{#if next}<TicketThree {data} truck={next} />{/if}
{#each waits as one, i (i)}<p class="mt-8 border-l-6 border-ink bg-well px-10 py-6 text-read" data-waits>
		<b><Frac text={String(one['m3'])} /></b>, {words.waits(`${one['arrived_at'] ?? one['at']}`.slice(11, 16))}
	</p>{/each}
<h2 class="panel-head">{words.all}</h2>
{#if !here.length && !waits.length}<p>{words.none}</p>{/if}
<ul>
	{#each here as one (one.load)}
		<li class="border-b-2 border-ink py-8" data-load={one.n}>
			<p class="flex flex-wrap items-baseline gap-x-12">
				<b class="text-call font-black">{pourWords.truck(one.n)}</b>
				<b class="text-call font-heavy"><Frac text={one.text} /></b>
				<span class="text-read">{one.arrive_text}</span>
				<span class={['text-read', one.age_min > one.limit_min && 'font-heavy text-flag']}
					>{words.age(one.age_min, one.limit_min)}</span
				>
				{#if one.batch_guessed}<span class="label">{words.guessed}</span>{/if}
				{#if one.number}<span class="label">{one.number}</span>{/if}
			</p>
			{#if one.tests.length}<p class="text-read"><Frac text={one.tests.join(', ')} /></p>{/if}
			{#if one.struck.length}<p class="text-note"><s>{one.struck.join(', ')}</s></p>{/if}
			{#each one.doubts as row (row.code + row.words)}
				<div class="mt-4 border-l-6 border-flag bg-well px-10 py-6" role="status" data-doubt={row.code}>
					<p class="text-read font-heavy text-flag"><Frac text={row.words} /></p>
					<p class="text-note">
						<Frac text={row.remedy} />
						{words.decides(row.decides)} <span class="text-ink2">{row.rule}</span>
					</p>
				</div>
			{/each}
			<div class="mt-6 flex flex-wrap gap-8">
				{#if bad(one)}<Act kind="main" onclick={() => turn(one.load, 'back')}>{words.back}</Act>{/if}
				{#if !one.empty}<Act
						kind={bad(one) ? 'plain' : 'main'}
						aria-label="{words.empty}, {pourWords.truck(one.n)}"
						onclick={() => void empty(one)}>{words.empty}</Act
					>{/if}
				<Act aria-expanded={open === one.load && part === 'tests'} onclick={() => turn(one.load, 'tests')}>{words.tests}</Act>
				<Act kind="quiet" aria-expanded={open === one.load && part === 'correct'} onclick={() => turn(one.load, 'correct')}
					>{words.correct}</Act
				>
				{#if !bad(one)}<Act
						kind="quiet"
						aria-expanded={open === one.load && part === 'back'}
						onclick={() => turn(one.load, 'back')}>{words.back}</Act
					>{/if}
			</div>
			{#if open === one.load}
				{#if part === 'tests'}<TicketTests {data} load={one.load} done={() => (open = '')} />
				{:else if part === 'back'}<TicketBack {data} {one} done={() => (open = '')} />
				{:else if part === 'correct'}<TicketThree {data} truck={one} correct done={() => (open = '')} />{/if}
				<PhotoStrip store={data.store} of="pour/load/{one.load}" title="{pourWords.truck(one.n)}, {words.photo}" />
			{/if}
		</li>
	{/each}
</ul>
{#if data.told?.sent_back.length}
	<h2 class="panel-head">{words.sent}</h2>
	<ul>
		{#each data.told.sent_back as one (one.load)}
			<li class="flex min-h-48 flex-wrap items-center gap-10 border-b border-hair" data-sent-back>
				<b>{one.arrive_text}</b>
				<s><Frac text={one.text} /></s>
				<span class="flex-1">{one.why}</span>
				<Act
					kind="quiet"
					aria-label="{words.takenAfter}, {one.arrive_text}"
					onclick={() => void data.say('ticket', { load: one.load, sent_back: '' })}>{words.takenAfter}</Act
				>
			</li>
		{/each}
	</ul>
{/if}
