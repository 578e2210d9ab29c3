<script lang="ts">
	/** On the yard: what somebody set for this morning. */
	import { api } from '../api/api';
	import { Resource } from '../state/resource.svelte';
	import Act from '../ui/Act.svelte';
	import { today } from '../ui/days';
	import { practiceWords as words } from '../words/practice';
	const yard = new Resource(() => api.practice(today()));
	$effect(() => void yard.load());
	const rows = $derived((yard.value?.given ?? []).filter((row) => row.day === today()));
	const titleOf = (kind: string) => yard.value?.kinds.find((one) => one.key === kind)?.title ?? kind;
</script>

{#each rows as row (row.id)}
	<p
		class="flex flex-wrap items-center gap-12 border-b-3 border-ink bg-slip px-20 py-6 font-mid text-board-ink"
		data-morning={row.kind}
	>
		{words.morning(titleOf(row.kind), row.who)}
		<Act
			kind="quiet"
			class="min-h-44 text-board-ink"
			href="/practice?kind={row.kind}&level={row.level}&seed={row.seed}&units={row.units}">{words.start}</Act
		>
	</p>
{/each}
