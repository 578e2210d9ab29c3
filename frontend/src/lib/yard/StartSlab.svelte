<script lang="ts">
	/** A new slab: its name, and how it is read. */
	import { goto } from '$app/navigation';
	import { note, remember } from '../state/remember.svelte';
	import { session } from '../state/session.svelte';
	import { w } from '../words/words';
	import type { YardState } from './yard.svelte';
	let { yard, close }: { yard: YardState; close: () => void } = $props();
	let name = $state('');
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
		const id = await yard.start(name.trim() || 'Unnamed slab', units);
		if (!id) return;
		note('yard/start', '');
		await goto(`/job/${id}/lines`);
	}
</script>

<svelte:window onkeydown={(event) => event.key === 'Escape' && drop()} />
<form class="flex flex-wrap items-end gap-x-18 gap-y-10 border-b-2 border-ink bg-bench px-20 py-16" onsubmit={start}>
	<label class="label w-[min(360px,_100%)]"
		>{w.yard.name}<input class="well" maxlength="120" bind:this={box} bind:value={name} /></label
	>
	<fieldset class="flex flex-wrap gap-4">
		<legend class="label">{w.yard.units}</legend>
		{#each ['ft-in', 'mm'] as const as one}
			<button type="button" class="act" class:on={units === one} aria-pressed={units === one} onclick={() => (units = one)}
				>{one === 'mm' ? w.yard.mm : w.yard.ftin}</button
			>
		{/each}
	</fieldset>
	<button class="act main">{w.yard.go}</button>
	<button type="button" class="act quiet" onclick={drop}>{w.board.drop}</button>
</form>
