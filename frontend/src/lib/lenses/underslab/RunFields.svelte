<script lang="ts">
	/** What the run that is held is: its pipe, where it starts, how it falls, what is round it. */
	import type { Run } from '../../api/schema';
	import type { Edit, JobStore } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Field from '../../ui/Field.svelte';
	import { shownLength } from '../../ui/typed';
	import { underslab as words } from '../../words/underslab';
	let { store, run }: { store: JobStore; run: Run } = $props();
	const row = $derived(store.document?.underslab?.services?.find((one) => one.id === run.id));
	const falls = $derived(run.kind === 'drain' || run.kind === 'land-drain');
	const say = (mm: number | null | undefined) => (mm ? shownLength(mm, store.units) : '');
	const level = (mm: number) => (mm ? `${say(Math.abs(mm))} ${mm < 0 ? 'below' : 'above'}` : '0');
	const guess = (key: string, label: string) => (run.guessed.includes(key) ? words.guess(label) : label);
	const set = (key: string) => (typed: string) =>
		store.keep([{ op: 'set_service', service: run.id, changes: { [key]: typed.trim() } } as Edit], `run-${run.id}-${key}`);
	const wrong = (key: string) => store.problemFor(`run-${run.id}-${key}`);
	const calm = { calm: true, placeholder: words.noneOf } as const;
</script>

{#snippet size(label: string, key: string, value: string, more: Record<string, unknown> = {})}
	<Field {label} {value} problem={wrong(key)} keep={set(key)} {...more} />
{/snippet}

{#if row}
	<div class="mt-6 grid grid-cols-[repeat(auto-fill,minmax(104px,1fr))] items-end gap-x-12 gap-y-4">
		{@render size(words.name, 'name', run.name, { mode: 'text' })}
		{@render size(words.size, 'size_mm', say(row.size_mm))}
		{@render size(guess('start_mm', words.starts), 'start_mm', level(row.start_mm), { mode: 'text' })}
		{@render size(guess('fall', words.fall), 'fall', run.fall ? run.fall_text : words.level, { mode: 'text' })}
		{@render size(words.wrap, 'wrap_mm', say(row.wrap_mm), calm)}
		{#if run.sleeves.length}{@render size(words.sleeveSize, 'sleeve_mm', say(row.sleeve_mm), {
				calm: true,
				placeholder: words.sleeveRule
			})}{@render size(words.through, 'through_mm', say(row.through_mm), calm)}{/if}
		{#if falls}{@render size(words.to, 'to', row.to ?? '', { mode: 'text', calm: true, placeholder: words.notSaid })}{/if}
		<Act
			kind="quiet"
			onclick={() => void store.keep([{ op: 'take_out_buried', what: 'services', ids: [run.id] } as Edit], `run-${run.id}`)}
			>{words.takeOut}</Act
		>
	</div>
{/if}
