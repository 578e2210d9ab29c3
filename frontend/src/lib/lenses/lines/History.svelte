<script lang="ts">
	/** Every change of this slab, newest first; any may be gone back to, which is a change of its own. */
	import { api } from '../../api/api';
	import type { RevisionRow } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import { w } from '../../words/words';
	import Fold from '../../ui/Fold.svelte';
	import Act from '../../ui/Act.svelte';
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

<Fold class="mt-12 border-t border-hair" bind:open name={w.history.title}>
	<ol>
		{#each rows as row (row.n)}
			<li class="grid grid-cols-[30px_1fr_auto] items-center gap-8 border-t border-hair px-0 py-3">
				<span class="text-ink2">{row.n}</span>
				<span>{row.summary}<span class="label block"> {row.author ? `${row.author}, ` : ''}{when(row.at)}</span></span>
				{#if row.n === store.kept?.revision}<b>{w.history.now}</b>{:else}
					<Act kind="quiet" onclick={() => void store.goBack(row.n)}>{w.history.back}</Act>
				{/if}
			</li>
		{/each}
	</ol>
	{#if more}<Act kind="quiet" class="my-8" onclick={() => void earlier()}>{w.history.more}</Act>{/if}
</Fold>
