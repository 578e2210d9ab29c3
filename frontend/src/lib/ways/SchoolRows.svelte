<script lang="ts">
	/** Ways that good crews differ on: a row each, with a sentence for and one against; a press takes one. */
	import { session } from '../state/session.svelte';
	import Act from '../ui/Act.svelte';
	import { waysWords } from '../words/ways';
	let {
		school,
		labels,
		value,
		pick
	}: { school: string; labels: Record<string, string>; value: string; pick: (value: string) => void } = $props();
</script>

{#each session.schools[school] ?? [] as row (row.key)}
	<div class="grid grid-cols-[118px_1fr] items-center gap-12 border-t border-hair pt-6 text-note">
		<Act kind="quiet" on={value === row.key} aria-pressed={value === row.key} onclick={() => pick(row.key)}>{labels[row.key]}</Act
		>
		<p>{row.pro} <span class="label">{waysWords.against} {row.con}</span></p>
	</div>
{/each}
