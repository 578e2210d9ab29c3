<script lang="ts">
	/** What is poured with what is left: a pad, blocks, a kerb. */
	import type { SureTold } from '../../api/schema';
	import { untrack } from 'svelte';
	import { note, restored } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { orderWords } from '../../words/order';
	import type { OrderData } from './order.svelte';
	let { data, told }: { data: OrderData; told: SureTold } = $props();
	const words = orderWords.sure;
	const key = untrack(() => `${data.store.id}/spare`);
	const before = restored<{ name: string; takes: string }>(key);
	let name = $state(before?.name ?? '');
	let takes = $state(before?.takes ?? '');
	$effect(() => note(key, name || takes ? { name, takes } : ''));
	let open = $state(untrack(() => !!before || told.spare.length > 0));
	const problem = $derived(data.store.problemFor('spare'));
	async function add() {
		if (!(await data.keep({ op: 'add_spare', name, takes }, 'spare'))) return;
		[name, takes] = ['', ''];
	}
</script>

<Fold bind:open name={words.spare} aside={told.spare.map((row) => row.name).join(', ')} class="mt-8">
	{#if !told.spare.length}<p class="label">{words.spareNone}</p>{/if}
	<ul>
		{#each told.spare as row (row.id)}
			<li class="flex min-h-44 items-center gap-10 border-b border-hair" data-spare={row.name}>
				<span class="flex-1"><b>{row.name}</b> <Frac text={row.text} /> {told.unit}</span>
				<Act
					kind="quiet"
					aria-label="{words.out}, {row.name}"
					onclick={() => void data.keep({ op: 'take_out_spare', spare: row.id })}>{words.out}</Act
				>
			</li>
		{/each}
	</ul>
	<form
		class="mt-6 flex flex-wrap items-end gap-8"
		onsubmit={(event) => {
			event.preventDefault();
			void add();
		}}
	>
		<label class="min-w-160 flex-1"
			><span class="label">{words.spareName}</span><input class="well w-full" maxlength="120" bind:value={name} /></label
		>
		<label class="w-120"
			><span class="label">{words.spareTakes}, {told.unit}</span><input
				class="well w-full"
				autocomplete="off"
				bind:value={takes}
				aria-invalid={!!problem}
			/></label
		>
		<Act kind="plain" type="submit" disabled={!name.trim() || !takes.trim()}>{words.add}</Act>
	</form>
	{#if problem}<p class="wrong" role="alert">{problem.detail}</p>{/if}
</Fold>
