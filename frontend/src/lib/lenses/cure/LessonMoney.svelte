<script lang="ts">
	/** What was left over, and money on this job against its quote. */
	import { untrack } from 'svelte';
	import { note, restored } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import { afterWords } from '../../words/after';
	import type { AfterData } from './after.svelte';
	let { data }: { data: AfterData } = $props();
	const words = afterWords.lessons;
	const told = $derived(data.told);
	const key = untrack(() => `${data.store.id}/left-over`);
	let typed = $state(restored<string>(key) ?? '');
	let where = $state<'drum' | 'site'>('drum');
	$effect(() => note(key, typed));
	const WHERE = [
		{ value: 'drum', label: words.drum },
		{ value: 'site', label: words.site }
	] as const;
	async function keep() {
		const text = typed.trim();
		const m3 = /[a-z³]/i.test(text) ? text : data.store.units === 'mm' ? `${text} m3` : `${text} yd`;
		if (await data.say('left_over', { m3, where })) typed = '';
	}
</script>

<h2 class="panel-head">{words.leftOver}</h2>
<ul>
	{#each told?.left ?? [] as [record, text] (record)}<li
			class="flex min-h-48 items-center justify-between gap-8 border-b border-hair"
		>
			<b class="text-read">{text}</b><Act
				kind="quiet"
				aria-label="{afterWords.takeBack}, {text}"
				onclick={() => void data.strike(record)}>{afterWords.takeBack}</Act
			>
		</li>{/each}
</ul>
<form class="mt-8 flex flex-wrap items-end gap-8" onsubmit={(event) => (event.preventDefault(), void keep())}>
	<label class="text-note"
		>{words.amount[data.store.units]}<input
			class="block min-h-48 w-160 border-2 border-ink bg-well px-8 text-body"
			bind:value={typed}
			autocomplete="off"
		/></label
	>
	<Choice name={words.leftOver} rows={WHERE} value={where} pick={(now) => now && (where = now)} />
	<Act type="submit" class="min-h-48" disabled={!typed.trim()}>{words.keep}</Act>
</form>
{#if told?.money.length}
	<h2 class="panel-head">{words.money}</h2>
	<table class="w-full text-read" aria-label={words.money}>
		<tbody>
			{#each told.money as row (row.key)}<tr class="border-b border-hair" data-money={row.key}>
					<th scope="row" class="py-6 text-left font-mid">{row.name}</th>
					<td class="text-right font-heavy">{row.text}</td>
					<td class="pl-12 text-right text-note">{row.known ? row.over_text : words.notKnown}</td>
				</tr>{/each}
		</tbody>
	</table>
	<p class="mt-4 text-key font-heavy" data-kept>{told.kept_text}</p>
{/if}
