<script lang="ts">
	/** Cylinders that were broken, against what the curve said; each narrows every range. */
	import { untrack } from 'svelte';
	import { note, restored } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { cureWords } from '../../words/cure';
	import type { CureData } from './cure.svelte';
	let { data }: { data: CureData } = $props();
	const words = cureWords.strength;
	const told = $derived(data.told);
	const key = untrack(() => `${data.store.id}/cylinder`);
	const before = restored<{ number: string; broke: string }>(key);
	let number = $state(before?.number ?? '');
	let broke = $state(before?.broke ?? '');
	$effect(() => note(key, { number, broke }));
	let kept = $state<'lab' | 'site'>('lab');
	async function enter() {
		const text = broke.trim();
		const mpa = /^[\d.,]+$/.test(text) && data.store.units === 'ft-in' ? `${text.replaceAll(',', '')} psi` : text;
		const more = kept === 'site' && data.held ? { zone: data.held.zone } : {};
		if (await data.say('cylinder', { number: number.trim(), mpa, kept, ...more })) [number, broke] = ['', ''];
	}
</script>

<h2 class="panel-head">{words.cylinders}</h2>
{#if told?.reached_text}<p class="text-read font-heavy" data-reached>{told.reached_text}</p>{/if}
{#if !told?.cylinders.length}<p class="text-read">{words.cylinderNone}</p>{/if}
<ul>
	{#each told?.cylinders ?? [] as one (one.record)}
		<li class="flex min-h-48 flex-wrap items-center gap-x-14 border-b border-hair" data-cylinder={one.number}>
			<b class="text-key">{one.number}</b><b><Frac text={one.text} /></b>
			<span class="flex-1 text-note"><Frac text={words.against(one.curve_text)} />, {one.kept}, {one.when_text}</span>
			<Act kind="quiet" aria-label="{cureWords.takeBack}, {one.number}" onclick={() => void data.strike(one.record)}
				>{cureWords.takeBack}</Act
			>
		</li>
	{/each}
</ul>
<form class="mt-8 flex flex-wrap items-end gap-8" onsubmit={(event) => (event.preventDefault(), void enter())}>
	<label class="text-note"
		>{words.number}<input
			class="block w-120 border-2 border-ink bg-well px-8 py-8 text-body"
			bind:value={number}
			maxlength="40"
		/></label
	>
	<label class="text-note"
		>{words.broke[data.store.units]}<input
			class="block w-160 border-2 border-ink bg-well px-8 py-8 text-body"
			bind:value={broke}
			inputmode="decimal"
			aria-invalid={data.wrongAt.endsWith('mpa')}
		/></label
	>
	<Choice
		name={words.cylinders}
		rows={[
			{ value: 'lab', label: words.bath },
			{ value: 'site', label: words.site }
		] as const}
		value={kept}
		pick={(now) => now && (kept = now)}
	/>
	<Act type="submit" class="min-h-48" disabled={!number.trim() || !broke.trim()}>{words.enter}</Act>
</form>
