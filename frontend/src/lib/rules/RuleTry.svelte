<script lang="ts">
	/** A small calculator: the rule's own values typed in, its working shown line by line. */
	import type { RuleRow } from '../api/schema';
	import Frac from '../ui/Frac.svelte';
	import { rules as ruleWords } from '../words/rules';
	import type { RuleStore } from './rules.svelte';
	import Act from '../ui/Act.svelte';
	let { store, rule }: { store: RuleStore; rule: RuleRow } = $props();
	let typed = $state<Record<string, string>>({});
	const value = (key: string) => typed[key] ?? rule.asks.find((ask) => ask.key === key)?.example ?? '';
	const values = () => Object.fromEntries(rule.asks.map((ask) => [ask.key, value(ask.key)]));
	let timer: ReturnType<typeof setTimeout> | undefined;
	const run = (wait = 0) => {
		clearTimeout(timer);
		timer = setTimeout(() => void store.try(rule.name, values()), wait);
	};
	$effect(() => {
		void rule.limits; // the county's word counts here too
		run();
		return () => clearTimeout(timer);
	});
	const wrong = (key: string) => (store.problem?.at === key ? store.problem : null);
	const stray = $derived(
		store.problem &&
			!rule.asks.some((ask) => ask.key === store.problem?.at) &&
			!rule.limits.some((row) => row.key === store.problem?.at)
			? store.problem.words
			: ''
	);
</script>

<form
	class="border-t-2 border-ink pt-12"
	onsubmit={(event) => {
		event.preventDefault();
		run();
	}}
>
	<h3>{ruleWords.tryIt}</h3>
	<div class="mt-4 flex flex-wrap gap-x-20 gap-y-8">
		{#each rule.asks as ask (ask.key)}
			<div class="w-[190px] max-[600px]:w-full">
				<label class="label" for="try-{ask.key}">{ask.label}</label>
				<input
					id="try-{ask.key}"
					class="reading w-full"
					value={value(ask.key)}
					aria-invalid={wrong(ask.key) !== null}
					onfocus={(event) => event.currentTarget.select()}
					oninput={(event) => {
						typed[ask.key] = event.currentTarget.value;
						run(220);
					}}
				/>
				{#if wrong(ask.key)}
					<p class="wrong" role="alert">
						{wrong(ask.key)?.words}
						{#each wrong(ask.key)?.choices ?? [] as choice}<Act
								kind="quiet"
								onclick={() => {
									typed[ask.key] = choice.text;
									run();
								}}>{choice.label}</Act
							>{/each}
					</p>
				{/if}
			</div>
		{/each}
	</div>
	{#if stray}<p class="wrong mt-8" role="alert">{stray}</p>{/if}
	<ol class="mt-12 grid gap-8 bg-slip px-16 py-12 text-board-ink" aria-live="polite" hidden={!store.told.length}>
		{#each store.told as line}
			<li class="text-read">
				<b>{line.name}</b>{#if line.shown}&#32;=&#32;<Frac text={line.shown} />{/if}
				<b class="text-act font-[800]">= <Frac text={line.text} /></b>{#if line.note}<span class="block text-note"
						>{line.note}</span
					>{/if}
			</li>
		{/each}
	</ol>
</form>
