<script lang="ts">
	/** The form board along the foot: what to order, and what the last change did to it. */
	import { saysOf } from '../outbox/says';
	import type { JobStore } from '../state/job.svelte';
	import { session } from '../state/session.svelte';
	import Frac from '../ui/Frac.svelte';
	import Num from '../ui/Num.svelte';
	import type { LensId } from './lens';
	import { w } from '../words/words';
	let { store, lens, help, toggleUnits }: { store: JobStore; lens: LensId; help: () => void; toggleUnits: () => void } = $props();
	const kept = $derived(store.kept);
	const now = $derived(store.kept?.figure ?? null);
	const trial = $derived(store.draft?.figure ?? null);
	const before = $derived(store.kept?.before ?? null);
	const unit = $derived(store.units === 'mm' ? 'm³' : 'yd');
	const moved = (was: string | null | undefined, is: string | undefined) => (was && is && was !== is ? was : '');
	const reason = $derived(trial ? '' : (kept?.summary ?? ''));
	const orderMoved = $derived(moved(before?.order, now?.concrete?.ordered.text));
	const areaMoved = $derived(moved(before?.area, now?.outline?.area_text));
	const roundMoved = $derived(moved(before?.perimeter, now?.outline?.perimeter_text));
	const loads = $derived(now?.trucks.map((truck) => truck.text).join(' + ') ?? '');
</script>

