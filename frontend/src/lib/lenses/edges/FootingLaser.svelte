<script lang="ts">
	/** A laser for the footings of a job that has no slab yet: a mark with its level, and the rod on it. */
	import { addRecord, isWrong } from '../../state/record';
	import { remember } from '../../state/remember.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { EXAMPLES } from '../../words/examples';
	import { footings as words } from '../../words/footings';
	let { store }: { store: JobStore } = $props();
	const marks = $derived(store.document?.ground?.benchmarks ?? []);
	let said = $state({ name: '', level: '', reading: '' });
	let wrong = $state('');
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/footing-laser`,
		() => ({ said }),
		(old) => ({ said } = old)
	);
	const problem = $derived(store.problemFor('footing-mark'));
	async function setUp() {
		const name = marks[0]?.name ?? (said.name.trim() || words.nail);
		wrong = '';
		if (!marks.length) {
			const edit = { op: 'set_benchmark', benchmark: null, name, level: said.level, what: 'nail', at: null } as const;
			if (!(await store.keep([edit], 'footing-mark'))) return;
		}
		const values = { name: words.setUpName, on: name, backsight_mm: said.reading, at: null, simulated: false };
		const got = await addRecord(store, 'set-up', values, session.who, null);
		if (isWrong(got)) return void (wrong = got.words);
		said = { name: '', level: '', reading: '' };
		await store.load();
	}
</script>

{#snippet box(label: string, key: keyof typeof said, example: string)}
	<label class="label w-132"
		>{label}<input
			class="well font-pencil text-key font-[520] text-pencil"
			autocomplete="off"
			placeholder={example}
			bind:value={said[key]}
			onkeydown={(event) => event.key === 'Enter' && void setUp()}
		/></label
	>
{/snippet}

<div class="mb-6 flex flex-wrap items-end gap-x-10 gap-y-6">
	{#if marks[0]}<b class="pb-8">{marks[0].name}</b>{:else}
		{@render box(words.mark, 'name', words.nail)}
		{@render box(words.markLevel, 'level', EXAMPLES[store.units].footing.mark)}
	{/if}
	{@render box(words.markReads, 'reading', EXAMPLES[store.units].footing.rod)}
	<Act kind="main" onclick={() => void setUp()}>{words.setUp}</Act>
</div>
{#if wrong || problem}<p class="wrong" role="alert">
		<Frac text={wrong || (problem?.detail ?? '')} />
		{#each problem?.choices ?? [] as choice}<Act
				kind="quiet"
				onclick={() => {
					said.level = choice.text;
					void setUp();
				}}>{choice.label}</Act
			>{/each}
	</p>{/if}
