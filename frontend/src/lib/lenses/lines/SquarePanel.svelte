<script lang="ts">
	/** Square it: what was taped, in any order; the verdict, the acts, and what to tape next. */
	import { cornerName } from '../../drawing/pick.svelte';
	import Choose from '../../ui/Choose.svelte';
	import PaperRow from '../../ui/PaperRow.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { w } from '../../words/words';
	import Rounds from './Rounds.svelte';
	import type { End, SquareBox } from './square.svelte';
	import Act from '../../ui/Act.svelte';
	import Table from '../../ui/Table.svelte';
	import { lengthKeys } from '../../ui/typed';
	let { box }: { box: SquareBox } = $props();
	const squared = $derived(box.answer?.squared ?? null);
	let [one, other] = $state([0, 2]);
	let mark = $state({ side: -1, at: '' });
	const ends = $derived(Array.from({ length: box.corners }, (_, i) => ({ value: `${i}`, label: cornerName(i) })));
	function take(measure: Record<string, unknown>) {
		const at = box.add(measure['from'] as End, measure['to'] as End);
		requestAnimationFrame(() => document.getElementById(`taped-${at}`)?.focus());
	}
</script>

<div class="saying min-h-92" aria-live="polite" data-inside={squared?.inside ?? false}>
	{#if squared}
		<p class="big" class:good={squared.inside}><Frac text={squared.verdict} /></p>
		{#each squared.acts as act}<p class="act-line"><Frac text={act} /></p>{/each}
		{#if squared.doubt}<p class="wrong"><Frac text={squared.doubt} /></p>{/if}
		{#if squared.advice.length}
			<div class="row mt-8 flex flex-wrap items-end gap-8">
				{#each squared.advice.slice(0, 3) as next}
					<Act kind="quiet" onclick={() => take(next.measure)}><Frac text={`${w.lines.tapeNext} ${next.name}`} /></Act>
				{/each}
			</div>
		{/if}
		<p class="label"><Frac text={w.lines.misfit(squared.misfit_mm, box.filled.length, box.answer?.tolerance_text ?? '')} /></p>
	{:else if box.problem && box.problem.row < 0}
		<p class="wrong" role="alert">{box.problem.words}</p>
	{:else}
		<p class="big plain">{w.lines.tapeFirst}</p>
		<p>{w.lines.tapeHow}</p>
	{/if}
</div>

<Table heads={[w.lines.measure, w.lines.should, w.lines.taped, w.lines.rest]}>
	{#each box.rows as row, i}
		<tr class:suspect={box.resultOf(i) === 'left out'}>
			<th class={['max-w-210 font-plain', box.resultOf(i) === 'left out' && 'text-flag line-through']} scope="row">
				{#if row.line}{box.nameOf(row.to)} {w.lines.offLine} <b>{cornerName(row.line[0])}</b>–<b>{cornerName(row.line[1])}</b>
				{:else}<b><Frac text={box.nameOf(row.from)} /></b> to <b><Frac text={box.nameOf(row.to)} /></b>{/if}
			</th>
			<td class="h-34"><Frac text={row.should} /></td>
			<td class="h-34">
				<input
					{...lengthKeys(box.units)}
					id="taped-{i}"
					class={['reading w-132 max-phone:w-112', box.resultOf(i) === 'left out' && 'text-flag line-through']}
					aria-label="{w.lines.taped}, {box.nameOf(row.from)} to {box.nameOf(row.to)}"
					aria-invalid={box.problem?.row === i}
					value={row.typed}
					autocomplete="off"
					oninput={(event) => box.type(i, event.currentTarget.value)}
					onkeydown={(event) => event.key === 'Enter' && document.getElementById(`taped-${i + 1}`)?.focus()}
				/>
			</td>
			<td class={['h-34 font-[620] whitespace-nowrap', box.resultOf(i) === 'left out' && 'text-flag line-through']}
				><Frac text={box.resultOf(i)} /></td
			>
		</tr>
		{#if box.problem?.row === i}
			<tr
				><td class="h-34" colspan="4"
					><div class="wrong" role="alert">
						{box.problem.words}
						{#each box.problem.choices as text}<Act kind="quiet" onclick={() => box.type(i, text)}>{text}</Act>{/each}
					</div></td
				></tr
			>
		{/if}
	{/each}
</Table>
<div class="row add mt-8 flex flex-wrap items-end gap-8">
	<Choose label name={w.lines.from} rows={ends} value={`${one}`} pick={(at) => (one = Number(at))} />
	<Choose label name={w.lines.to} rows={ends} value={`${other}`} pick={(at) => (other = Number(at))} />
	<Choose
		label
		name={w.lines.orMark}
		rows={[{ value: '-1', label: '–' }, ...box.sideNames.map((label, i) => ({ value: `${i}`, label }))]}
		value={`${mark.side}`}
		pick={(at) => (mark.side = Number(at))}
	/>
	{#if mark.side >= 0}<label class="label"
			>{w.lines.markAt(cornerName(mark.side))}<input
				{...lengthKeys(box.units)}
				class="reading w-132 max-phone:w-112"
				bind:value={mark.at}
			/></label
		>{/if}
	<Act
		kind="quiet"
		disabled={mark.side < 0 ? one === other : !mark.at.trim()}
		onclick={() => take({ from: one, to: mark.side < 0 ? other : { side: mark.side, at_mm: mark.at.trim() } })}
		>{w.lines.addTape}</Act
	>
	<Act kind="quiet" disabled={box.hold.includes(other)} onclick={() => box.addOffset(other)}
		>{w.lines.addOffset(cornerName(box.hold[0]), cornerName(box.hold[1]))}</Act
	>
</div>
<div class="row mt-8 flex flex-wrap items-end gap-8">
	<Act kind="main" disabled={!box.filled.length} onclick={() => void box.keep()}>{w.lines.keepRound}</Act>
	{#if squared?.determined && !squared.inside && squared.acts.length}<Act kind="quiet" onclick={() => void box.planAsLaid()}
			>{w.lines.asLaid}</Act
		>{/if}
	<span role="status">{box.corrects ? w.lines.correcting : box.kept}</span>
</div>
<Field
	label={w.lines.rightInside}
	width="230px"
	calm
	placeholder={box.answer?.tolerance_text ?? w.asCrew}
	value={box.ownTolerance}
	problem={box.data.store.problemFor('tolerance')}
	keep={(typed) => box.setTolerance(typed)}
/>
<PaperRow href="/api/jobs/{box.data.store.id}/check.pdf" name={w.lines.checkSheet} />
<p class="label">{w.lines.tapeNote}</p>
<Rounds {box} />
