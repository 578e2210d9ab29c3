<script lang="ts">
	/** The rule book: find a rule, see where it comes from, try it, and write down what the county says otherwise. */
	import { page } from '$app/state';
	import { Tabs } from 'bits-ui';
	import { tick, untrack } from 'svelte';
	import Who from '../shell/Who.svelte';
	import { session } from '../state/session.svelte';
	import { rules as ruleWords } from '../words/rules';
	import { yardWords } from '../words/yard';
	import { RuleStore, toOpen, type Units } from './rules.svelte';
	import RuleSheet from './RuleSheet.svelte';
	import Choose from '../ui/Choose.svelte';
	import Choice from '../ui/Choice.svelte';
	import Act from '../ui/Act.svelte';
	const store = new RuleStore();
	let picked = $state('');
	async function openBook(asked: { get(name: string): string | null }) {
		if (!session.ways) await session.loadWays().catch(() => undefined);
		await store.load((asked.get('units') as Units | null) ?? session.ways?.reading.new_job_units ?? 'ft-in');
		pick(toOpen(store.rules ?? [], asked.get('rule'), asked.get('source')));
		await tick();
		document.querySelector('[data-state="active"][role="tab"]')?.scrollIntoView({ block: 'center' });
	}
	function pick(name: string) {
		picked = name;
		store.told = [];
		store.problem = null;
	}
	$effect(() => {
		const asked = page.url.searchParams;
		untrack(() => void openBook(asked));
	});
	const familyName = (family: string) => ruleWords.families[family as 'volume'] ?? family;
	const families = $derived([...new Set(store.shown.map((rule) => rule.name.split('/')[0] ?? ''))]);
	const open = $derived(store.shown.some((rule) => rule.name === picked) ? picked : (store.shown[0]?.name ?? ''));
	const counties = $derived(Object.keys(session.ways?.local_rules ?? {}).length);
</script>

<main class="flex h-dvh flex-col bg-bench max-[860px]:h-auto max-[860px]:min-h-dvh">
	<header class="flex flex-wrap items-center gap-x-20 gap-y-8 border-b-[3px] border-ink bg-ground px-20 py-12">
		<Act kind="quiet" onclick={() => history.back()}>‹ {ruleWords.back}</Act>
		<div class="min-w-[200px] flex-1">
			<h1 class="text-title leading-none font-[840]">{ruleWords.title}</h1>
			<p class="label">{ruleWords.lead(store.rules?.length ?? 0, counties)}</p>
		</div>
		<input
			class="well max-w-[300px]"
			type="search"
			aria-label={ruleWords.find}
			placeholder={ruleWords.find}
			bind:value={store.asked}
		/>
		<Choice
			rows={(['ft-in', 'mm'] as const).map((one) => ({ value: one, label: one === 'mm' ? ruleWords.mm : ruleWords.ft }))}
			value={store.units}
			pick={(one) => one && void store.load(one)}
			name={yardWords.units}
			class="flex"
		/>
		<Who />
	</header>
	{#if store.problem?.at === 'book'}<p class="wrong px-20 py-12" role="alert">{store.problem.words}</p>{/if}
	{#if store.rules}
		<div class="mx-16 mt-12 hidden max-[860px]:block">
			<Choose
				class="w-full font-[640]"
				name={ruleWords.title}
				rows={families.flatMap((family) =>
					store.shown
						.filter((rule) => rule.name.startsWith(`${family}/`))
						.map((rule) => ({ value: rule.name, label: rule.title, group: familyName(family) }))
				)}
				value={open}
				none={ruleWords.none(store.asked)}
				{pick}
			/>
		</div>
		<Tabs.Root
			orientation="vertical"
			value={open}
			onValueChange={pick}
			class="grid min-h-0 flex-1 grid-cols-[340px_minmax(0,1fr)] max-[860px]:block"
		>
			<Tabs.List class="overflow-auto border-r-[3px] border-ink bg-sheet max-[860px]:hidden" aria-label={ruleWords.title}>
				{#each families as family}
					<p class="sticky top-0 bg-sheet px-20 pt-12 pb-4 text-label font-[640] text-ink2">
						{familyName(family)}
					</p>
					{#each store.shown.filter((rule) => rule.name.startsWith(`${family}/`)) as rule}
						<Tabs.Trigger
							value={rule.name}
							class={[
								'rule-row flex min-h-[40px] w-full items-center justify-between gap-12 border-t border-hair px-20 py-4',
								'text-left font-[640] data-[state=active]:bg-ink data-[state=active]:text-sheet'
							]}
						>
							<span>{rule.title}</span>
							{#if rule.limits.some((row) => row.here)}<span class="boxed flex-none">{ruleWords.county}</span>{/if}
						</Tabs.Trigger>
					{/each}
				{:else}
					<p class="px-20 py-24 text-key">{ruleWords.none(store.asked)}</p>
				{/each}
			</Tabs.List>
			{#each store.shown.filter((rule) => rule.name === open) as rule (rule.name + store.units)}
				<Tabs.Content value={rule.name} class="min-h-0 overflow-auto"><RuleSheet {store} {rule} /></Tabs.Content>
			{/each}
		</Tabs.Root>
	{/if}
</main>
