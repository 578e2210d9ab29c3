<script lang="ts">
	/** A new slab: its name, and how it is read. */
	import { goto } from '$app/navigation';
	import { note, remember } from '../state/remember.svelte';
	import { session } from '../state/session.svelte';
	import { lead } from '../shell/FirstSlab.svelte';
	import { firstSlabWords } from '../words/first_slab';
	import { w } from '../words/words';
	import { yardWords } from '../words/yard';
	import type { YardState } from './yard.svelte';
	import Choice from '../ui/Choice.svelte';
	import Act from '../ui/Act.svelte';
	import Switch from '../ui/Switch.svelte';
	let { yard, close }: { yard: YardState; close: () => void } = $props();
	let name = $state('');
	/** somebody's first: ten lines lead through it */
	let led = $state(false);
	/** it was pressed without a name */
	let asked = $state(false);
	let units = $state<'ft-in' | 'mm'>(session.ways?.reading.new_job_units ?? 'ft-in');
	remember(
		'yard/start',
		() => name,
		(old) => (name = old)
	);
	let box: HTMLInputElement | undefined = $state();
	$effect(() => box?.focus());
	function drop() {
		note('yard/start', '');
		close();
	}
	async function start(event: SubmitEvent) {
		event.preventDefault();
		asked = !name.trim();
		if (asked) return void box?.focus();
		const id = await yard.start(name.trim(), units);
		if (!id) return;
		note('yard/start', '');
		if (led) lead(id);
		await goto(`/job/${id}/lines`);
	}
</script>

<svelte:window onkeydown={(event) => event.key === 'Escape' && drop()} />
<form class="flex flex-wrap items-end gap-x-18 gap-y-10 border-b-2 border-ink bg-bench px-20 py-16" onsubmit={start}>
	<label class="label w-[min(360px,_100%)]"
		>{yardWords.name}<input
			class="well"
			maxlength="120"
			aria-invalid={asked && !name.trim()}
			aria-describedby={asked ? 'start-name-wrong' : undefined}
			bind:this={box}
			bind:value={name}
		/>{#if asked && !name.trim()}<span class="wrong block" id="start-name-wrong" role="alert">{yardWords.sayName}</span
			>{/if}</label
	>
	<fieldset class="flex flex-wrap gap-4">
		<legend class="label">{yardWords.units}</legend>
		<Choice
			rows={(['ft-in', 'mm'] as const).map((one) => ({ value: one, label: one === 'mm' ? yardWords.mm : yardWords.ftin }))}
			value={units}
			pick={(one) => one && (units = one)}
			name={yardWords.units}
			kind="plain"
		/>
	</fieldset>
	<Act kind="main" type="submit">{yardWords.go}</Act>
	<Switch on={led} set={(on) => (led = on)}>{firstSlabWords.offer}</Switch>
	<Act kind="quiet" onclick={drop}>{w.board.drop}</Act>
</form>
