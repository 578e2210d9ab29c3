<script lang="ts">
	/** What holds the edge: each side's form, what it takes, and how one side is said to be formed. */
	import type { Pick } from '../../drawing/pick.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { session } from '../../state/session.svelte';
	import Frac from '../../ui/Frac.svelte';
	import PaperRow from '../../ui/PaperRow.svelte';
	import Num from '../../ui/Num.svelte';
	import { w } from '../../words/words';
	import FormSide from './FormSide.svelte';
	import type { LinesData } from './lines.svelte';
	import Act from '../../ui/Act.svelte';
	import Table from '../../ui/Table.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	let { store, pick, data }: { store: JobStore; pick: Pick; data: LinesData } = $props();
	const state = $derived(data.forms);
	const taken = (key: string) => state?.forms.takes.find((take) => take.key === key)?.text ?? '';
	const doubts = $derived(state?.findings ?? []);
	const picked = $derived(pick.side === null ? null : (state?.forms.sides[pick.side] ?? null));
	const putBack = (side: number) =>
		void data.record('form-back', { side: store.cornerId(side) }, session.who).then(() => data.load('forms'));
</script>

{#if state}
	<Verdict text={w.lines.formsTake(taken('stakes'), taken('kickers'))} under={w.lines.formsBoard(taken('boards_m'))} />
	<Table heads={[w.lines.side, w.lines.high, w.lines.boardsWord, w.lines.stakes, w.lines.kickers]}>
		{#each state.forms.sides as side}
			<tr class:on={pick.side === side.side} data-form-side={side.side}>
				<th class="whitespace-nowrap max-phone:h-44 max-phone:whitespace-normal" scope="row"
					><button
						type="button"
						class="pen plain bg-transparent bg-none p-0 [font-family:inherit] font-[700] text-ink"
						onclick={() => pick.chooseSide(side.side)}>{side.name}</button
					></th
				>
				{#if side.formed}
					{@const how = state.forms.workings[side.side]}
					<td
						class={[
							'max-phone:h-44 max-phone:whitespace-normal',
							!side.formed && 'text-ink2',
							!side.formed ? 'whitespace-normal' : 'whitespace-nowrap'
						]}
						>{#if how?.height}<Num working={how.height} text={side.height_text} />{/if}</td
					>
					<td
						class={[
							'max-phone:h-44 max-phone:whitespace-normal',
							!side.formed && 'text-ink2',
							!side.formed ? 'whitespace-normal' : 'whitespace-nowrap'
						]}
						>{side.build === 'panel' ? w.lines.panels(side.panels) : [...side.boards].reverse().join(' + ')}{side.left_out
							? `, ${w.lines.leftOut}`
							: ''}</td
					>
					<td
						class={[
							'max-phone:h-44 max-phone:whitespace-normal',
							!side.formed && 'text-ink2',
							!side.formed ? 'whitespace-normal' : 'whitespace-nowrap'
						]}
						>{#if how?.stakes && how.spacing}<Num working={how.stakes} text={String(side.stakes)} />
							{w.lines.at}
							<Num working={how.spacing} text={side.spacing_text} />{/if}</td
					>
					<td
						class={[
							'max-phone:h-44 max-phone:whitespace-normal',
							!side.formed && 'text-ink2',
							!side.formed ? 'whitespace-normal' : 'whitespace-nowrap'
						]}>{side.backfilled ? w.lines.earth : side.kickers || w.lines.none}</td
					>
				{:else}
					<td
						class={[
							'max-phone:h-44 max-phone:whitespace-normal',
							!side.formed && 'text-ink2',
							!side.formed ? 'whitespace-normal' : 'whitespace-nowrap'
						]}
						colspan="4">{side.why}</td
					>
				{/if}
			</tr>
		{/each}
		{#each state.forms.steps as step}
			<tr
				><th class="whitespace-nowrap max-phone:h-44 max-phone:whitespace-normal" scope="row">{step.name}</th><td
					class="whitespace-nowrap max-phone:h-44 max-phone:whitespace-normal"><Frac text={step.height_text} /></td
				><td class="whitespace-nowrap max-phone:h-44 max-phone:whitespace-normal">{step.board}</td><td
					class="whitespace-nowrap max-phone:h-44 max-phone:whitespace-normal"
					>{step.hangers} {step.hung ? w.lines.hangers : w.lines.stakesWord}</td
				><td class="whitespace-nowrap max-phone:h-44 max-phone:whitespace-normal"></td></tr
			>
		{/each}
	</Table>
	{#if picked}<FormSide {store} form={picked} how={state.forms.workings[picked.side]} />{:else}<p class="label">
			{w.lines.pressSide}
		</p>{/if}
	{#each doubts as doubt}
		<p class="mt-8 border-l-4 border-flag py-4 pr-0 pl-10 text-note" data-finding={doubt.code}>
			<b><Frac text={doubt.words} /></b>
			<Frac text={doubt.remedy} />
			{#if doubt.code === 'form-left-out'}<Act kind="quiet" onclick={() => putBack(Number(doubt.where.split('/').pop()))}
					>{w.lines.itIsBack}</Act
				>{/if}
		</p>
	{/each}
	<h2 class="mt-14">{w.lines.takes}</h2>
	<dl class="mx-0 mt-4 mb-10 grid grid-cols-[1fr_auto_1fr_auto] gap-x-16 gap-y-3 max-phone:grid-cols-[1fr_auto]">
		{#each state.forms.takes as take}<dt class="text-ink2">{take.name}</dt>
			<dd class="text-right font-[700]"><Num working={take.working} text={take.text} /></dd>{/each}
	</dl>
	<PaperRow href="/api/jobs/{store.id}/forms.pdf" name={w.lines.formsSheet} />
	<p class="label">{state.forms.caution}</p>
{:else}<p role="status">{data.problem || w.notices.loading}</p>{/if}
