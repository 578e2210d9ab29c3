<script lang="ts">
	/** What each spacing costs: a knot for each that was tried, the peg at the one that is looked at. Drag it, or arrows. */
	import { Slider } from 'bits-ui';
	import type { DeliveryTold } from '../../api/schema';
	import Act from '../../ui/Act.svelte';
	import { orderWords } from '../../words/order';
	import { dollars } from './board';
	let { told, go }: { told: DeliveryTold; go: (minutes: number) => void } = $props();
	const words = orderWords.trucks;
	const HIGH = 108;
	let wide = $state(400);
	const rows = $derived(told.spacings);
	const [first, last] = $derived([rows[0]?.spacing_min ?? 4, rows.at(-1)?.spacing_min ?? 60]);
	const x = (minutes: number) => 12 + ((minutes - first) / (last - first)) * (wide - 24);
	const low = $derived(Math.min(...rows.map((row) => row.marked_cents)));
	/* what costs more than twice the least is off the drawing */
	const top = $derived(Math.min(Math.max(...rows.map((row) => row.marked_cents)), low * 2));
	const y = (cents: number) => 84 - ((Math.min(cents, top) - low) / Math.max(1, top - low)) * 56;
	const own = $derived(rows.find((row) => row.spacing_min === Math.round(told.spacing_min)) ?? null);
	const at = $derived(x(Math.max(first, Math.min(last, told.spacing_min))));
</script>

<h2 class="mt-8 flex items-baseline gap-10 whitespace-nowrap">
	{words.curve} <span class="label flex-1">{words.tried(rows.length)}</span>
	{#if Math.abs(told.best_min - told.spacing_min) > 0.5}<Act kind="quiet" onclick={() => go(told.best_min)}
			>{words.best(`${told.best_min}`)}</Act
		>{/if}
</h2>
<div class="relative" bind:clientWidth={wide} data-spacings={rows.length}>
	<svg width={wide} height={HIGH} class="block" aria-hidden="true">
		<path
			d={rows.map((row, i) => `${i ? 'L' : 'M'}${x(row.spacing_min).toFixed(1)} ${y(row.marked_cents).toFixed(1)}`).join('')}
			class="fill-none stroke-chalk stroke-[1.8px]"
		/>
		{#each rows as row, i (row.spacing_min)}{#if i % 2 === 0}<circle
					cx={x(row.spacing_min)}
					cy={y(row.marked_cents)}
					r="3.6"
					class={['stroke-chalk stroke-[1.5px]', row.cold_joints ? 'fill-flag' : 'fill-bench']}
				/>{/if}{/each}
		<path d="M0 90H{wide}" class="stroke-ink stroke-[1.6px]" />
		{#each [10, 20, 30, 40, 50, 60] as minutes}<text x={x(minutes)} y="106" text-anchor="middle" class="fill-ink text-label"
				>{minutes}</text
			>{/each}
		{#if own}<text x={Math.max(60, Math.min(wide - 60, at))} y="14" text-anchor="middle" class="fill-ink text-body font-[760]"
				>{words.at(`${own.spacing_min}`, dollars(own.total_cents))}</text
			>{/if}
	</svg>
	<Slider.Root
		type="single"
		class="absolute inset-x-12 top-64 flex h-44 touch-none items-center"
		min={first}
		max={last}
		step={1}
		thumbPositioning="exact"
		bind:value={() => Math.round(told.spacing_min), (value) => go(value)}
	>
		<Slider.Thumb index={0} class="block size-44 cursor-grab" aria-label={words.peg}>
			<svg viewBox="0 0 44 44" class="block size-44" aria-hidden="true"
				><rect x="16" y="8" width="12" height="28" class="fill-board stroke-board-ink stroke-2" /></svg
			>
		</Slider.Thumb>
	</Slider.Root>
</div>
