<script lang="ts">
	/** Hours of each task against the quote; what was left in the drum and on site. */
	import { untrack } from 'svelte';
	import { note, restored } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import { afterWords } from '../../words/after';
	import type { AfterData } from './after.svelte';
	let { data }: { data: AfterData } = $props();
	const words = afterWords.lessons;
	const rows = $derived(data.told?.hours ?? []);
	const key = untrack(() => `${data.store.id}/hours`);
	let typed = $state<Record<string, string>>(restored<Record<string, string>>(key) ?? {});
	$effect(() => note(key, typed));
	let wrong = $state('');
	async function keep(task: string) {
		const hours = Number((typed[task] ?? '').trim().replace(',', '.'));
		if (!(hours > 0)) return void (wrong = task);
		wrong = '';
		if (await data.say('hours', { task, worked_h: hours })) typed[task] = '';
	}
</script>

<ul>
	{#each rows as one (one.task)}
		<li
			class="grid min-h-52 grid-cols-[minmax(0,1fr)_90px_auto] items-center gap-8 border-b border-hair py-4"
			data-hours={one.task}
		>
			<span
				><b class="block text-read">{one.name}</b><span class="text-note"
					>{words.quoted(one.quoted_text)}{#if one.took_text}, <b>{words.took(one.took_text)}</b>{/if}</span
				></span
			>
			{#if one.records.length}<span></span><Act
					kind="quiet"
					aria-label="{afterWords.takeBack}, {one.name}"
					onclick={() => void data.strike(one.records.at(-1) ?? '')}>{afterWords.takeBack}</Act
				>
			{:else}<input
					class="block min-h-48 w-full border-2 border-ink bg-well px-8 text-body"
					inputmode="decimal"
					aria-label={words.hoursOf(one.name)}
					aria-invalid={wrong === one.task}
					bind:value={() => typed[one.task] ?? '', (now) => (typed[one.task] = now)}
					onkeydown={(event) => event.key === 'Enter' && void keep(one.task)}
				/><Act class="min-h-48" aria-label="{words.keep}, {one.name}" onclick={() => void keep(one.task)}>{words.keep}</Act>{/if}
			{#if wrong === one.task}<p class="wrong col-span-full" role="alert">{words.hoursWrong}</p>{/if}
		</li>
	{/each}
</ul>
