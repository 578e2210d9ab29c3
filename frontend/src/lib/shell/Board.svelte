<script lang="ts">
	/** The form board along the foot: what to order, and what the last change did to it. */
	import type { JobStore } from '../state/job.svelte';
	import { session } from '../state/session.svelte';
	import Frac from '../ui/Frac.svelte';
	import Num from '../ui/Num.svelte';
	import Tip from '../ui/Tip.svelte';
	import type { LensId } from '../lenses/lens';
	import { whenText } from '../ui/days';
	import { boardSays } from './board_says.svelte';
	import { help } from './help.svelte';
	import BoardCell from './BoardCell.svelte';
	import { foldedLoads } from '../words/loads';
	import { w } from '../words/words';
	let { store, lens }: { store: JobStore; lens: LensId } = $props();
	const kept = $derived(store.kept);
	const now = $derived(store.kept?.figure ?? null);
	const trial = $derived(store.draft?.figure ?? null);
	const before = $derived(store.kept?.before ?? null);
	const unit = $derived(store.units === 'mm' ? 'm³' : 'yd');
	const moved = (was: string | null | undefined, is: string | undefined) => (was && is && was !== is ? was : '');
	const reason = $derived(trial ? '' : (kept?.summary ?? ''));
	/** the slab's order; of a job that is footings alone so far, theirs */
	const ordered = $derived(now?.concrete?.ordered ?? (now?.outline ? undefined : now?.footings?.ordered));
	const orderMoved = $derived(moved(before?.order, ordered?.text));
	const areaMoved = $derived(moved(before?.area, now?.outline?.area_text));
	const roundMoved = $derived(moved(before?.perimeter, now?.outline?.perimeter_text));
	const loads = $derived(foldedLoads(ordered?.trucks.map((truck) => truck.text) ?? []).join(' + '));
	const pourAt = $derived(store.document?.order.pour_at ?? null);
	const TRY = 'min-h-28 text-body font-strong underline';
	const PRESS =
		'h-44 min-w-46 border-[1.5px] border-board-ink px-7 text-note font-[680] font-stretch-[88%] active:bg-board-ink ' +
		'active:text-board disabled:opacity-55 disabled:cursor-default max-phone:min-w-50 max-phone:text-body';
</script>

<footer
	class={[
		'relative grid min-h-80 flex-none border-t-3 border-ink text-board-ink',
		'grid-cols-[minmax(230px,1.25fr)_1fr_1fr_1.15fr_auto] max-fold:grid-cols-[1.3fr_1fr_1fr_auto]',
		'max-phone:min-h-66 max-phone:grid-cols-[1.2fr_1.15fr_auto] print:hidden',
		'side:h-50 side:min-h-50 side:grid-cols-[1.3fr_1fr_auto] short:max-phone:min-h-54',
		'board planed'
	]}
	aria-label={w.board.tally}
