<script lang="ts">
	/** A limit: what its source says, and the county's word with who said so and when. */
	import type { LimitRow } from '../api/schema';
	import Frac from '../ui/Frac.svelte';
	import { remember } from '../state/remember.svelte';
	import { rules as ruleWords } from '../words/rules';
	import { w } from '../words/words';
	import type { RuleStore } from './rules.svelte';
	import Act from '../ui/Act.svelte';
	let { store, limit }: { store: RuleStore; limit: LimitRow } = $props();
	const today = new Date().toLocaleDateString('sv-SE');
	let typed = $state({ value: '', who: '', at: today });
	// svelte-ignore state_referenced_locally (one limit for the life of this row)
	remember(
		`rules/${limit.key}`,
		() => (typed.value || typed.who ? typed : null),
		(old) => old && (typed = old)
	);
	async function keep() {
		if (await store.keep(limit.key, typed.value, typed.who, typed.at)) typed = { value: '', who: '', at: today };
	}
</script>

<section class="border-t-2 border-ink pt-12" data-limit={limit.key}>
	<p class="text-key">
		<b>{limit.name}</b>
		{#if limit.here}<s class="text-ink2"><span class="sr-only">{`${w.board.was} `}</span><Frac text={limit.standard} /></s>
			<b class="text-ask"><Frac text={limit.here} /></b>
		{:else}<b class="text-ask"><Frac text={limit.standard} /></b>{/if}
	</p>
	{#if limit.here}
		<p>
			<span class="pen">{limit.who}, {limit.at}</span>
			<Act kind="quiet" onclick={() => void store.keep(limit.key, '', '', '')}>{ruleWords.forget}</Act>
		</p>
	{:else}<p class="label">{ruleWords.notAsked}</p>{/if}
	<div class="mt-4 flex flex-wrap items-end gap-x-16 gap-y-8">
		<label class="label w-[120px]"
			>{ruleWords.says}<input class="reading w-full" bind:value={typed.value} placeholder={limit.standard} /></label
		>
		<label class="label w-[220px]">{ruleWords.who}<input class="reading w-full" bind:value={typed.who} /></label>
		<label class="label w-[170px]">{ruleWords.when}<input class="reading w-full" type="date" bind:value={typed.at} /></label>
		<Act kind="quiet" disabled={!typed.value.trim()} onclick={() => void keep()}>{ruleWords.keep}</Act>
	</div>
	{#if store.problem?.at === limit.key}<p class="wrong" role="alert">{store.problem.words}</p>{/if}
</section>
