<script lang="ts">
	/** Of the ribbon that is pressed: every hour with its range, and what they rest on. */
	import Fold from '../../ui/Fold.svelte';
	import { gateWords as words } from '../../words/gate';
	import type { DayData } from './gate.svelte';
	let { data }: { data: DayData } = $props();
	const row = $derived(data.ribbon);
	const upper = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
</script>

{#if row}
	<Fold name={words.why(row.name, row.truck)} aside={words.whyHow}>
		<dl class="grid grid-cols-[repeat(auto-fill,minmax(190px,1fr))] gap-x-18" data-why={row.name}>
			{#each row.events as one (one.key)}
				<div class="flex justify-between gap-10 border-b border-hair py-2">
					<dt>{upper(one.name)}</dt>
					<dd class={one.span ? 'text-right font-strong' : 'label'}>
						{#if one.span}{one.at_text}<span class="label block">{one.low_text} – {one.high_text}</span>{:else}{row.freezes_text
								? row.line.split(':')[0]
								: words.none}{/if}
					</dd>
				</div>
			{/each}
		</dl>
		<ul class="mt-6">
			{#each row.why as line}<li class="py-1 text-note">{line}</li>{/each}
		</ul>
	</Fold>
{/if}
