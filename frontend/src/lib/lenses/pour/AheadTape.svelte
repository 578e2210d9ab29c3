<script lang="ts">
	/** For where there is no signal: what to call if so much is in when a strip is struck, worked out before. */
	import { untrack } from 'svelte';
	import Fold from '../../ui/Fold.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { pourWords } from '../../words/pour';
	import type { PourData } from './pour.svelte';
	let { data }: { data: PourData } = $props();
	const words = pourWords.left;
	$effect(() => {
		void [data.state?.newest_at];
		untrack(() => void data.loadAhead());
	});
	const rows = $derived(data.ahead?.rows ?? []);
	/** strips that were said to be struck here, and wait */
	const waits = $derived(
		new Set(data.waiting.filter((one) => one.kind === 'front').map((one) => `${one.values['strip'] ?? ''}`))
	);
	const held = $derived(rows.findLast((row) => waits.has(row.id)) ?? null);
	let open = $state(false);
	const bare = (text: string) => text.replace(/ (yd|m³)$/, '');
</script>

{#if rows.length}
	<Fold name={words.ahead} bind:open={() => open || data.alone || !!held, (now) => (open = now)}>
		<p class="text-note">{words.aheadHow(data.ahead?.at_text ?? '')}</p>
		<ul>
			{#each rows as row (row.id)}
				<li
					class={['border-b border-hair py-6', held?.id === row.id && 'border-l-6 border-l-ink bg-well pl-8']}
					data-ahead={row.n}
				>
					<p class="text-read"><b>{row.n} {row.name}</b> {words.struckThen}</p>
					<ol class="grid grid-cols-7 max-phone:grid-cols-5">
						{#each row.cells as cell, i (cell.in_text)}
							<li
								class={[
									'border-t-2 border-ink pt-2 pr-4 text-center',
									(i === 0 || i === 6) && 'max-phone:hidden',
									cell.likely && 'bg-chalk-tint'
								]}
								data-likely={cell.likely}
							>
								<span class="block text-note"><Frac text={cell.in_text} /></span>
								<b class={['text-key font-black', cell.short_of > 4 && 'text-flag']}><Frac text={bare(cell.call_text)} /></b>
							</li>
						{/each}
					</ol>
				</li>
			{/each}
		</ul>
	</Fold>
{/if}
