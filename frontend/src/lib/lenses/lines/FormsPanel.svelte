<script lang="ts">
	/** What holds the edge: each side's form, what it takes, and how one side is said to be formed. */
	import type { Pick } from '../../drawing/pick.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { session } from '../../state/session.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { w } from '../../words/words';
	import FormSide from './FormSide.svelte';
	import type { LinesData } from './lines.svelte';
	let { store, pick, data }: { store: JobStore; pick: Pick; data: LinesData } = $props();
	const state = $derived(data.forms);
	const doubts = $derived(state?.findings ?? []);
	const picked = $derived(pick.side === null ? null : (state?.forms.sides[pick.side] ?? null));
	const putBack = (side: number) =>
		void data.record('form-back', { side: store.cornerId(side) }, session.who).then(() => data.load('forms'));
</script>

{#if state}
	<table class="panel-table">
		<thead
			><tr
				><th>{w.lines.side}</th><th>{w.lines.high}</th><th>{w.lines.boardsWord}</th><th>{w.lines.stakes}</th><th
					>{w.lines.kickers}</th
				></tr
			></thead
		>
		<tbody>
			{#each state.forms.sides as side}
				<tr class:on={pick.side === side.side} class:bare={!side.formed} data-form-side={side.side}>
					<th scope="row"
						><button type="button" class="pen plain" onclick={() => pick.chooseSide(side.side)}>{side.name}</button></th
					>
					{#if side.formed}
						{@const how = state.forms.workings[side.side]}
						<td
							>{#if how?.height}<Num working={how.height} text={side.height_text} />{/if}</td
						>
						<td
							>{side.build === 'panel' ? w.lines.panels(side.panels) : [...side.boards].reverse().join(' + ')}{side.left_out
								? `, ${w.lines.leftOut}`
								: ''}</td
						>
						<td
							>{#if how?.stakes && how.spacing}<Num working={how.stakes} text={String(side.stakes)} />
								{w.lines.at}
								<Num working={how.spacing} text={side.spacing_text} />{/if}</td
						>
						<td>{side.backfilled ? w.lines.earth : side.kickers || w.lines.none}</td>
					{:else}
						<td colspan="4">{side.why}</td>
					{/if}
				</tr>
			{/each}
			{#each state.forms.steps as step}
				<tr
					><th scope="row">{w.lines.step} {step.name}</th><td><Frac text={step.height_text} /></td><td>{step.board}</td><td
						>{step.hangers} {w.lines.hangers}</td
					><td></td></tr
				>
			{/each}
		</tbody>
	</table>
	{#if picked}<FormSide {store} form={picked} how={state.forms.workings[picked.side]} />{:else}<p class="label">
			{w.lines.pressSide}
		</p>{/if}
	{#each doubts as doubt}
		<p class="doubt" data-finding={doubt.code}>
			<b><Frac text={doubt.words} /></b>
			<Frac text={doubt.remedy} />
			{#if doubt.code === 'form-left-out'}<button
					type="button"
					class="act quiet"
					onclick={() => putBack(Number(doubt.where.split('/').pop()))}>{w.lines.itIsBack}</button
				>{/if}
		</p>
	{/each}
	<h3>{w.lines.takes}</h3>
	<dl>
		{#each state.forms.takes as take}<dt>{take.name}</dt>
			<dd><Num working={take.working} text={take.text} /></dd>{/each}
	</dl>
	<p class="label">{state.forms.caution}</p>
{:else}<p role="status">{data.problem || w.notices.loading}</p>{/if}

<style>
	td,
	tbody th {
		white-space: nowrap;
	}
	.plain {
		font-family: inherit;
		font-weight: 700;
		background: none;
		color: var(--color-ink);
		padding: 0;
	}
	.bare td {
		color: var(--color-ink2);
		white-space: normal;
	}
	.doubt {
		border-left: 4px solid var(--color-flag);
		padding: 4px 0 4px 10px;
		margin-top: 8px;
		font-size: 14.5px;
	}
	h3 {
		margin-top: 14px;
	}
	dl {
		display: grid;
		grid-template-columns: 1fr auto 1fr auto;
		gap: 3px 16px;
		margin: 4px 0 10px;
	}
	dt {
		color: var(--color-ink2);
	}
	dd {
		text-align: right;
		font-weight: 700;
	}
	@media (max-width: 600px) {
		dl {
			grid-template-columns: 1fr auto;
		}
		td,
		tbody th {
			height: 44px;
			white-space: normal;
		}
	}
</style>