>
	<BoardCell
		reading="order"
		name={w.board.order}
		was={trial ? '' : orderMoved}
		note={now?.concrete ? reason : now?.outline ? w.board.cannot : ordered ? w.board.forFootings : w.board.callFirst}
		value={ordered ? order : false}
		chars={`${orderMoved} ${ordered?.text ?? ''}`.trim().length}
		aria-live="polite"
	>
		{#snippet more()}
			{#if store.trying.length}
				<p class="absolute top-4 right-8 flex gap-6">
					<button class={TRY} type="button" onclick={() => void store.keepDraft()}>{w.board.keep}</button>
					<button class={TRY} type="button" onclick={() => store.letGo()}>{w.board.drop}</button>
				</p>
			{/if}
		{/snippet}
	</BoardCell>
	{#snippet order()}
		{#if ordered}
			<Num working={ordered.order} text={ordered.text} />
			<small class="text-key font-[650]">{unit}</small>
			{#if trial?.concrete}<span class="pen trial text-call text-board-ink"><Frac text={trial.concrete.ordered.text} />?</span
				>{/if}
		{/if}
	{/snippet}
	{#if lens === 'pour' && boardSays.pour}
		<BoardCell
			reading="placed"
			name={w.board.inForms}
			note={w.board.ofAbout(boardSays.pour.of)}
			value={placed}
			class="max-phone:hidden side:hidden!"
		/>
		<BoardCell reading="last" name={w.board.lastTruck} note={boardSays.pour.by} value={last} />
	{:else if lens === 'cure' && boardSays.lessons}
		<BoardCell
			reading="next-like-it"
			name={w.board.nextLikeIt}
			note={boardSays.lessons.over}
			was={boardSays.lessons.was}
			value={nextLikeIt}
			class="max-phone:hidden side:hidden!"
		/>
		<BoardCell reading="kept" name={w.board.keptOf} note={boardSays.lessons.kept} value={lessonsTaken} />
	{:else}
		<BoardCell
			reading="trucks"
			name={w.board.trucks}
			note={ordered ? `${unit} each` : ''}
			value={ordered ? trucks : false}
			class="max-phone:hidden side:hidden!"
		/>
		{#snippet trucks()}{ordered?.trucks.length} <small class="text-key font-[650]"><Frac text={loads} /></small>{/snippet}
		<BoardCell
			reading="area"
			name={w.board.area}
			was={trial ? '' : (areaMoved.split(' ')[0] ?? '')}
			note={now?.outline ? (areaMoved ? reason : w.board.net) : ''}
			value={now?.outline ? area : false}
			chars={`${trial ? '' : areaMoved.split(' ')[0]} ${now?.outline?.area_text ?? ''}`.trim().length}
			class={lens === 'ground' ? 'max-phone:hidden side:hidden!' : ''}
		/>
	{/if}
	{#snippet nextLikeIt()}<Frac text={boardSays.lessons?.would ?? ''} />
		<small class="text-key font-[650]">{boardSays.lessons?.unit}</small>{/snippet}
	{#snippet lessonsTaken()}<span class="line-clamp-2 text-read leading-tight font-heavy whitespace-normal"
			>{boardSays.lessons?.taken}</span
		>{/snippet}
	{#snippet placed()}<Frac text={boardSays.pour?.placed ?? ''} />{/snippet}
	{#snippet last()}<Frac text={boardSays.pour?.last ?? ''} />{/snippet}
	{#snippet area()}
		{#if now?.outline}<Num working={now.outline.area} text={(trial?.outline ?? now.outline).area_text} />{/if}
	{/snippet}
	{#if lens === 'gate'}
		<BoardCell
			reading="pour"
			name={w.board.pour}
			note={boardSays.hold ? w.board.nextHold(boardSays.hold) : w.board.pourNote}
			value={pourAt ? pour : false}
			class="max-fold:hidden side:hidden!"
		/>
	{:else if lens === 'pour'}
		<BoardCell
			reading="next"
			name={w.board.next}
			note={boardSays.next?.when ?? ''}
			value={boardSays.next ? next : false}
			class="max-fold:hidden side:hidden!"
		/>
	{:else if lens === 'cure' && (boardSays.lessons?.next || boardSays.build)}
		<BoardCell
			reading="cure"
			name={boardSays.lessons?.next ? w.board.next : w.board.strength}
			value={cureNext}
			class="max-fold:hidden side:hidden!"
		/>
	{:else if lens === 'ground'}
		<BoardCell
			reading="rod"
			name={store.graded?.rod_zone ? w.board.rod(store.graded.rod_zone) : w.board.rodNone}
			note={!store.graded?.rod ? w.board.setUpFirst : store.graded.stuck ? w.board.laserMoved : w.board.rodNote}
			value={store.graded?.rod ? rod : false}
			class="max-fold:hidden max-phone:block side:flex!"
		/>
	{:else}
		<BoardCell
			reading="perimeter"
			name={w.board.perimeter}
			was={trial ? '' : roundMoved.replace(' mm', '')}
			note={now?.outline ? (roundMoved ? reason : w.board.sidesAdded) : ''}
			value={now?.outline ? perimeter : false}
			class="max-fold:hidden side:hidden!"
		/>
	{/if}
	{#snippet cureNext()}<span class="line-clamp-2 text-read leading-tight font-heavy whitespace-normal"
			><Frac text={boardSays.lessons?.next || boardSays.build} /></span
		>{/snippet}
	{#snippet next()}<span class="line-clamp-2 text-read leading-tight font-heavy whitespace-normal"
			><Frac text={boardSays.next?.act ?? ''} /></span
		>{/snippet}
	{#snippet pour()}<span class="text-call">{whenText(pourAt ?? '')}</span>{/snippet}
	{#snippet rod()}
		{#if store.graded?.working}<Num working={store.graded.working} text={store.graded.rod ?? ''} />{/if}
	{/snippet}
	{#snippet perimeter()}
		{#if now?.outline}<Num working={now.outline.perimeter} text={(trial?.outline ?? now.outline).perimeter_text} />{/if}
	{/snippet}
	<div class="flex items-center gap-4 px-10 max-phone:px-6">
		<Tip says={store.lastWaiting ? w.outbox.takeBack(store.undoes) : store.undoes}>
			{#snippet children(props)}<button {...props} class={PRESS} type="button" disabled={!store.undoes} onclick={store.undo}
					>{w.board.undo}</button
				>{/snippet}
		</Tip>
		<Tip says={store.redoes}>
			{#snippet children(props)}<button {...props} class={PRESS} type="button" disabled={!store.redoes} onclick={store.redo}
					>{w.board.redo}</button
				>{/snippet}
		</Tip>
		<button type="button" class={[PRESS, 'max-phone:hidden']} onclick={store.toggleUnits}
			>{store.units === 'mm' ? 'mm' : 'ft-in'}</button
		>
		<button type="button" class={[PRESS, 'max-phone:hidden']} onclick={() => session.toggleDim()}
			>{session.dim ? w.board.day : w.board.dim}</button
		>
		<button type="button" class={[PRESS, 'max-phone:hidden']} aria-label={w.help.title} onclick={help.show}>?</button>
	</div>
</footer>

<style>
	.board :global(.wk) {
		background:
			linear-gradient(var(--color-board-ink), var(--color-board-ink)) 0 96% / 100% 2px no-repeat,
			linear-gradient(var(--color-board-ink), var(--color-board-ink)) 0 96% / 2px 8px no-repeat;
	}
</style>
