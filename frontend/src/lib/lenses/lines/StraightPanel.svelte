<script lang="ts">
	/** Straight and level: readings at each stake of a side, drawn along it too far out, the worst first. */
	import type { Pick } from '../../drawing/pick.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { remember } from '../../state/remember.svelte';
	import { w } from '../../words/words';
	import type { LinesData } from './lines.svelte';
	import SideProfile from './SideProfile.svelte';
	import { StraightBox } from './straight.svelte';
	import Choice from '../../ui/Choice.svelte';
	import Act from '../../ui/Act.svelte';
	import { lengthKeys } from '../../ui/typed';
	let { data, pick }: { data: LinesData; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one box for the life of this tab)
	const box = new StraightBox(data);
	// svelte-ignore state_referenced_locally (one job for the life of this tab)
	remember(
		`${data.store.id}/straight-want`,
		() => box.want,
		(old) => (box.want = old)
	);
	const outline = $derived(data.store.figure?.outline ?? null);
	const side = $derived(pick.side ?? 0);
	$effect(() => {
		box.open(side, data.forms?.forms.sides[side], outline?.sides[side]?.mm ?? 1);
	});
	const nearest = (mm: number) => outline && box.checked?.moves.find((move) => Math.abs(move.at_mm - mm) < 1);
	const kept = $derived(
		data.records.filter(
			(row) => row.kind !== 'taped' && row.kind !== 'form-back' && row.values['side'] === data.store.cornerId(side)
		)
	);
	const at = (mm: number) =>
		data.store.units === 'mm'
			? `${Math.round(mm)}`
			: `${Math.floor(mm / 304.8 + 1e-6)}′${Math.round((mm / 25.4) % 12) % 12 ? ` ${Math.round((mm / 25.4) % 12) % 12}″` : ''}`;
</script>

<div class="row mx-0 my-6 flex flex-wrap items-end gap-6">
	<Choice
		rows={(['string-gaps', 'form-levels'] as const).map((kind) => ({ value: kind, label: w.lines.checks[kind] }))}
		value={box.kind}
		pick={(kind) => kind && box.choose(kind)}
		name={w.lines.checkName}
	/>
	<Choose
		name={w.lines.side}
		rows={(outline?.sides ?? []).map((one, i) => ({ value: `${i}`, label: one.name }))}
		value={`${side}`}
		pick={(at) => pick.chooseSide(Number(at))}
	/>
</div>
<div class="saying min-h-70" aria-live="polite">
	{#if box.checked}
		<p class="big" class:good={!box.checked.worst.length}><Frac text={box.checked.verdict} /></p>
		{#each box.checked.worst.slice(0, 3) as act}<p class="act-line"><Frac text={act} /></p>{/each}
		<SideProfile checked={box.checked} />
	{:else if box.problem && box.problem.row < 0}<p class="wrong" role="alert">{box.problem.words}</p>
	{:else}<p class="big plain">{box.kind === 'string-gaps' ? w.lines.gapFirst : w.lines.rodFirst}</p>{/if}
</div>
<div class="row mx-0 my-6 flex flex-wrap items-end gap-6">
	{#if box.kind === 'string-gaps'}
		<label class="label"
			>{w.lines.block}<input
				{...lengthKeys(data.store.units)}
				class="well block w-120"
				bind:value={box.block}
				oninput={() => box.soon()}
			/></label
		>
		<Choice
			rows={[
				{ value: 'out', label: w.lines.stringOut },
				{ value: 'in', label: w.lines.stringIn }
			]}
			value={box.inside ? 'in' : 'out'}
			pick={(now) => {
				if (!now) return;
				box.inside = now === 'in';
				box.soon();
			}}
			name={w.lines.stringName}
		/>
	{:else}
		<label class="label">{w.lines.want}<input class="well block w-120" bind:value={box.want} oninput={() => box.soon()} /></label>
	{/if}
</div>
<div class="stakes grid grid-cols-[repeat(auto-fill,minmax(118px,1fr))] gap-x-14 gap-y-8">
	{#each box.stations as mm, i}
		<label>
			<span class="label block">{w.lines.stakeAt} {at(mm)}</span>
			<input
				{...lengthKeys(data.store.units)}
				class="reading w-full"
				value={box.typed[i] ?? ''}
				aria-invalid={box.problem?.row === i}
				oninput={(e) => box.type(i, e.currentTarget.value)}
				autocomplete="off"
			/>
			<span class="text-note font-mid"><Frac text={nearest(mm)?.words.replace(/^At .*?: /, '') ?? ''} /></span>
			{#if box.problem?.row === i}<span class="wrong" role="alert">{box.problem.words}</span>{/if}
		</label>
	{/each}
</div>
<div class="row mx-0 my-6 flex flex-wrap items-end gap-6">
	<Act kind="main" disabled={!box.readings} onclick={() => void box.keep()}>{w.lines.keepReadings}</Act>
	<span role="status">{box.kept}</span>
</div>
{#each kept.slice(0, 4) as row (row.id)}<p class="border-t border-hair px-0 py-4">
		<Frac text={row.verdict} /> <span class="label">{row.who}</span>
	</p>{/each}
