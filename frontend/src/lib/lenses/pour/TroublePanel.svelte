<script lang="ts">
	/** Trouble: a short plan of acts for each kind, the first in the largest type; where the pour may stop. */
	import PhotoStrip from '../../photos/PhotoStrip.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { pourWords } from '../../words/pour';
	import type { PourData } from './pour.svelte';
	let { data }: { data: PourData } = $props();
	const words = pourWords.trouble;
	const rows = $derived(data.told?.trouble ?? []);
	const held = $derived(rows.find((row) => row.key === data.trouble) ?? rows.find((row) => row.since_text) ?? null);
	const stops = $derived(data.told?.stops ?? []);
	let minutes = $state('');
	let own = $state('');
	async function write(over: boolean) {
		if (!held) return;
		const late = held.key === 'late' || held.key === 'plant';
		const ok = await data.say('incident', {
			what: held.key,
			over,
			words: own.trim(),
			...(late && minutes.trim() ? { minutes: Number(minutes.replace(',', '.')) } : {})
		});
		if (ok) [minutes, own] = ['', ''];
		if (ok && over) data.trouble = '';
	}
</script>

{#if !held}
	<Verdict text={words.verdict} under={words.verdictUnder} />
{:else}
	<section aria-label={held.name} data-trouble={held.key}>
		<p class="mt-6 text-note">{held.name}{held.since_text ? `, ${words.since(held.since_text)}` : ''}</p>
		<h2 class={['text-[42px] leading-[1.04] font-black font-stretch-[90%] max-phone:text-title', held.since_text && 'text-flag']}>
			{held.acts[0]}
		</h2>
		<ol class="mt-6">
			{#each held.acts.slice(1) as one, i (one)}<li class="border-b border-hair py-6 text-key"><b>{i + 2}</b> {one}</li>{/each}
		</ol>
		{#if held.caution}<p class="mt-6 text-read font-heavy">{held.caution}</p>{/if}
		<p class="text-note">{words.decides(held.decides)}</p>
		{#if held.words}<p class="text-read">{held.words}{held.by ? `, ${held.by}` : ''}</p>{/if}
		<div class="mt-8 flex flex-wrap items-end gap-8">
			{#if held.key === 'late' || held.key === 'plant'}<label class="text-note"
					>{words.minutes}<input
						class="block w-120 border-2 border-ink bg-well px-8 py-8 text-body"
						bind:value={minutes}
						inputmode="decimal"
					/></label
				>{/if}
			<label class="min-w-180 flex-1 text-note"
				>{words.words}<input
					class="w-full border-2 border-ink bg-well px-8 py-8 text-body"
					maxlength="400"
					bind:value={own}
				/></label
			>
			<Act kind="main" onclick={() => void write(false)}>{words.write}</Act>
			{#if held.since_text}<Act onclick={() => void write(true)}>{words.over}</Act>{/if}
			<Act kind="quiet" onclick={() => (data.trouble = held?.since_text ? 'none' : '')}>{words.back}</Act>
		</div>
		<PhotoStrip store={data.store} of="pour/trouble/{held.key}" title={held.name} />
	</section>
{/if}
<ul class="mt-12 grid grid-cols-3 gap-8 max-phone:grid-cols-2">
	{#each rows as row (row.key)}
		<li>
			<Act
				class="min-h-60 w-full"
				on={held?.key === row.key}
				aria-pressed={held?.key === row.key}
				onclick={() => (data.trouble = row.key)}
				>{row.name}{#if row.since_text}<span class="ml-6 text-note">{words.since(row.since_text)}</span>{/if}</Act
			>
		</li>
	{/each}
</ul>
{#if stops.length}
	<h2 class="panel-head">{words.stopHere}</h2>
	<p class="text-note">{words.stopHow}</p>
	<ol>
		{#each stops as one, i (one.name)}
			<li class="border-b border-hair py-8" data-stop-row={i + 1}>
				<b class="text-key">{i + 1} {one.name}</b>{#if one.drawn}<span class="label ml-8">{words.drawn}</span>{/if}
				<span class="block text-note"
					><Frac
						text="{words.stop(one.dowels, one.length_text)}; {words.toIt(one.to_it_text)}, {words.tomorrow(one.rest_text)}"
					/></span
				>
			</li>
		{/each}
	</ol>
{/if}
