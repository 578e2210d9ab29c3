<script lang="ts">
	/** The hours of the day under the plan: the sun's way over them, the peg that is dragged, and an hour as it is typed. */
	import { Slider } from 'bits-ui';
	import type { DaySheet } from '../../api/schema';
	import { gateWords as words } from '../../words/gate';
	import type { DayData } from './gate.svelte';
	import { clock, countOf, ticks, typedHour, xOf } from './tape';
	/** foot: it lies under the plan, over the whole sheet; else it stands among other things */
	let { data, sheet, width, foot = false }: { data: DayData; sheet: DaySheet; width: number; foot?: boolean } = $props();
	const up = $derived(sheet.moments.filter((one) => one.elevation_deg > 0));
	const from = $derived(Math.max(0, Math.floor((up[0]?.hour_h ?? 5) - 0.5)));
	const to = $derived(Math.min(24, Math.ceil((up.at(-1)?.hour_h ?? 21) + 0.5)));
	const wide = $derived(Math.max(120, width - (foot ? 64 : 24)));
	const tape = $derived({ from, to, width: wide });
	const top = $derived(Math.max(1, ...up.map((one) => one.elevation_deg)));
	const HIGH = 58;
	const at = $derived(Math.min(to, Math.max(from, data.hour)));
	const yOf = (degrees: number) => HIGH - (Math.max(0, degrees) / top) * (HIGH - 14);
	const path = $derived(
		up.map((one, i) => `${i ? 'L' : 'M'}${xOf(tape, one.hour_h).toFixed(1)} ${yOf(one.elevation_deg).toFixed(1)}`).join('')
	);
	const now = $derived(data.moment);
	let typed = $state('');
	let wrong = $state('');
	async function say() {
		const got = typedHour(typed);
		if (!got) return void (wrong = typed.trim() ? words.pegWrong : '');
		wrong = '';
		if (got.start)
			await data.set({ 'order.pour_at': `${sheet.start_local.slice(0, 10)}T${clock(got.hour).padStart(5, '0')}` }, 'start');
		else data.peg = countOf(sheet.jumps, got.hour);
		typed = '';
	}
</script>

<div
	class={['bg-sheet pt-4 pb-8', foot ? 'absolute inset-x-0 bottom-0 px-32' : 'relative mt-8 border-[1.5px] border-ink px-12']}
	data-peg={clock(data.hour, sheet.jumps)}
>
	<svg width={wide} height={HIGH + 26} class="block overflow-visible" aria-hidden="true">
		<path d={path} class="fill-none stroke-ink2 stroke-[1.6px] [stroke-dasharray:2_5]" />
		<path d="M0 {HIGH}H{wide}" class="stroke-ink stroke-2" />
		{#each ticks(tape, 54) as hour (hour)}
			<path d="M{xOf(tape, hour)} {HIGH}v7" class="stroke-ink stroke-[1.6px]" />
			<text x={xOf(tape, hour)} y={HIGH + 22} text-anchor="middle" class="fill-ink text-label font-mid"
				>{clock(hour, sheet.jumps)}</text
			>
		{/each}
		{#if now && now.elevation_deg > 0}
			<g transform="translate({xOf(tape, at)} {yOf(now.elevation_deg)})">
				<circle r="8" class="fill-sheet stroke-ink stroke-2" /><circle r="3" class="fill-ink" />
				{#each [0, 45, 90, 135, 180, 225, 270, 315] as turn (turn)}<path
						d="M0 -11v-6"
						transform="rotate({turn})"
						class="stroke-ink stroke-2"
					/>{/each}
			</g>
		{/if}
	</svg>
	<Slider.Root
		type="single"
		class="absolute flex h-44 touch-none items-center"
		style="top: {HIGH - 16}px; left: {foot ? 32 : 12}px; right: {foot ? 32 : 12}px; width: auto"
		min={Math.round(from * 6)}
		max={Math.round(to * 6)}
		step={1}
		thumbPositioning="exact"
		bind:value={() => Math.round(at * 6), (value) => (data.peg = value / 6)}
	>
		<Slider.Thumb index={0} class="block size-44 cursor-grab" aria-label={words.peg} aria-valuetext={clock(at, sheet.jumps)}>
			<svg viewBox="0 0 44 44" class="block size-44" aria-hidden="true"
				><path d="M13 8h18v16l-9 12l-9 -12z" class="fill-board stroke-board-ink stroke-2" /></svg
			>
		</Slider.Thumb>
	</Slider.Root>
	<form
		class="mt-2 flex flex-wrap items-center justify-end gap-8"
		onsubmit={(event) => {
			event.preventDefault();
			void say();
		}}
	>
		<span class="label max-phone:hidden">{wrong || words.drag}</span>
		<input
			class={['well w-130 max-phone:h-44', wrong && 'border-flag']}
			aria-label={words.pegTyped}
			placeholder="9:20, start 6"
			autocomplete="off"
			bind:value={typed}
			onkeydown={(event) => event.stopPropagation()}
		/>
	</form>
</div>
