<script lang="ts">
	/** Lines, tab by tab: walk it, look around, set it out, square it, straighten it, form it, cut the boards. */
	import { remember } from '../../state/remember.svelte';
	import { untrack } from 'svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import type { Pick } from '../../drawing/pick.svelte';
	import type { XY } from '../../drawing/viewport';
	import LensFrame from '../../shell/LensFrame.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { w } from '../../words/words';
	import AroundPanel from './AroundPanel.svelte';
	import Later from '../../ui/Later.svelte';
	import { boards } from '../../shell/parts';
	import { exaggeration } from './exaggerate';
	import EmptyStart from './EmptyStart.svelte';
	import FormsPanel from './FormsPanel.svelte';
	import { LinesData } from './lines.svelte';
	import OverBoards from './OverBoards.svelte';
	import OverForms from './OverForms.svelte';
	import OverSetOut from './OverSetOut.svelte';
	import OverSquare from './OverSquare.svelte';
	import SetOutPanel from './SetOutPanel.svelte';
	import { SquareBox } from './square.svelte';
	import SquarePanel from './SquarePanel.svelte';
	import StraightPanel from './StraightPanel.svelte';
	import { Turn } from '../turn.svelte';
	import { linesLens } from './lens';
	import { WalkBox } from './walk.svelte';
	import WalkPanel from './WalkPanel.svelte';
	let { store, pick }: { store: JobStore; pick: Pick } = $props();
	// svelte-ignore state_referenced_locally (one of each for the life of this lens)
	const [walk, data] = [new WalkBox(store), new LinesData(store)];
	const square = new SquareBox(data);
	// svelte-ignore state_referenced_locally (one store for the life of this lens)
	remember(
		`${store.id}/walk`,
		() => ({ text: walk.kind === 'outline' ? '' : walk.text, name: walk.zoneName, drop: walk.zoneDrop }),
		(old) => {
			[walk.zoneName, walk.zoneDrop] = [old.name, old.drop];
			if (old.text && !walk.text) walk.type(old.text);
		}
	);
	// svelte-ignore state_referenced_locally (one store for the life of this lens)
	remember(
		`${store.id}/square`,
		() => (square.unkept ? { rows: square.rows, hold: square.hold, ids: square.ids } : null),
		(old) => old && square.bringBack(old.rows, old.hold, old.ids)
	);
	const outline = $derived(store.figure?.outline ?? null);
	const turn = new Turn(linesLens);
	const tab = $derived(outline ? turn.tab : 'walk');
	$effect(() => {
		const now = tab;
		void store.kept?.revision;
		void untrack(async () => {
			await data.load(now === 'straight' ? 'forms' : now);
			if (square.rows.length) await square.refresh();
		});
	});
	$effect(() => {
		void store.kept?.records;
		untrack(() => data.recorded && void data.loadRecords());
	});
	$effect(() => {
		if (tab !== 'square' || !data.setOut || !data.recorded) return;
		untrack(() => {
			const last = data.records.find((row) => row.kind === 'taped');
			if (square.rows.length) return;
			if (last) square.load(last.values, last.shown);
			else square.fill();
		});
	});
	const ring = $derived(store.document?.outline ?? []);
	const also = $derived.by((): XY[] => {
		const nails =
			tab === 'setout' && data.setOut
				? data.setOut.strings.flatMap((line) => [line.start, line.end]).map((nail): XY => [nail.x_mm, nail.y_mm])
				: [];
		const near = tab === 'around' ? (store.document?.existing ?? []).flatMap((thing) => thing.polygon) : [];
		return [...nails, ...near];
	});
	let across = $state(1280);
	const wide = $derived(across > 600);
	const squared = $derived(square.answer?.squared ?? null);
	const title = $derived(
		tab === 'walk'
			? outline
				? w.lines.outlineTitle
				: walk.ghost.length > 1
					? w.lines.called
					: w.lines.empty
			: w.lines.tabs[tab].sheet
	);
</script>

<svelte:window bind:innerWidth={across} />
<LensFrame {turn} name={w.lines.tabsName} ready={outline !== null}>
	{#snippet sheet()}
		<Sheet
			{store}
			{pick}
			editable={tab === 'walk'}
			{title}
			ghost={tab === 'walk' ? walk.ghost : []}
			{also}
			strips={tab === 'walk'}
			labels={tab === 'walk' || tab === 'around'}
			sizes={tab !== 'setout' && tab !== 'boards'}
			letters={tab !== 'boards'}
			flat={tab === 'boards'}
		>
			{#snippet key()}
				{#if !outline && walk.ghost.length < 2}<p class="label">{w.lines.emptyHow}</p>{/if}
				{#if tab === 'setout'}<p class="label">{w.lines.setOutKey}</p>{/if}
				{#if tab === 'forms'}<p class="label">{w.lines.formsKey}</p>{/if}
				{#if tab === 'boards' && wide}<p class="label">{w.lines.boardsKey}</p>{/if}
			{/snippet}
			{#snippet over(view)}
				{#if tab === 'setout' && data.setOut}<OverSetOut {view} sheet={data.setOut} />{/if}
				{#if (tab === 'around' || tab === 'setout') && data.setOut}<path
						d={view.path([data.setOut.baseline_line], false)}
						class="fill-none stroke-chalk stroke-6"
					/>{/if}
				{#if tab === 'square' && squared}
					<OverSquare {view} {ring} {squared} roomy={wide} />
					{#if exaggeration(squared, view.scale) > 1}<text x="20" y="47" class="fill-ink2 text-note font-label"
							>{w.lines.tooFar(exaggeration(squared, view.scale))}</text
						>{/if}
				{/if}
				{#if (tab === 'forms' || tab === 'straight') && data.forms}<OverForms
						{view}
						{ring}
						forms={data.forms.forms}
						picked={pick.side}
					/>{/if}
				{#if tab === 'boards' && data.cuts}<OverBoards
						{view}
						{ring}
						cuts={data.cuts}
						forms={data.forms?.forms ?? null}
						picked={data.piece}
						pick={(key, side) => {
							data.piece = data.piece === key ? '' : key;
							if (side >= 0) pick.chooseSide(side);
						}}
					/>{/if}
			{/snippet}
			{#snippet foot(width, height)}
				{#if !outline && walk.ghost.length < 2}<EmptyStart {width} {height} />{/if}
			{/snippet}
		</Sheet>
	{/snippet}
	{#snippet empty()}<WalkPanel {store} {pick} box={walk} />{/snippet}
	{#if tab === 'walk'}<WalkPanel {store} {pick} box={walk} />
	{:else if tab === 'around'}<AroundPanel {store} {data} />
	{:else if tab === 'setout'}{#if data.setOut}<SetOutPanel sheet={data.setOut} {store} />{/if}
	{:else if tab === 'square'}<SquarePanel box={square} />
	{:else if tab === 'straight'}<StraightPanel {data} {pick} />
	{:else if tab === 'forms'}<FormsPanel {store} {pick} {data} />
	{:else}<Later load={boards} given={{ data, pick }} />{/if}
</LensFrame>
