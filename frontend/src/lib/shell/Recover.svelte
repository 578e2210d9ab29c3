<script lang="ts">
	/** The earlier states of a slab whose newest cannot be worked out; any of them can be made the newest again. */
	import { api } from '../api/api';
	import { troubleOf } from '../state/resource.svelte';
	import type { RevisionRow } from '../api/schema';
	import { session } from '../state/session.svelte';
	import { w } from '../words/words';
	import Act from '../ui/Act.svelte';
	let { id, back }: { id: string; back: () => void } = $props();
	let rows = $state.raw<RevisionRow[]>([]);
	let wrong = $state('');
	$effect(() => {
		api.revisions(id).then(
			(got) => (rows = got),
			() => (rows = [])
		);
	});
	async function bring(n: number) {
		try {
			await api.goBack(id, { revision: rows[0]?.n ?? 1, author: session.who, n });
			back();
		} catch (error) {
			const found = troubleOf(error);
			wrong = found.offline ? w.notices.noStep : found.words;
		}
	}
</script>

{#if rows.length > 1}
	<section class="w-full max-w-640">
		<h2>{w.notices.backTo}</h2>
		{#if wrong}<p class="font-[640] text-flag" role="alert">{wrong}</p>{/if}
		<ul>
			{#each rows.slice(1, 40) as row (row.n)}
				<li class="flex items-center gap-12 border-t border-hair py-6">
					<span class="w-32 text-ink2">{row.n}</span><span class="flex-1">{row.summary}</span><Act
						kind="quiet"
						onclick={() => void bring(row.n)}>{w.history.back}</Act
					>
				</li>
			{/each}
		</ul>
	</section>
{/if}
