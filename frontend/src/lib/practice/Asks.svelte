<script lang="ts">
	/** All that is asked, each by its kind; those of one group under their words. */
	import type { Exercise } from '../api/schema';
	import Choice from '../ui/Choice.svelte';
	import OneOf from '../ui/OneOf.svelte';
	import Switch from '../ui/Switch.svelte';
	import Frac from '../ui/Frac.svelte';
	import { practiceWords as words } from '../words/practice';
	import ClockAsk from './ClockAsk.svelte';
	import type { Practice } from './practice.svelte';
	import StepAsk from './StepAsk.svelte';
	let { practice, exercise }: { practice: Practice; exercise: Exercise } = $props();
	const said = $derived(practice.marked !== null);
	const rows = (ask: Exercise['asks'][number]) => ask.options.map((one) => ({ value: one.key, label: one.text }));
	const short = (ask: Exercise['asks'][number]) => ask.options.every((one) => one.text.length < 18);
	const groupBefore = (i: number) => exercise.asks[i - 1]?.group ?? '';
	const own = (id: string) => exercise.own[id];
</script>

{#each exercise.asks as ask, i (ask.id)}
	{#if ask.group && ask.group !== groupBefore(i)}<h3 class="mt-8"><Frac text={ask.group} /></h3>{/if}
	{#if ask.kind === 'steps'}<StepAsk
			{ask}
			value={practice.answer[ask.id] ?? ''}
			{said}
			set={(key) => practice.set(ask.id, key)}
		/>
	{:else if ask.kind === 'clock'}
		<ClockAsk {exercise} {ask} value={practice.answer[ask.id] ?? ''} {said} set={(key) => practice.set(ask.id, key)} />
	{:else if ask.kind === 'press'}
		<div
			class={[
				'grid grid-cols-[1fr_auto] items-center gap-8 border-t border-hair py-3',
				said && own(ask.id) === 'yes' && 'text-flag'
			]}
			data-ask={ask.id}
		>
			<span class="font-mid"><Frac text={ask.label} /></span>
			<Switch on={practice.answer[ask.id] === 'yes'} set={(on) => practice.set(ask.id, on ? 'yes' : 'no')}
				><span class="sr-only">{ask.label}, </span>{practice.answer[ask.id] === 'yes' ? words.fault : words.holds}</Switch
			>
		</div>
	{:else}
		<div class="border-t border-hair py-8" data-ask={ask.id}>
			<p class="mb-4 font-mid"><Frac text={ask.label} /></p>
			{#if short(ask)}<Choice
					rows={rows(ask)}
					value={practice.answer[ask.id] ?? null}
					pick={(key) => key && practice.set(ask.id, key)}
					name={ask.label}
					kind="plain"
				/>
			{:else}<OneOf
					rows={rows(ask)}
					value={practice.answer[ask.id] ?? ''}
					pick={(key) => practice.set(ask.id, key)}
					name={ask.label}
				/>{/if}
		</div>
	{/if}
{/each}
