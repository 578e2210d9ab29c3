<script lang="ts">
	/** One rule: what it says, where from, what the county says instead, its calculator and its table. */
	import type { RuleRow } from '../api/schema';
	import Frac from '../ui/Frac.svelte';
	import Table from '../ui/Table.svelte';
	import { rules as ruleWords } from '../words/rules';
	import type { RuleStore } from './rules.svelte';
	import RuleLimit from './RuleLimit.svelte';
	import RuleTry from './RuleTry.svelte';
	let { store, rule }: { store: RuleStore; rule: RuleRow } = $props();
	const [heads = [], ...rows] = $derived(rule.table);
</script>

<article class="grid max-w-[900px] gap-16 px-24 py-20 max-[600px]:px-16">
	<div>
		<h2 class="text-verdict! leading-[1.06]! font-[840]!">{rule.title}</h2>
		<p class="mt-4 text-key">{rule.what}</p>
	</div>
	<p class="border-y-2 border-ink bg-well px-16 py-12 text-act font-[680]" data-formula>
		<Frac text={rule.formula} />
	</p>
	<p class="text-body">
		<span class="boxed">{ruleWords.standing[rule.standing as 'standard'] ?? rule.standing}</span>
		{#if rule.edition}<span class="boxed">{rule.edition}</span>{/if}
		{rule.source_words}
	</p>
	{#each rule.limits as limit (limit.key)}<RuleLimit {store} {limit} />{/each}
	{#if rule.asks.length}<RuleTry {store} {rule} />{/if}
	{#if rows.length}
		<div class="overflow-x-auto">
			<h3>{ruleWords.table}</h3>
			<Table class="mt-4" {heads}
				>{#each rows as row}<tr
						>{#each row as cell, i}{#if i}<td><Frac text={cell} /></td>{:else}<th scope="row"><Frac text={cell} /></th
								>{/if}{/each}</tr
					>{/each}</Table
			>
		</div>
	{/if}
	{#if rule.standing === 'standard'}<p class="label">{ruleWords.caution}</p>{/if}
</article>
