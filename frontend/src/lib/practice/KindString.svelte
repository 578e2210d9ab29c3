<script lang="ts">
	/** The exercises on a string, in the order of the work: pulled tight where the last ten came out right. */
	import type { PracticeYard } from '../api/schema';
	import Choose from '../ui/Choose.svelte';
	import { practiceWords as words } from '../words/practice';
	import Knot from '../shell/Knot.svelte';
	import { lastOf, type Tried } from './book.svelte';
	let { kinds, here, tries, pick }: { kinds: PracticeYard['kinds']; here: string; tries: Tried[]; pick: (key: string) => void } =
		$props();
	let width = $state(900);
	const step = $derived(width / Math.max(1, kinds.length));
	const x = (i: number) => step * (i + 0.5);
	const rows = $derived(
		kinds.map((kind) => {
			const last = lastOf(tries, kind.key);
			const right = last.filter((one) => one.grade === 'right').length;
			return {
				...kind,
				right,
				tried: last.length,
				state: last.length > 4 && right >= last.length - 1 ? ('tight' as const) : ('loop' as const)
			};
		})
	);
	const says = (row: (typeof rows)[number]) => (row.tried ? words.of(row.right, row.tried) : words.fresh);
</script>

<nav class="relative min-w-0 max-mid:hidden" aria-label={words.exercises} bind:clientWidth={width}>
	<svg class="absolute inset-0" {width} height="92" aria-hidden="true">
		<path
			d="M6 63{rows.map((_, i) => `Q${((i ? x(i - 1) : 6) + x(i)) / 2} 80 ${x(i)} 63`).join('')}"
			class="fill-none stroke-ink2 stroke-2 [stroke-dasharray:7_3]"
		/>
		{#each rows as row, i (row.key)}
			{#if row.key === here}<path
					d="M{x(i)} 66v10m-3-2h6v3h4v4l-7 10l-7-10v-4h4z"
					fill="var(--color-ink)"
					stroke="var(--color-ink)"
				/>{/if}
			<Knot state={row.state} x={x(i)} />
		{/each}
	</svg>
	<ol>
		{#each rows as row, i (row.key)}
			<li class="absolute top-0 -translate-x-1/2" style:left="{x(i)}px" style:width="{step}px">
				<button
					type="button"
					class="group flex h-89 w-full flex-col items-center pt-8"
					aria-current={row.key === here ? 'step' : undefined}
					onclick={() => pick(row.key)}
					data-kind={row.key}
				>
					<b
						class="block text-body leading-18 font-[600] font-stretch-[88%] group-aria-[current]:text-key group-aria-[current]:font-black"
						>{row.name}</b
					><span class="block text-note leading-16 text-ink2 font-stretch-[88%]">{says(row)}</span>
				</button>
			</li>
		{/each}
	</ol>
</nav>
<div class="hidden items-center pr-10 max-mid:flex">
	<Choose
		class="w-full font-[640]"
		name={words.exercises}
		rows={rows.map((row) => ({ value: row.key, label: `${row.name}, ${says(row)}` }))}
		value={here}
		{pick}
	/>
</div>
