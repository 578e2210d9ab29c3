<script lang="ts">
	/** Rounds kept so far, newest first; pressing one brings its readings back. */
	import Frac from '../../ui/Frac.svelte';
	import { w } from '../../words/words';
	import type { SquareBox } from './square.svelte';
	let { box }: { box: SquareBox } = $props();
	const rounds = $derived(box.data.records.filter((row) => row.kind === 'taped'));
	const when = (at: string) => new Date(at).toLocaleString('en-GB', { weekday: 'short', hour: 'numeric', minute: '2-digit' });
</script>

{#if rounds.length}
	<h3>{w.lines.rounds}</h3>
	<ol>
		{#each rounds as row, i (row.id)}
			<li class:old={row.superseded}>
				<span class="n">{rounds.length - i}</span>
				<span><Frac text={row.verdict} /><span class="label"> {row.who ? `${row.who}, ` : ''}{when(row.at)}</span></span>
				<span class="acts">
					<button type="button" class="act quiet" onclick={() => box.load(row.values, row.shown)}>{w.lines.showRound}</button>
					{#if !row.superseded}<button type="button" class="act quiet" onclick={() => box.load(row.values, row.shown, row.id)}
							>{w.lines.correct}</button
						>{/if}
				</span>
			</li>
		{/each}
	</ol>
{/if}

<style>
	h3 {
		margin-top: 12px;
	}
	li {
		display: grid;
		grid-template-columns: 26px 1fr auto;
		gap: 8px;
		align-items: center;
		border-top: 1px solid var(--color-hair);
		padding: 3px 0;
	}
	.old > span:nth-child(2) {
		text-decoration: line-through;
	}
	.acts {
		display: flex;
		gap: 4px;
	}
	.n {
		color: var(--color-ink2);
	}
	.label {
		display: block;
	}
</style>