<footer class="board {lens}" aria-label="Tally">
	<div class="t" data-reading="order" aria-live="polite">
		<p class="l">{w.board.order}</p>
		{#if now?.concrete}
			<p class="v">
				{#if orderMoved && !trial}<s><Frac text={orderMoved} /></s>{/if}
				<Num working={now.concrete.ordered.order} text={now.concrete.ordered.text} /> <small>{unit}</small>
				{#if trial?.concrete}<span class="pen trial"><Frac text={trial.concrete.ordered.text} />?</span>{/if}
			</p>
			<p class="d">{reason}</p>
		{:else}
			<p class="v unknown">{w.notSet}</p>
			<p class="d">{now?.outline ? w.board.cannot : w.board.callFirst}</p>
		{/if}
		{#if store.trying.length}
			<p class="try">
				<button type="button" onclick={() => void store.keepDraft()}>{w.board.keep}</button>
				<button type="button" onclick={() => store.dropDraft()}>{w.board.drop}</button>
			</p>
		{/if}
	</div>
	<div class="t trucks" data-reading="trucks">
		<p class="l">{w.board.trucks}</p>
		{#if now?.concrete}
			<p class="v">{now.trucks.length} <small><Frac text={loads} /></small></p>
			<p class="d">{unit} each</p>
		{:else}
			<p class="v unknown">{w.notSet}</p>
			<p class="d">&nbsp;</p>
		{/if}
	</div>
	<div class="t area" data-reading="area">
		<p class="l">{w.board.area}</p>
		{#if now?.outline}
			<p class="v">
				{#if areaMoved && !trial}<s>{areaMoved.split(' ')[0]}</s>{/if}
				<Num working={now.outline.area} text={(trial?.outline ?? now.outline).area_text} />
			</p>
			<p class="d">{areaMoved ? reason : 'net of openings'}</p>
		{:else}
			<p class="v unknown">{w.notSet}</p>
			<p class="d">&nbsp;</p>
		{/if}
	</div>
	{#if lens === 'ground'}
		<div class="t round" data-reading="rod">
			<p class="l">{store.graded?.rod_zone ? w.board.rod(store.graded.rod_zone) : w.board.rodNone}</p>
			{#if store.graded?.rod}
				<p class="v">
					{#if store.graded.working}<Num working={store.graded.working} text={store.graded.rod} />{/if}
				</p>
				<p class="d">{store.graded.stuck ? w.board.laserMoved : w.board.rodNote}</p>
			{:else}
				<p class="v unknown">{w.notSet}</p>
				<p class="d">{w.board.setUpFirst}</p>
			{/if}
		</div>
	{:else}
		<div class="t round" data-reading="perimeter">
			<p class="l">{w.board.perimeter}</p>
			{#if now?.outline}
				<p class="v">
					{#if roundMoved && !trial}<s><Frac text={roundMoved.replace(' mm', '')} /></s>{/if}
					<Num working={now.outline.perimeter} text={(trial?.outline ?? now.outline).perimeter_text} />
				</p>
				<p class="d">{roundMoved ? reason : 'all sides added'}</p>
			{:else}
				<p class="v unknown">{w.notSet}</p>
				<p class="d">&nbsp;</p>
			{/if}
		</div>
	{/if}
	<div class="tools">
		<button
			type="button"
			disabled={!kept?.undo && !store.lastWaiting}
			title={store.lastWaiting ? w.outbox.takeBack(saysOf(store.lastWaiting)) : (kept?.undo ?? '')}
			onclick={store.undo}>{w.board.undo}</button
		>
		<button type="button" disabled={!kept?.redo} title={kept?.redo ?? ''} onclick={store.redo}>{w.board.redo}</button>
		<button type="button" class="wide" onclick={toggleUnits}>{store.units === 'mm' ? 'mm' : 'ft-in'}</button>
		<button type="button" class="wide" onclick={() => session.toggleDim()}>{session.dim ? w.board.day : w.board.dim}</button>
		<button type="button" class="wide" aria-label={w.board.keys} onclick={help}>?</button>
	</div>
</footer>

<style>
	.board {
		position: relative;
		flex: none;
		min-height: 80px;
		background:
			repeating-linear-gradient(
				178.6deg,
				transparent 0 9px,
				color-mix(in srgb, var(--color-grain) 34%, transparent) 9px 10px,
				transparent 10px 23px
			),
			var(--color-board);
		color: var(--color-board-ink);
		border-top: 3px solid var(--color-ink);
		display: grid;
		grid-template-columns: minmax(230px, 1.25fr) 1fr 1fr 1.15fr auto;
	}
	.t {
		padding: 6px 8px 0 18px;
		border-right: 1.5px solid var(--color-board-ink);
		min-width: 0;
		position: relative;
	}
	.l {
		font-size: 13.5px;
		line-height: 15px;
		font-weight: 620;
		color: var(--color-board-ink2);
	}
	.v {
		font-size: 30px;
		line-height: 36px;
		font-weight: 780;
		font-stretch: 90%;
		white-space: nowrap;
	}
	.v small {
		font-size: 17px;
		font-weight: 650;
	}
	.v s {
		font-size: 0.7em;
		font-weight: 480;
		margin-right: 5px;
		text-decoration-thickness: 2px;
	}
	.board :global(.wk) {
		background:
			linear-gradient(var(--color-board-ink), var(--color-board-ink)) 0 96% / 100% 2px no-repeat,
			linear-gradient(var(--color-board-ink), var(--color-board-ink)) 0 96% / 2px 8px no-repeat;
	}
	.unknown {
		font-size: 26px;
	}
	.trial {
		font-size: 24px;
		color: var(--color-board-ink);
	}
	.d {
		font-size: 13px;
		line-height: 15px;
		color: var(--color-board-ink2);
		font-weight: 560;
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	.try {
		position: absolute;
		right: 8px;
		top: 4px;
		display: flex;
		gap: 6px;
	}
	.try button {
		text-decoration: underline;
		font-weight: 720;
		font-size: 15px;
		min-height: 28px;
	}
	.tools {
		display: flex;
		gap: 4px;
		align-items: center;
		padding: 0 10px;
	}
	.tools button {
		height: 44px;
		min-width: 46px;
		padding: 0 7px;
		border: 1.5px solid var(--color-board-ink);
		font-weight: 680;
		font-size: 14px;
		font-stretch: 88%;
	}
	.tools button:disabled {
		opacity: 0.55;
		cursor: default;
	}
	@media (max-width: 1100px) {
		.round {
			display: none;
		}
		.board {
			grid-template-columns: 1.3fr 1fr 1fr auto;
		}
	}
	@media (max-width: 600px) {
		.ground .round {
			display: block;
		}
		.board {
			grid-template-columns: 1.35fr 1fr auto;
			min-height: 66px;
		}
		.ground .area,
		.trucks,
		.wide {
			display: none !important;
		}
		.t {
			padding-left: 12px;
		}
		.v {
			font-size: 23px;
			line-height: 28px;
		}
		.tools {
			padding: 0 6px;
		}
		.tools button {
			min-width: 54px;
			font-size: 15px;
		}
	}
	@media print {
		.board {
			display: none;
		}
	}
</style>
