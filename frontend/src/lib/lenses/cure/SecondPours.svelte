<script lang="ts">
	/** Kerbs, knee walls and pads beside: each a small job of its own by one press, with its day. */
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { afterWords } from '../../words/after';
	import type { AfterData } from './after.svelte';
	let { data }: { data: AfterData } = $props();
	const words = afterWords.built;
	const rows = $derived(data.built?.second ?? []);
	const unit = $derived(data.store.units === 'mm' ? 'm³' : 'yd');
	let when = $state<Record<string, string>>({});
</script>

{#if rows.length}
	<h2 class="panel-head">{words.second}</h2>
	<ul>
		{#each rows as one (one.id)}
			<li class="flex min-h-56 flex-wrap items-end justify-between gap-8 border-b border-hair py-6" data-second={one.name}>
				<span class="min-w-160 flex-1"
					><b class="block text-read"><Frac text={one.name} /></b>
					<span class="text-note"><Frac text={words.secondText(one.text, unit, one.forms, one.starters)} /></span></span
				>
				{#if one.with_slab}<span class="text-note">{words.withSlab}</span>
				{:else if one.pieces}
					<label class="text-note"
						>{words.when}<input
							type="datetime-local"
							class="block min-h-48 w-200 border-2 border-ink bg-well px-8 text-body"
							bind:value={() => when[one.id] ?? '', (now) => (when[one.id] = now)}
						/></label
					>
					<Act
						class="min-h-48"
						aria-label="{words.make(one.pieces)}, {one.name}"
						disabled={data.busy}
						onclick={() => void data.secondJob(one.id, when[one.id] || null)}>{words.make(one.pieces)}</Act
					>
				{/if}
			</li>
		{/each}
	</ul>
	{#each data.made as one (one.id)}<p class="mt-6 text-read" role="status" data-made>
			<a class="inline-flex min-h-44 items-center font-heavy underline" href="/job/{one.id}/lines">{words.made(one.name)}</a>
		</p>{/each}
{/if}
