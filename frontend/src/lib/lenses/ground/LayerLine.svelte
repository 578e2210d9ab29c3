<script lang="ts">
	/** One layer of a build-up as a line that is typed over: what it is, how thick, of what, and where it lies. */
	import { ground as groundWords } from '../../words/ground';
	import Choose from '../../ui/Choose.svelte';
	import Frac from '../../ui/Frac.svelte';
	import type { Kind, LayerRow } from './stack';
	import { lengthKeys } from '../../ui/typed';
	interface Props {
		units: 'ft-in' | 'mm';
		row: LayerRow;
		at: number;
		last: number;
		/** what stands where the layer has no thickness of its own: the slab's, or how deep native soil is */
		fixed: string;
		stones: string[];
		wrong: boolean;
		change: (row: LayerRow) => void;
		move: (by: number) => void;
		out: () => void;
	}
	let { units, row, at, last, fixed, stones, wrong, change, move, out }: Props = $props();
	const kinds = Object.keys(groundWords.layers) as Kind[];
	const own = $derived(row.kind === 'slab' || row.kind === 'native');
	const TOOL = 'h-34 w-36 border-[1.5px] border-ink disabled:opacity-35 pointer-coarse:size-44';
</script>

<li
	class={[
		'grid h-46 grid-cols-[124px_66px_minmax(120px,1fr)_auto] items-center gap-8 border-t border-hair max-phone:gap-y-4',
		'max-phone:h-92 max-phone:grid-cols-[112px_58px_minmax(0,1fr)] max-phone:gap-x-8',
		'data-[kind=slab]:bg-slab',
		wrong && 'border-l-5 border-flag pl-6'
	]}
	data-kind={row.kind}
>
	{#if own}<b class="text-read">{groundWords.layers[row.kind]}</b>
	{:else}<Choose
			name="{groundWords.layer} {at + 1}"
			rows={kinds
				.filter((one) => one !== 'slab' && one !== 'native')
				.map((one) => ({ value: one, label: groundWords.layers[one] }))}
			value={row.kind}
			pick={(kind) => change({ ...row, kind })}
		/>{/if}
	{#if own}<span class="text-key font-[760] whitespace-nowrap"><Frac text={fixed} /></span>
	{:else if row.kind !== 'barrier'}<input
			{...lengthKeys(units)}
			class="reading"
			aria-label="{groundWords.layers[row.kind]} {groundWords.thick}"
			value={row.thickness}
			oninput={(e) => change({ ...row, thickness: e.currentTarget.value })}
		/>
	{:else}<span></span>{/if}
	{#if row.kind === 'foam'}<input
			class="reading"
			aria-label={groundWords.strength}
			placeholder={groundWords.strength}
			value={row.strength}
			oninput={(e) => change({ ...row, strength: e.currentTarget.value })}
		/>
	{:else if ['stone', 'graded', 'blinding', 'fill'].includes(row.kind)}<Choose
			name={groundWords.stoneOf}
			rows={[{ value: '', label: groundWords.kitStone }, ...stones.map((one) => ({ value: one, label: one }))]}
			value={row.stone}
			pick={(stone) => change({ ...row, stone })}
		/>
	{:else}<span></span>{/if}
	<span class="flex justify-end gap-3">
		{#if row.kind !== 'native'}
			<button class={TOOL} type="button" aria-label={groundWords.up} disabled={at === 0} onclick={() => move(-1)}>▲</button>
			<button class={TOOL} type="button" aria-label={groundWords.down} disabled={at >= last - 1} onclick={() => move(1)}>▼</button
			>
			{#if row.kind !== 'slab'}<button class={TOOL} type="button" aria-label={groundWords.out} onclick={out}>✕</button>{/if}
		{/if}
	</span>
</li>

<style>
	/* controls fill their column of the line */
	li :global(:is(select, input, [data-select-trigger])) {
		width: 100%;
		min-width: 0;
	}
</style>
