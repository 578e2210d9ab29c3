<script lang="ts">
	/** The working slip: name = formula with the numbers in it = result; the rule; the calls it uses. */
	import Frac from '../ui/Frac.svelte';
	import { workingSlip } from '../state/working_slip.svelte';
	import { w } from '../words/words';
	let { jobId }: { jobId: string } = $props();
	const slip = $derived(workingSlip.open);
	function where(setAt: string): string {
		const [stage, part] = setAt.split('/');
		if (stage === 'ground') return `/job/${jobId}/ground?tab=${{ zone: 'falls', strip: 'stack' }[part ?? ''] ?? part}`;
		return stage === 'ways' ? '/ways' : `/job/${jobId}/${stage === 'edges' ? 'edges' : 'lines'}`;
	}
</script>

{#if slip}
	<aside class="working-slip" aria-label="Working" aria-live="polite">
		<div class="head">
			<p class="sum">
				<b>{slip.name}</b>
				{#if slip.shown}<span>= <Frac text={slip.shown} /></span>{/if}
				<b>= <Frac text={slip.text} /></b>
				{#if slip.note}<span class="note">({slip.note})</span>{/if}
			</p>
			<div class="buttons">
				{#if workingSlip.trail.length > 1}<button type="button" onclick={() => workingSlip.back()}>{w.slip.back}</button>{/if}
				<button type="button" onclick={() => workingSlip.close()}>{w.slip.close}</button>
			</div>
		</div>
		<p class="from">
			{slip.words}
			{#if ['house', 'estimate', 'thumb'].includes(slip.standing)}<span class="boxed">{slip.standing}</span>{/if}
			<a class="in-book" href="/rules?source={slip.source}" data-rule={slip.source}>{w.rules.inBook}</a>
			{#if slip.set_at}<a href={where(slip.set_at)} onclick={() => workingSlip.close()}>{w.slip.set}</a>{/if}
		</p>
		{#if slip.inputs.length}
			<ul>
				{#each slip.inputs as [, input]}
					<li>
						{#if input.inputs.length || input.words}
							<button type="button" onclick={() => workingSlip.into(input)}>{input.name} <Frac text={input.text} /></button>
						{:else}{input.name} <Frac text={input.text} />{/if}
					</li>
				{/each}
			</ul>
		{/if}
	</aside>
{/if}

<style>
	.working-slip {
		background: var(--color-slip);
		color: var(--color-board-ink);
		padding: 12px 22px 12px 26px;
		flex: none;
		position: sticky;
		bottom: 0;
		margin-top: auto;
		clip-path: polygon(0 0, 100% 7px, 100% calc(100% - 5px), 0 100%);
		font-size: 15px;
		max-height: 300px;
		overflow: auto;
		z-index: 3;
	}
	.working-slip::before {
		content: '';
		position: absolute;
		left: 0;
		top: 0;
		bottom: 0;
		width: 11px;
		background: repeating-linear-gradient(180deg, var(--color-grain) 0 2px, var(--color-board) 2px 6px);
	}
	.head {
		display: flex;
		gap: 12px;
		align-items: start;
		justify-content: space-between;
	}
	.sum span {
		overflow-wrap: anywhere;
	}
	.note {
		color: var(--color-board-ink2);
	}
	.buttons {
		display: flex;
		gap: 6px;
		flex: none;
	}
	.working-slip button,
	.working-slip a {
		text-decoration: underline;
		text-underline-offset: 2px;
		font-weight: 620;
		min-height: 26px;
		text-align: left;
	}
	.from {
		font-size: 14px;
		color: var(--color-board-ink2);
		margin-top: 3px;
	}
	ul {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 16px;
		font-size: 14px;
		margin-top: 4px;
	}
	@media print {
		.working-slip {
			display: none;
		}
	}
</style>
