<script lang="ts">
	/** Shots on the finished slab: how far over or under what is drawn, gaps under a straightedge, what is ground or filled. */
	import { note, restored } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { cureWords } from '../../words/cure';
	import type { CureData } from './cure.svelte';
	let { data }: { data: CureData } = $props();
	const words = cureWords.work;
	const levels = $derived(data.told?.levels ?? null);
	// svelte-ignore state_referenced_locally (one store for the life of this part)
	const key = `${data.store.id}/level`;
	let typed = $state(restored<string>(key) ?? '');
	let asks = $state(false);
	$effect(() => note(key, typed));
	async function keep(over: boolean) {
		if (!data.spot) return void (asks = true);
		asks = false;
		const text = typed.trim() || '0';
		const size = /["'′″]|mm|in|cm/.test(text) ? text : data.store.units === 'mm' ? `${text} mm` : `${text}"`;
		if (await data.say('level_shot', { spot: data.spot, off_mm: over ? size : `-${size}` })) [typed, data.spot] = ['', null];
	}
	const told = $derived(
		levels?.worst_text ? [words.worst(levels.worst_text), words.nine(levels.nine_text), words.flat(levels.flat)].join(', ') : ''
	);
</script>

<h2 class="panel-head">{words.levels}</h2>
<p class="text-note">{words.levelsHow}</p>
{#if told}<p class="mt-6 text-read font-heavy" data-flat={levels?.flat}><Frac text={told} /></p>
	<p class="text-note text-ink2"><Frac text={levels?.flat_rule ?? ''} /></p>{/if}
{#if levels?.mend_text}<p class="text-read font-heavy text-flag" data-mend>
		{words.mend(levels.mend_text, levels.cost_text)}
	</p>{/if}
<div class="mt-8 flex flex-wrap items-end gap-8">
	<label class="text-note"
		>{words.level[data.store.units]}<input
			class="block w-160 border-2 border-ink bg-well px-8 py-8 text-body"
			bind:value={typed}
			aria-invalid={data.wrongAt.endsWith('off_mm')}
		/></label
	>
	<Act class="min-h-48" onclick={() => void keep(true)}>{words.over}</Act>
	<Act class="min-h-48" onclick={() => void keep(false)}>{words.under2}</Act>
	{#if asks && !data.spot}<p class="wrong" role="alert">{words.tapFirst}</p>{/if}
</div>
{#if !levels?.spots.length}<p class="mt-6 text-note">{words.none}</p>{/if}
<ul class="mt-6 flex flex-wrap gap-6">
	{#each levels?.spots ?? [] as one, i (one.record)}
		<li>
			<Act
				kind="quiet"
				aria-label="{cureWords.takeBack}, {i + 1}"
				onclick={() => void data.strike(one.record)}
				data-shot={one.mend || 'fine'}><Frac text="{i + 1} {words.spot(one.text, one.over)} ×" /></Act
			>
		</li>
	{/each}
</ul>
