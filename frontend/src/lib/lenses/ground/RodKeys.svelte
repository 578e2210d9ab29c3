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
	<div class="keys" aria-label={w.ground.read}>
		<div class="head">
			<b>{w.ground.inches}</b>
			<span
				>{w.ground.feet}:
				<button type="button" aria-label="one foot less" onclick={() => set({ feet: Math.max(0, parts.feet - 1) })}>−</button><b
					class="feet">{parts.feet}</b
				><button type="button" aria-label="one foot more" onclick={() => set({ feet: parts.feet + 1 })}>+</button></span
			>
		</div>
		<div class="inches">
			{#each Array.from({ length: 12 }, (_, i) => i) as n}
				<button
					type="button"
					class:on={touched && parts.inches === n}
					onclick={() => set({ inches: n, sixteenths: touched ? parts.sixteenths : 0 })}>{n}</button
				>
			{/each}
		</div>
		<svg viewBox="0 0 376 66" class="rod" role="group" aria-label="eighths of an inch">
			{#each Array.from({ length: 8 }, (_, i) => i) as n}
				{@const on = touched && parts.sixteenths === n * 2}
				<!-- svelte-ignore a11y_click_events_have_key_events (the text field beside takes the keyboard) -->
				<g role="button" tabindex="-1" aria-label="{n} eighths" class:on onclick={() => set({ sixteenths: n * 2 })}>
					<rect x={n * 47 + 1} y="1" width="45" height="64" />
					<path d="M{n * 47 + 23.5} 2v{n === 0 ? 24 : n === 4 ? 18 : n % 2 ? 8 : 13}" />
					<text x={n * 47 + 23.5} y="54" text-anchor="middle"
						><SvgFrac text={n ? (['', '1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'][n] ?? '') : '0'} /></text
					>
				</g>
			{/each}
		</svg>
		<div class="nudge">
			<button type="button" onclick={() => set(partsOf(all - 1))}>− <small>1/16</small></button>
			<button type="button" onclick={() => set(partsOf(all + 1))}>+ <small>1/16</small></button>
			<button type="button" onclick={() => box.clear()}>{w.ground.clear}</button>
		</div>
	</div>
{:else}
	<div class="keys digits">
		{#each ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0'] as key}
			<button
				type="button"
				disabled={key === '.' && reads === 'mm'}
				onclick={() =>
					box.type(
						(box.mm === null ? box.typed.replace(/ ?(mm|ft|')$/, '') : '') + key + (reads === 'tenths' && key !== '.' ? "'" : '')
					)}>{key}</button
			>
		{/each}
		<button type="button" onclick={() => box.clear()}>{w.ground.clear}</button>
	</div>
{/if}

<style>
	.keys {
		display: none;
	}
	.head {
		display: flex;
		justify-content: space-between;
		align-items: center;
		font-size: 16px;
	}
	.head button {
		width: 50px;
		height: 46px;
		font-size: 24px;
		border: 2px solid var(--color-ink);
		background: var(--color-well);
	}
	.feet {
		display: inline-block;
		min-width: 40px;
		text-align: center;
		font-size: 24px;
		font-weight: 800;
	}
	.inches {
		display: grid;
		grid-template-columns: repeat(6, 1fr);
		gap: 5px;
		margin: 6px 0;
	}
	.inches button,
	.nudge button,
	.digits button {
		min-height: 54px;
		border: 2px solid var(--color-ink);
		background: var(--color-well);
		font-size: 25px;
		font-weight: 780;
		font-stretch: 92%;
	}
	.inches button.on {
		background: var(--color-ink);
		color: var(--color-sheet);
	}
	.rod {
		width: 100%;
		display: block;
	}
	.rod rect {
		fill: var(--color-well);
		stroke: var(--color-ink);
		stroke-width: 2;
	}
	.rod path {
		stroke: var(--color-ink);
		stroke-width: 3;
	}
	.rod text {
		font-size: 22px;
		font-weight: 780;
		fill: var(--color-ink);
	}
	.rod g {
		cursor: pointer;
	}
	.rod .on rect {
		fill: var(--color-ink);
	}
	.rod .on text {
		fill: var(--color-sheet);
	}
	.rod .on path {
		stroke: var(--color-sheet);
	}
	.nudge {
		display: grid;
		grid-template-columns: 1fr 1fr 1fr;
		gap: 5px;
		margin: 6px 0;
	}
	.nudge button {
		font-size: 20px;
	}
	.digits {
		grid-template-columns: repeat(3, 1fr);
		gap: 5px;
		margin: 6px 0;
	}
	@media (max-width: 600px) {
		.keys {
			display: block;
		}
		.digits {
			display: grid;
		}
	}
</style>
