<script lang="ts">
	/** Foam of the edge, side by side: covered, flashed or coated by a press. */
	import { untrack } from 'svelte';
	import { api } from '../../api/api';
	import type { BuiltState } from '../../api/schema';
	import { Resource } from '../../state/resource.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { afterWords } from '../../words/after';
	import type { CureData } from './cure.svelte';
	let { data }: { data: CureData } = $props();
	const words = afterWords.built;
	const built = new Resource<BuiltState>(() => api.built(data.store.id));
	const rows = $derived(built.value?.foam ?? []);
	$effect(() => {
		void [data.store.kept?.revision, data.store.kept?.records];
		untrack(() => void built.load());
	});
	async function say(kind: 'edge_finished' | 'struck', side: string, record: string) {
		if (await (kind === 'struck' ? data.strike(record) : data.say(kind, { side }))) await built.load();
	}
</script>

{#if rows.length}
	<h2 class="panel-head">{words.foam}</h2>
	<p class="text-note">{words.foamHow}</p>
	<ul>
		{#each rows as one (one.side)}
			<li class="flex min-h-52 items-center justify-between gap-8 border-b border-hair" data-foam={one.name}>
				<span
					><b class={['block text-read', one.done_text && 'line-through']}><Frac text="{one.name}, {one.text}" /></b>
					{#if one.done_text}<span class="text-note">{words.wasFinished(one.done_text, one.by)}</span>{/if}</span
				>
				{#if one.done_text}<Act
						kind="quiet"
						aria-label="{afterWords.takeBack}, {one.name}"
						onclick={() => void say('struck', one.side, one.record)}>{afterWords.takeBack}</Act
					>{:else}<Act
						class="min-h-48"
						aria-label="{words.finished}, {one.name}"
						onclick={() => void say('edge_finished', one.side, '')}>{words.finished}</Act
					>{/if}
			</li>
		{/each}
	</ul>
{/if}
