<script lang="ts">
	/** The form board along the foot: what to order, and what the last change did to it. */
	import { saysOf } from '../outbox/says';
	import type { JobStore } from '../state/job.svelte';
	import { session } from '../state/session.svelte';
	import Frac from '../ui/Frac.svelte';
	import Num from '../ui/Num.svelte';
	import type { LensId } from '../lenses/lens';
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

<footer
	class={[
		'relative grid min-h-80 flex-none border-t-3 border-ink text-board-ink',
		'grid-cols-[minmax(230px,1.25fr)_1fr_1fr_1.15fr_auto] max-fold:grid-cols-[1.3fr_1fr_1fr_auto]',
		'max-phone:min-h-66 max-phone:grid-cols-[1.35fr_1fr_auto] print:hidden',
		`board ${lens}`
	]}
	aria-label="Tally"
>
	<div
		class="relative min-w-0 border-r-[1.5px] border-board-ink pt-6 pr-8 pb-0 pl-18 max-phone:pl-12"
		data-reading="order"
		aria-live="polite"
	>
		<p class="text-[13.5px] leading-15 font-[620] text-board-ink2">{w.board.order}</p>
		{#if now?.concrete}
			<p
				class={[
					'v text-tally leading-36 font-heavy whitespace-nowrap font-stretch-[90%] max-phone:text-[23px]',
					'max-phone:leading-28'
				]}
			>
				{#if orderMoved && !trial}<s class="mr-5 text-[0.7em] font-plain [text-decoration-thickness:2px]"
						><Frac text={orderMoved} /></s
					>{/if}
				<Num working={now.concrete.ordered.order} text={now.concrete.ordered.text} />
				<small class="text-key font-[650]">{unit}</small>
				{#if trial?.concrete}<span class="pen trial text-[24px] text-board-ink"><Frac text={trial.concrete.ordered.text} />?</span
					>{/if}
			</p>
			<p class="d overflow-hidden text-label leading-15 font-label text-ellipsis whitespace-nowrap text-board-ink2">{reason}</p>
		{:else}
			<p
				class={[
					'v text-[26px] leading-36 font-heavy whitespace-nowrap font-stretch-[90%] max-phone:text-[23px]',
					'max-phone:leading-28'
				]}
			>
				{w.notSet}
			</p>
			<p class="d overflow-hidden text-label leading-15 font-label text-ellipsis whitespace-nowrap text-board-ink2">
				{now?.outline ? w.board.cannot : w.board.callFirst}
			</p>
		{/if}
		{#if store.trying.length}
			<p class="absolute top-4 right-8 flex gap-6">
				<button class="min-h-28 text-body font-strong underline" type="button" onclick={() => void store.keepDraft()}
					>{w.board.keep}</button
				>
				<button class="min-h-28 text-body font-strong underline" type="button" onclick={() => store.dropDraft()}
					>{w.board.drop}</button
				>
			</p>
		{/if}
	</div>
	<div
		class={['relative min-w-0 border-r-[1.5px] border-board-ink pt-6 pr-8 pb-0 pl-18 max-phone:pl-12', 'max-phone:hidden!']}
		data-reading="trucks"
	>
		<p class="text-[13.5px] leading-15 font-[620] text-board-ink2">{w.board.trucks}</p>
		{#if now?.concrete}
			<p
				class={[
					'v text-tally leading-36 font-heavy whitespace-nowrap font-stretch-[90%] max-phone:text-[23px]',
					'max-phone:leading-28'
				]}
			>
				{now.trucks.length} <small class="text-key font-[650]"><Frac text={loads} /></small>
			</p>
			<p class="d overflow-hidden text-label leading-15 font-label text-ellipsis whitespace-nowrap text-board-ink2">
				{unit} each
			</p>
		{:else}
			<p
				class={[
					'v text-[26px] leading-36 font-heavy whitespace-nowrap font-stretch-[90%] max-phone:text-[23px]',
					'max-phone:leading-28'
				]}
			>
				{w.notSet}
			</p>
			<p class="d overflow-hidden text-label leading-15 font-label text-ellipsis whitespace-nowrap text-board-ink2">&nbsp;</p>
		{/if}
	</div>
	<div class="area relative min-w-0 border-r-[1.5px] border-board-ink pt-6 pr-8 pb-0 pl-18 max-phone:pl-12" data-reading="area">
		<p class="text-[13.5px] leading-15 font-[620] text-board-ink2">{w.board.area}</p>
		{#if now?.outline}
			<p
				class={[
					'v text-tally leading-36 font-heavy whitespace-nowrap font-stretch-[90%] max-phone:text-[23px]',
					'max-phone:leading-28'
				]}
			>
				{#if areaMoved && !trial}<s class="mr-5 text-[0.7em] font-plain [text-decoration-thickness:2px]"
						>{areaMoved.split(' ')[0]}</s
					>{/if}
				<Num working={now.outline.area} text={(trial?.outline ?? now.outline).area_text} />
			</p>
			<p class="d overflow-hidden text-label leading-15 font-label text-ellipsis whitespace-nowrap text-board-ink2">
				{areaMoved ? reason : 'net of openings'}
			</p>
		{:else}
			<p
				class={[
					'v text-[26px] leading-36 font-heavy whitespace-nowrap font-stretch-[90%] max-phone:text-[23px]',
					'max-phone:leading-28'
				]}
			>
				{w.notSet}
			</p>
			<p class="d overflow-hidden text-label leading-15 font-label text-ellipsis whitespace-nowrap text-board-ink2">&nbsp;</p>
		{/if}
	</div>
	{#if lens === 'ground'}
		<div
			class={['round relative min-w-0 border-r-[1.5px] border-board-ink pt-6 pr-8 pb-0 pl-18 max-fold:hidden', 'max-phone:pl-12']}
			data-reading="rod"
		>
			<p class="text-[13.5px] leading-15 font-[620] text-board-ink2">
				{store.graded?.rod_zone ? w.board.rod(store.graded.rod_zone) : w.board.rodNone}
			</p>
			{#if store.graded?.rod}
				<p
					class={[
						'v text-tally leading-36 font-heavy whitespace-nowrap font-stretch-[90%] max-phone:text-[23px]',
						'max-phone:leading-28'
					]}
				>
					{#if store.graded.working}<Num working={store.graded.working} text={store.graded.rod} />{/if}
				</p>
				<p class="d overflow-hidden text-label leading-15 font-label text-ellipsis whitespace-nowrap text-board-ink2">
					{store.graded.stuck ? w.board.laserMoved : w.board.rodNote}
				</p>
			{:else}
				<p
					class={[
						'v text-[26px] leading-36 font-heavy whitespace-nowrap font-stretch-[90%] max-phone:text-[23px]',
						'max-phone:leading-28'
					]}
				>
					{w.notSet}
				</p>
				<p class="d overflow-hidden text-label leading-15 font-label text-ellipsis whitespace-nowrap text-board-ink2">
					{w.board.setUpFirst}
				</p>
			{/if}
		</div>
	{:else}
		<div
			class={['round relative min-w-0 border-r-[1.5px] border-board-ink pt-6 pr-8 pb-0 pl-18 max-fold:hidden', 'max-phone:pl-12']}
			data-reading="perimeter"
		>
			<p class="text-[13.5px] leading-15 font-[620] text-board-ink2">{w.board.perimeter}</p>
			{#if now?.outline}
				<p
					class={[
						'v text-tally leading-36 font-heavy whitespace-nowrap font-stretch-[90%] max-phone:text-[23px]',
						'max-phone:leading-28'
					]}
				>
					{#if roundMoved && !trial}<s class="mr-5 text-[0.7em] font-plain [text-decoration-thickness:2px]"
							><Frac text={roundMoved.replace(' mm', '')} /></s
						>{/if}
					<Num working={now.outline.perimeter} text={(trial?.outline ?? now.outline).perimeter_text} />
				</p>
				<p class="d overflow-hidden text-label leading-15 font-label text-ellipsis whitespace-nowrap text-board-ink2">
					{roundMoved ? reason : 'all sides added'}
				</p>
			{:else}
				<p
					class={[
						'v text-[26px] leading-36 font-heavy whitespace-nowrap font-stretch-[90%] max-phone:text-[23px]',
						'max-phone:leading-28'
					]}
				>
					{w.notSet}
				</p>
				<p class="d overflow-hidden text-label leading-15 font-label text-ellipsis whitespace-nowrap text-board-ink2">&nbsp;</p>
			{/if}
		</div>
	{/if}
	<div class="flex items-center gap-4 px-10 py-0 max-phone:px-6 max-phone:py-0">
		<button
			class={[
				'h-44 min-w-46 border-[1.5px] border-board-ink px-7 py-0 text-note font-[680] font-stretch-[88%]',
				'disabled:cursor-default disabled:opacity-55 max-phone:min-w-54 max-phone:text-body'
			]}
			type="button"
			disabled={!kept?.undo && !store.lastWaiting}
			title={store.lastWaiting ? w.outbox.takeBack(saysOf(store.lastWaiting)) : (kept?.undo ?? '')}
			onclick={store.undo}>{w.board.undo}</button
		>
		<button
			class={[
				'h-44 min-w-46 border-[1.5px] border-board-ink px-7 py-0 text-note font-[680] font-stretch-[88%]',
				'disabled:cursor-default disabled:opacity-55 max-phone:min-w-54 max-phone:text-body'
			]}
			type="button"
			disabled={!kept?.redo}
			title={kept?.redo ?? ''}
			onclick={store.redo}>{w.board.redo}</button
		>
		<button
			type="button"
			class={[
				'border-[1.5px] border-board-ink px-7 py-0 max-phone:hidden! max-phone:min-w-54 max-phone:text-body',
				'h-44 min-w-46 text-note font-[680] font-stretch-[88%] disabled:cursor-default disabled:opacity-55'
			]}
			onclick={toggleUnits}>{store.units === 'mm' ? 'mm' : 'ft-in'}</button
		>
		<button
			type="button"
			class={[
				'border-[1.5px] border-board-ink px-7 py-0 max-phone:hidden! max-phone:min-w-54 max-phone:text-body',
				'h-44 min-w-46 text-note font-[680] font-stretch-[88%] disabled:cursor-default disabled:opacity-55'
			]}
			onclick={() => session.toggleDim()}>{session.dim ? w.board.day : w.board.dim}</button
		>
		<button
			type="button"
			class={[
				'border-[1.5px] border-board-ink px-7 py-0 max-phone:hidden! max-phone:min-w-54 max-phone:text-body',
				'h-44 min-w-46 text-note font-[680] font-stretch-[88%] disabled:cursor-default disabled:opacity-55'
			]}
			aria-label={w.board.keys}
			onclick={help}>?</button
		>
	</div>
</footer>

<style>
	.board {
		background:
			repeating-linear-gradient(
				178.6deg,
				transparent 0 9px,
				color-mix(in srgb, var(--color-grain) 34%, transparent) 9px 10px,
				transparent 10px 23px
			),
			var(--color-board);
	}
	.board :global(.wk) {
		background:
			linear-gradient(var(--color-board-ink), var(--color-board-ink)) 0 96% / 100% 2px no-repeat,
			linear-gradient(var(--color-board-ink), var(--color-board-ink)) 0 96% / 2px 8px no-repeat;
	}
	@media (max-width: 600px) {
		.ground .round {
			display: block;
		}
		.ground .area {
			display: none !important;
		}
	}
</style>
