<script lang="ts">
	/** The working slip: name = formula with the numbers in it = result; the rule; the calls it uses. */
	import { page } from '$app/state';
	import { Popover } from 'bits-ui';
	import Frac from '../ui/Frac.svelte';
	import { workingSlip } from '../state/working_slip.svelte';
	import { rules as ruleWords } from '../words/rules';
	import { w } from '../words/words';
	const slip = $derived(workingSlip.open);
	function where(setAt: string): string {
		const [stage, part] = setAt.split('/');
		const jobId = page.params['id'];
		if (stage === 'ground') return `/job/${jobId}/ground?tab=${{ zone: 'falls', strip: 'stack' }[part ?? ''] ?? part}`;
		return stage === 'ways' ? '/ways' : `/job/${jobId}/${stage === 'edges' ? 'edges' : 'lines'}`;
	}
</script>

<!-- it stands where it stands, at the foot of the bench: it hides neither the number nor the drawing it speaks of -->
<Popover.Root bind:open={() => slip !== null, (now) => now || workingSlip.close()}>
	<Popover.ContentStatic
		trapFocus={false}
		interactOutsideBehavior="ignore"
		escapeKeydownBehavior="ignore"
		onOpenAutoFocus={(event) => {
			event.preventDefault();
			workingSlip.take();
		}}
		onCloseAutoFocus={(event) => event.preventDefault()}
		class={[
			'working-slip sticky bottom-0 mt-auto flex-none bg-slip py-12 pr-22 pl-26 text-board-ink',
			'max-h-300 overflow-auto text-body [clip-path:polygon(0_0,_100%_7px,_100%_calc(100%_-_5px),_0_100%)]',
			"z-3 before:absolute before:top-0 before:bottom-0 before:left-0 before:content-[''] print:hidden",
			'before:w-11'
		].join(' ')}
		aria-label={w.slip.working}
		aria-live="polite"
	>
		{#if slip}
			<div class="flex items-start justify-between gap-12">
				<p>
					<b>{slip.name}</b>
					{#if slip.shown}<span class="wrap-anywhere">= <Frac text={slip.shown} /></span>{/if}
					<b>= <Frac text={slip.text} /></b>
					{#if slip.note}<span class="wrap-anywhere text-board-ink2">({slip.note})</span>{/if}
				</p>
				<div class="flex flex-none gap-6">
					{#if workingSlip.trail.length > 1}<button
							class="min-h-26 text-left font-[620] underline underline-offset-[2px]"
							type="button"
							onclick={() => workingSlip.back()}>{w.slip.back}</button
						>{/if}
					<button
						class="min-h-26 text-left font-[620] underline underline-offset-[2px]"
						type="button"
						onclick={() => workingSlip.close()}>{w.slip.close}</button
					>
				</div>
			</div>
			<p class="mt-3 text-note text-board-ink2">
				{slip.words}
				{#if ['house', 'estimate', 'thumb'].includes(slip.standing)}<span class="boxed">{slip.standing}</span>{/if}
				<a
					class="in-book min-h-26 text-left font-[620] underline underline-offset-[2px]"
					href="/rules?source={slip.source}"
					data-rule={slip.source}>{ruleWords.inBook}</a
				>
				{#if slip.set_at}<a
						class="min-h-26 text-left font-[620] underline underline-offset-[2px]"
						href={where(slip.set_at)}
						onclick={() => workingSlip.close()}>{w.slip.set}</a
					>{/if}
			</p>
			{#if slip.inputs.length}
				<ul class="mt-4 flex flex-wrap gap-x-16 gap-y-2 text-note">
					{#each slip.inputs as [, input]}
						<li>
							{#if input.inputs.length || input.words}
								<button
									class="min-h-26 text-left font-[620] underline underline-offset-[2px]"
									type="button"
									onclick={() => workingSlip.into(input)}>{input.name} <Frac text={input.text} /></button
								>
							{:else}{input.name} <Frac text={input.text} />{/if}
						</li>
					{/each}
				</ul>
			{/if}
		{/if}
	</Popover.ContentStatic>
</Popover.Root>

<style>
	:global(.working-slip)::before {
		background: repeating-linear-gradient(180deg, var(--color-grain) 0 2px, var(--color-board) 2px 6px);
	}
</style>
