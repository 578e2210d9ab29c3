<script lang="ts">
	/** The rod's own keys for gloves: feet stay, inches one press, eighths on a drawn inch of rod, a sixteenth up or down. */
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { w } from '../../words/words';
	import type { Reading } from './reading.svelte';
	import { partsOf, saidOf, totalOf } from './rod_keys';
	let { box, reads, start }: { box: Reading; reads: 'sixteenths' | 'tenths' | 'mm'; start: number | null } = $props();
	let pressed = $state<number | null>(null);
	const from = $derived(box.answer ? box.answer.reading_mm : start);
	const all = $derived(pressed ?? Math.round(((from ?? 1371.6) / 25.4) * 16));
	const parts = $derived(partsOf(all));
	const touched = $derived(box.typed !== '');
	function set(change: Partial<typeof parts>) {
		pressed = totalOf({ ...parts, ...change });
		box.type(saidOf(partsOf(pressed)));
	}
	$effect(() => {
		if (box.typed === '') pressed = null;
	});
</script>

{#if reads === 'sixteenths'}
	<div class="hidden max-phone:block" aria-label={w.ground.read}>
		<div class="flex items-center justify-between text-read">
			<b>{w.ground.inches}</b>
			<span
				>{w.ground.feet}:
				<button
					class="h-46 w-50 border-2 border-ink bg-well text-[24px]"
					type="button"
					aria-label="one foot less"
					onclick={() => set({ feet: Math.max(0, parts.feet - 1) })}>−</button
				><b class="inline-block min-w-40 text-center text-[24px] font-[800]">{parts.feet}</b><button
					class="h-46 w-50 border-2 border-ink bg-well text-[24px]"
					type="button"
					aria-label="one foot more"
					onclick={() => set({ feet: parts.feet + 1 })}>+</button
				></span
			>
		</div>
		<div class="mx-0 my-6 grid grid-cols-[repeat(6,1fr)] gap-5">
			{#each Array.from({ length: 12 }, (_, i) => i) as n}
				<button
					class={[
						'min-h-54 border-2 border-ink text-[25px] font-heavy font-stretch-[92%]',
						touched && parts.inches === n ? 'bg-ink' : 'bg-well',
						touched && parts.inches === n && 'text-sheet'
					]}
					type="button"
					class:on={touched && parts.inches === n}
					onclick={() => set({ inches: n, sixteenths: touched ? parts.sixteenths : 0 })}>{n}</button
				>
			{/each}
		</div>
		<svg viewBox="0 0 376 66" class="block w-full" role="group" aria-label="eighths of an inch">
			{#each Array.from({ length: 8 }, (_, i) => i) as n}
				{@const on = touched && parts.sixteenths === n * 2}
				<!-- svelte-ignore a11y_click_events_have_key_events (the text field beside takes the keyboard) -->
				<g
					class="cursor-pointer"
					role="button"
					tabindex="-1"
					aria-label="{n} eighths"
					class:on
					onclick={() => set({ sixteenths: n * 2 })}
				>
					<rect class={['stroke-ink stroke-2', on ? 'fill-ink' : 'fill-well']} x={n * 47 + 1} y="1" width="45" height="64" />
					<path
						class={['stroke-3', on ? 'stroke-sheet' : 'stroke-ink']}
						d="M{n * 47 + 23.5} 2v{n === 0 ? 24 : n === 4 ? 18 : n % 2 ? 8 : 13}"
					/>
					<text class={['text-ask font-heavy', on ? 'fill-sheet' : 'fill-ink']} x={n * 47 + 23.5} y="54" text-anchor="middle"
						><SvgFrac text={n ? (['', '1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'][n] ?? '') : '0'} /></text
					>
				</g>
			{/each}
		</svg>
		<div class="mx-0 my-6 grid grid-cols-[1fr_1fr_1fr] gap-5">
			<button
				class="min-h-54 border-2 border-ink bg-well text-[20px] font-heavy font-stretch-[92%]"
				type="button"
				onclick={() => set(partsOf(all - 1))}>− <small>1/16</small></button
			>
			<button
				class="min-h-54 border-2 border-ink bg-well text-[20px] font-heavy font-stretch-[92%]"
				type="button"
				onclick={() => set(partsOf(all + 1))}>+ <small>1/16</small></button
			>
			<button
				class="min-h-54 border-2 border-ink bg-well text-[20px] font-heavy font-stretch-[92%]"
				type="button"
				onclick={() => box.clear()}>{w.ground.clear}</button
			>
		</div>
	</div>
{:else}
	<div class="mx-0 my-6 hidden grid-cols-[repeat(3,1fr)] gap-5 max-phone:grid">
		{#each ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0'] as key}
			<button
				class="min-h-54 border-2 border-ink bg-well text-[25px] font-heavy font-stretch-[92%]"
				type="button"
				disabled={key === '.' && reads === 'mm'}
				onclick={() =>
					box.type(
						(box.mm === null ? box.typed.replace(/ ?(mm|ft|')$/, '') : '') + key + (reads === 'tenths' && key !== '.' ? "'" : '')
					)}>{key}</button
			>
		{/each}
		<button
			class="min-h-54 border-2 border-ink bg-well text-[25px] font-heavy font-stretch-[92%]"
			type="button"
			onclick={() => box.clear()}>{w.ground.clear}</button
		>
	</div>
{/if}
