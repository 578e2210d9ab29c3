<script lang="ts">
	/** Rounds of shots as they were written down; one can be struck out and stays visible. */
	import { api } from '../../api/api';
	import type { RecordRow } from '../../api/schema';
	import { ground as groundWords } from '../../words/ground';
	import type { GroundData } from './ground.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Act from '../../ui/Act.svelte';
	let { data }: { data: GroundData } = $props();
	let rows = $state.raw<RecordRow[]>([]);
	let open = $state(false);
	let wrong = $state('');
	async function load() {
		rows = await api.records(data.store.id, 'shots');
	}
	$effect(() => {
		if (open && data.state) void load();
	});
	async function strike(row: RecordRow) {
		wrong = (await data.strike(row.id))?.words ?? '';
	}
	const clock = (at: string) => new Date(at).toLocaleString(undefined, { weekday: 'short', hour: 'numeric', minute: '2-digit' });
</script>

<Fold bind:open name={groundWords.rounds}>
	{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
	<ul>
		{#each rows.slice(0, 40) as row}
			<li class="flex min-h-38 items-center justify-between gap-8 border-t border-hair">
				<span class={[row.superseded && 'line-through']}
					>{clock(row.at)} {row.who} · {row.unread || `${row.verdict} ${row.values['source']}`}</span
				>
				{#if row.superseded}<b>{groundWords.struck}</b>{:else}<Act kind="quiet" onclick={() => void strike(row)}
						>{groundWords.strike}</Act
					>{/if}
			</li>
		{/each}
	</ul>
</Fold>
