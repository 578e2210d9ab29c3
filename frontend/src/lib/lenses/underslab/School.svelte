<script lang="ts">
	/** Ways that good crews differ on: one of a few, and of the one that is taken one sentence for and one against. says: with those. */
	import { session } from '../../state/session.svelte';
	import Choice from '../../ui/Choice.svelte';
	import { cover as words } from '../../words/underslab_cover';
	let {
		name,
		school,
		labels,
		value,
		pick,
		says = true
	}: {
		name: string;
		school: string;
		labels: Record<string, string>;
		value: string;
		pick: (value: string) => void;
		says?: boolean;
	} = $props();
	const rows = $derived(session.schools[school] ?? []);
	const taken = $derived(rows.find((row) => row.key === value));
</script>

<p class="label mt-10">{name}</p>
<Choice
	{name}
	rows={rows.map((row) => ({ value: row.key, label: labels[row.key] ?? row.key }))}
	{value}
	pick={(now) => now && now !== value && pick(now)}
/>
{#if taken && says}<p class="mt-2 text-note"><b>{words.pro}</b> {taken.pro} <b>{words.con}</b> {taken.con}</p>{/if}
