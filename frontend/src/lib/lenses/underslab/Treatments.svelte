<script lang="ts">
	/** What the site asks for under the slab beside plastic and foam: each a hold until the day it was done is said. */
	import type { Edit } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Field from '../../ui/Field.svelte';
	import { cover } from '../../words/underslab_cover';
	import type { UnderslabData } from './underslab.svelte';
	let { data }: { data: UnderslabData } = $props();
	const words = cover.barrier;
	const store = $derived(data.store);
	const rows = $derived(data.covered?.treatments ?? []);
	const kinds = ['termite', 'radon', 'gas'] as const;
	const left = $derived(kinds.filter((kind) => !rows.some((row) => row.kind === kind)));
	const set = (id: string, key: string) => (typed: string) =>
		store.keep([{ op: 'set_treatment', treatment: id, changes: { [key]: typed.trim() } } as Edit], `treat-${id}-${key}`);
</script>

<h2 class="panel-head">{words.treatments}</h2>
{#each rows as row (row.id)}
	<div class="border-b border-hair py-6" data-treatment={row.kind}>
		<p><b class="font-[760]">{row.name}.</b> {row.do}</p>
		<div class="mt-4 grid grid-cols-[1fr_2fr_auto] items-end gap-x-12 gap-y-4 max-phone:grid-cols-2">
			<Field
				label={words.doneOn}
				type="date"
				value={row.done_on ?? ''}
				problem={store.problemFor(`treat-${row.id}-done_on`)}
				keep={set(row.id, 'done_on')}
			/>
			<Field
				label={words.paper}
				mode="text"
				value={row.paper}
				problem={store.problemFor(`treat-${row.id}-paper`)}
				keep={set(row.id, 'paper')}
			/>
			<Act kind="quiet" onclick={() => void store.keep([{ op: 'take_out_treatment', ids: [row.id] } as Edit], `treat-${row.id}`)}
				>{words.takeOut}</Act
			>
		</div>
	</div>
{:else}
	<p>{words.nothingAsked}</p>
{/each}
{#if left.length}<p class="mt-6 flex flex-wrap gap-6">
		{#each left as kind (kind)}<Act
				kind="quiet"
				onclick={() => void store.keep([{ op: 'add_treatment', kind } as Edit], 'treatment')}>+ {words.kinds[kind]}</Act
			>{/each}
	</p>{/if}
