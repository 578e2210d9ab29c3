<script lang="ts">
	/** Rounds kept so far, newest first; pressing one brings its readings back. */
	import Frac from '../../ui/Frac.svelte';
	import { w } from '../../words/words';
	import type { SquareBox } from './square.svelte';
	import Act from '../../ui/Act.svelte';
	let { box }: { box: SquareBox } = $props();
	const rounds = $derived(box.data.records.filter((row) => row.kind === 'taped'));
	const when = (at: string) => new Date(at).toLocaleString('en-GB', { weekday: 'short', hour: 'numeric', minute: '2-digit' });
</script>

{#if rounds.length}
	<h2 class="mt-12">{w.lines.rounds}</h2>
	<ol>
		{#each rounds as row, i (row.id)}
			<li class="grid grid-cols-[26px_1fr_auto] items-center gap-8 border-t border-hair px-0 py-3" class:old={row.superseded}>
				<span class={['text-ink2', row.superseded && 'nth-[2]:line-through']}>{rounds.length - i}</span>
				<span class={[row.superseded && 'nth-[2]:line-through']}
					><Frac text={row.verdict} /><span class="label block"> {row.who ? `${row.who}, ` : ''}{when(row.at)}</span></span
				>
				<span class={['flex gap-4', row.superseded && 'nth-[2]:line-through']}>
					<Act kind="quiet" onclick={() => box.load(row.values, row.shown)}>{w.lines.showRound}</Act>
					{#if !row.superseded}<Act kind="quiet" onclick={() => box.load(row.values, row.shown, row.id)}>{w.lines.correct}</Act
						>{/if}
				</span>
			</li>
		{/each}
	</ol>
{/if}
