<script lang="ts">
	/** The day on one page: what was ordered, placed, left; every word of it; a recorded day to play. */
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { pourWords } from '../../words/pour';
	import CauseRows from './CauseRows.svelte';
	import type { PourData } from './pour.svelte';
	let { data }: { data: PourData } = $props();
	const words = pourWords.notes;
	const after = $derived(data.told?.after ?? null);
	let sure = $state(false);
	const days = $derived(data.state?.days ?? []);
	const under = $derived(
		after?.trucks
			? [
					words.trucks(after.trucks, after.first_text, after.last_text),
					after.left_over_text ? words.over(after.left_over_text) : '',
					after.charge_text ? words.charge(after.charge_text) : '',
					after.weather
				]
					.filter(Boolean)
					.join(', ')
			: after?.weather
	);
</script>

{#if after}
	<Verdict text={words.verdict(after.placed_text, after.ordered_text)} under={under ?? ''} is={after.done ? 'good' : 'plain'} />
	{#if after.people.length}<p class="mt-6 text-read"><b>{words.people}</b> {after.people.join(', ')}</p>{/if}
	<h2 class="panel-head">{words.order}</h2>
	<CauseRows {data} />
	<h2 class="panel-head">{words.day}</h2>
	{#if !after.rows.length}<p>{words.none}</p>{/if}
	<ol>
		{#each after.rows as row (row.record + row.kind)}
			<li class="grid grid-cols-[64px_minmax(0,1fr)_auto] items-center gap-8 border-b border-hair py-6" data-word={row.kind}>
				<b>{row.at_text}</b><span><Frac text={row.words} /></span><span class="text-note">{row.by}</span>
			</li>
		{/each}
	</ol>
{/if}
{#if after?.rows.length && !data.live}
	<div class="mt-12 flex flex-wrap items-center gap-10">
		{#if sure}<Act kind="main" onclick={() => ((sure = false), void data.strikeAll())}
				>{words.strikeAll(after.records.length)}</Act
			>
			<Act kind="quiet" onclick={() => (sure = false)}>{pourWords.back}</Act>
		{:else}<Act kind="quiet" onclick={() => (sure = true)}>{words.takeBack}</Act>{/if}
		<span class="min-w-0 flex-1 text-note">{words.takeBackHow}</span>
	</div>
{/if}
{#if days.length}
	<h2 class="panel-head">{words.play}</h2>
	<p class="text-note">{words.playHow}</p>
	<div class="mt-8 flex flex-wrap items-center gap-8">
		{#if data.playing}<Act kind="main" onclick={() => data.stop()}>{words.stop}</Act><span data-playing
				>{words.playing(data.playing.at, data.playing.of)}</span
			>
		{:else}{#each days as one (one.key)}<Act onclick={() => void data.play(one.key)}>{one.title}</Act>{/each}{/if}
	</div>
{/if}
