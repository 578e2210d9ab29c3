<script lang="ts">
	/** Every change of this slab, newest first; any may be gone back to, which is a change of its own. */
	import { api } from '../../api/api';
	import type { RevisionRow } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import { w } from '../../words/words';
	let { store }: { store: JobStore } = $props();
	let open = $state(false);
	let rows = $state.raw<RevisionRow[]>([]);
	const PAGE = 200;
	let more = $state(false);
	$effect(() => {
		const revision = store.kept?.revision;
		if (!open || !revision) return;
		api
			.revisions(store.id)
			.then((got) => ([rows, more] = [got, got.length === PAGE]))
			.catch(() => undefined);
	});
	async function earlier() {
		const got = await api.revisions(store.id, rows.at(-1)?.n).catch(() => null);
		if (got) [rows, more] = [[...rows, ...got], got.length === PAGE];
	}
	const when = (at: string) =>
		new Date(at).toLocaleString('en-GB', {
			weekday: 'short',
			day: 'numeric',
			month: 'short',
			hour: 'numeric',
			minute: '2-digit'
		});
</script>

<details bind:open>
	<summary>{w.history.title}</summary>
	<ol>
		{#each rows as row (row.n)}
			<li>
				<span class="n">{row.n}</span>
				<span>{row.summary}<span class="label"> {row.author ? `${row.author}, ` : ''}{when(row.at)}</span></span>
				{#if row.n === store.kept?.revision}<b>{w.history.now}</b>{:else}
					<button type="button" class="act quiet" onclick={() => void store.goBack(row.n)}>{w.history.back}</button>
				{/if}
			</li>
		{/each}
	</ol>
	{#if more}<button type="button" class="act quiet my-8" onclick={() => void earlier()}>{w.history.more}</button>{/if}
</details>

<style>
	details {
		margin-top: 12px;
		border-top: 1px solid var(--color-hair);
	}
	summary {
		font-weight: 760;
		min-height: 40px;
		padding-top: 8px;
		cursor: pointer;
	}
	li {
		display: grid;
		grid-template-columns: 30px 1fr auto;
		gap: 8px;
		align-items: center;
		border-top: 1px solid var(--color-hair);
		padding: 3px 0;
	}
	li .label {
		display: block;
	}
	.n {
		color: var(--color-ink2);
	}
</style>
