<script lang="ts">
	/** One task: when, why not sooner, how long it can wait; booked, done, left out, who and how many. */
	import type { TaskTold } from '../../api/schema';
	import type { Edit } from '../../state/job.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import Field from '../../ui/Field.svelte';
	import Fold from '../../ui/Fold.svelte';
	import { holdWords } from '../../words/holds';
	import { dayText, today } from '../../ui/days';
	import type { GateData } from './holds.svelte';
	let { data, one }: { data: GateData; one: TaskTold } = $props();
	const words = holdWords.trades;
	const crew = $derived(data.state?.crew ?? []);
	const set = (changes: Record<string, unknown>, at = 'task') =>
		data.keep([{ op: 'set_task', task: one.key, changes } as Edit], at);
	const number = (text: string) => (text.trim() === '' ? null : Number(text));
	const names = (text: string) =>
		text
			.split(',')
			.map((name) => name.trim())
			.filter(Boolean);
</script>

<section
	class="mt-10 max-phone:border-2 max-phone:border-ink max-phone:px-14 max-phone:py-10"
	aria-label={one.name}
	data-task-card={one.key}
>
	<h2 class="text-ask font-black first-letter:uppercase">{one.name}: {one.text}</h2>
	<p>
		{#if one.why}<b class="first-letter:uppercase">{one.why}.</b>{/if}
		{#if one.state !== 'done'}{one.float_days ? words.spare(one.float_days, dayText(one.latest)) : words.noSpare}.{/if}
		{#if one.clash}<b class="text-flag">{one.clash}</b>{/if}
	</p>
	{#each one.refused as no (no.on)}<p class="text-note">{dayText(no.on)}: {no.words}.</p>{/each}
	<div class="mt-8 flex flex-wrap gap-6">
		{#if one.state === 'done'}{#if one.row}<Act kind="quiet" onclick={() => void set({ done_on: null })}>{words.notDone}</Act
				>{/if}
		{:else}
			{#if one.booked_on}<Act kind="plain" onclick={() => void set({ on: null, booked_by: null })}>{words.free}</Act>
			{:else}<Act kind="plain" onclick={() => void set({ on: one.start, booked_by: session.who || null })}>{words.book}</Act>{/if}
			{#if one.key !== 'pour'}<Act kind="plain" onclick={() => void set({ done_on: today() })}>{words.done}</Act>{/if}
		{/if}
		{#if one.lane === 'own'}<Act
				kind="quiet"
				onclick={() => void data.keep([{ op: 'take_out_task', task: one.row } as Edit], 'task')}>{words.takeOut}</Act
			>
		{:else if one.key !== 'pour' && one.state !== 'done'}<Act kind="quiet" onclick={() => void set({ left_out: true })}
				>{words.leaveOut}</Act
			>{/if}
	</div>
	<Fold
		name={words.people}
		aside={[one.people.join(', '), one.hands ? `${one.hands} ${words.hands.toLowerCase()}` : ''].filter(Boolean).join('; ')}
	>
		<div class="grid grid-cols-2 gap-x-14 gap-y-6 max-phone:grid-cols-1">
			<Field
				id="{one.key}-people"
				label={words.people}
				value={one.people.join(', ')}
				placeholder={crew.join(', ')}
				calm
				mode="text"
				problem={data.store.problemFor('task-people')}
				keep={(text) => set({ people: names(text).length ? names(text) : null }, 'task-people')}
			/>
			<Field
				id="{one.key}-by"
				label={words.by}
				value={one.booked_by}
				calm
				mode="text"
				keep={(text) => set({ booked_by: text.trim() || null })}
			/>
			<Field
				id="{one.key}-hands"
				label={words.hands}
				value={one.hands ? `${one.hands}` : ''}
				calm
				mode="numeric"
				problem={data.store.problemFor('task-hands')}
				keep={(text) => set({ hands: number(text) }, 'task-hands')}
			/>
			<Field
				id="{one.key}-days"
				label={words.days}
				value=""
				placeholder={`${one.last_day - one.day + 1}`}
				calm
				mode="numeric"
				problem={data.store.problemFor('task-days')}
				keep={(text) => set({ days: number(text) }, 'task-days')}
			/>
			<Field
				id="{one.key}-before"
				label={words.notBefore}
				value=""
				type="date"
				calm
				problem={data.store.problemFor('task-before')}
				keep={(text) => set({ not_before: text || null }, 'task-before')}
			/>
		</div>
	</Fold>
</section>
