<script lang="ts">
	/** A visit of the inspector: passed, or not, with what was found. */
	import type { GateHold } from '../../api/schema';
	import { session } from '../../state/session.svelte';
	import { remember } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import { holdWords as words } from '../../words/holds';
	import type { GateData } from './holds.svelte';
	let { data, row }: { data: GateData; row: GateHold } = $props();
	let note = $state('');
	let wrong = $state('');
	// svelte-ignore state_referenced_locally (one visit for the life of this row)
	remember(
		`${data.store.id}/${row.code}`,
		() => note,
		(old) => (note = old)
	);
	async function say(verdict: 'pass' | 'mend') {
		const ok = await data.record('check', { row: row.code, verdict, by: session.who, note: note.trim() });
		wrong = ok ? '' : data.wrong;
		if (ok) note = '';
	}
</script>

<div
	id={row.code.replace('/', '-')}
	class="mt-10 flex flex-wrap items-end gap-8"
	role="group"
	aria-label={words.visit(row.title)}
>
	<label class="label min-w-200 flex-1"
		>{words.visit(row.title)} {words.visitNote}<input class="well w-full" maxlength="400" bind:value={note} /></label
	>
	<Act kind="plain" onclick={() => void say('pass')}>{words.visitPass}</Act>
	<Act kind="plain" onclick={() => void say('mend')}>{words.visitMend}</Act>
	{#if wrong}<p class="wrong w-full" role="alert">{wrong}</p>{/if}
</div>
