<script lang="ts">
	/** Lines, turn by turn: walk it, look around, set it out, square it, straighten it, form it, cut the boards. */
	import { remember } from '../../state/remember.svelte';
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import Sheet from '../../drawing/Sheet.svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import type { XY } from '../../drawing/viewport';
	import Bench from '../../shell/Bench.svelte';
	import Turns from '../../shell/Turns.svelte';
	import type { JobDesk } from '../../state/job.svelte';
	import { w } from '../../words/words';
	import AroundDesk from './AroundDesk.svelte';
	import BoardsDesk from './BoardsDesk.svelte';
	import { exaggeration } from './exaggerate';
	import FormsDesk from './FormsDesk.svelte';
	import { LinesData } from './lines.svelte';
	import OverBoards from './OverBoards.svelte';
	import OverForms from './OverForms.svelte';
	import OverSetOut from './OverSetOut.svelte';
	import OverSquare from './OverSquare.svelte';
	import SetOutDesk from './SetOutDesk.svelte';
	import { SquareBox } from './square.svelte';
	import SquareDesk from './SquareDesk.svelte';
	import StraightDesk from './StraightDesk.svelte';
	import { isTurn, questionOf, TURNS, type Turn } from './turns';
	import { WalkBox } from './walk.svelte';
	import WalkDesk from './WalkDesk.svelte';
	let { desk, pick }: { desk: JobDesk; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one of each for the life of this lens)
	const [walk, data] = [new WalkBox(desk), new LinesData(desk)];
	const square = new SquareBox(data);
	// svelte-ignore state_referenced_locally (one desk for the life of this lens)
	remember(`${desk.id}/walk`, () => ({ text: walk.kind === 'outline' ? '' : walk.text, name: walk.zoneName, drop: walk.zoneDrop }), (old) => {
		[walk.zoneName, walk.zoneDrop] = [old.name, old.drop];
		if (old.text && !walk.text) walk.type(old.text);
	});
	// svelte-ignore state_referenced_locally (one desk for the life of this lens)
	remember(`${desk.id}/square`, () => (square.unkept ? { rows: square.rows, hold: square.hold, ids: square.ids } : null), (old) => old && square.bringBack(old.rows, old.hold, old.ids));
	const outline = $derived(desk.figure?.outline ?? null);
	const turn = $derived.by((): Turn => {
		const asked = page.url.searchParams.get('turn');
		return outline && isTurn(asked) ? asked : 'walk';
	});
	$effect(() => {
		const now = turn;
		void desk.kept?.revision;
		void untrack(async () => {
			await data.load(now === 'straight' ? 'forms' : now);
			if (square.rows.length) await square.refresh();
		});
	});
	$effect(() => {
		if (turn !== 'square' || !data.setOut || !data.recorded) return;
		untrack(() => {
			const last = data.records.find((row) => row.kind === 'taped');
			if (square.rows.length) return;
			if (last) square.load(last.values, last.shown);
			else square.fill();
		});
	});
	const ring = $derived((desk.document?.outline ?? []));
	const also = $derived.by((): XY[] => {
		const nails = turn === 'setout' && data.setOut ? data.setOut.strings.flatMap((line) => [line.start, line.end]).map((nail): XY => [nail.x_mm, nail.y_mm]) : [];
		const near = turn === 'around' ? (desk.document?.existing ?? []).flatMap((thing) => thing.polygon) : [];
		return [...nails, ...near];
	});
	let across = $state(1280);
	const wide = $derived(across > 600);
	const squared = $derived(square.answer?.squared ?? null);
	const title = $derived(turn === 'walk' ? (outline ? w.lines.outlineTitle : walk.ghost.length > 1 ? w.lines.called : w.lines.empty) : w.lines.turns[turn].sheet);
</script>

<svelte:window bind:innerWidth={across} />
<Sheet {desk} {pick} editable={turn === 'walk'} {title} ghost={turn === 'walk' ? walk.ghost : []} {also} strips={turn === 'walk'} labels={turn === 'walk' || turn === 'around'} sizes={turn !== 'setout' && turn !== 'boards'}>
	{#snippet key()}
		{#if !outline && walk.ghost.length < 2}<p class="label">{w.lines.emptyHow}</p>{/if}
		{#if turn === 'setout'}<p class="label">{w.lines.setOutKey}</p>{/if}
		{#if turn === 'forms'}<p class="label">{w.lines.formsKey}</p>{/if}
		{#if turn === 'boards'}<p class="label">{w.lines.boardsKey}</p>{/if}
	{/snippet}
	{#snippet over(view)}
		{#if turn === 'setout' && data.setOut}<OverSetOut {view} sheet={data.setOut} />{/if}
		{#if (turn === 'around' || turn === 'setout') && data.setOut}<path d={view.path([data.setOut.baseline_line], false)} class="held" />{/if}
		{#if turn === 'square' && squared}
			<OverSquare {view} {ring} {squared} roomy={wide} />
			{#if exaggeration(squared, view.scale) > 1}<text x="20" y="47" class="times">{w.lines.tooFar(exaggeration(squared, view.scale))}</text>{/if}
		{/if}
		{#if (turn === 'forms' || turn === 'straight') && data.forms}<OverForms {view} {ring} forms={data.forms.forms} picked={pick.side} />{/if}
		{#if turn === 'boards' && data.cuts}<OverBoards {view} {ring} cuts={data.cuts} picked={pick.side} />{/if}
	{/snippet}
</Sheet>
<Bench question={questionOf(turn)} jobId={desk.id}>
	{#if outline}
		<Turns turns={TURNS.map((one) => ({ key: one, name: w.lines.turns[one].name }))} here={turn} name={w.lines.turnsName} />
	{/if}
	{#if turn === 'walk'}<WalkDesk {desk} {pick} box={walk} />
	{:else if turn === 'around'}<AroundDesk {desk} {data} />
	{:else if turn === 'setout'}{#if data.setOut}<SetOutDesk sheet={data.setOut} {desk} />{/if}
	{:else if turn === 'square'}<SquareDesk box={square} />
	{:else if turn === 'straight'}<StraightDesk {data} {pick} />
	{:else if turn === 'forms'}<FormsDesk {desk} {pick} {data} />
	{:else}<BoardsDesk {data} {pick} />{/if}
</Bench>

<style>
	.held {
		fill: none;
		stroke: var(--chalk);
		stroke-width: 6;
	}
	.times {
		font-size: 14px;
		font-weight: 560;
		fill: var(--ink2);
	}
</style>
