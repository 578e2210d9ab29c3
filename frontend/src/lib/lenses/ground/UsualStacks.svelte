<script lang="ts">
	/** Usual stacks as small cores to start from: pressed, one is tried, and says what speaks for and against it. */
	import { HATCHES } from '../../drawing/hatches';
	import type { UsualStack } from '../../api/schema';
	import { edges as edgeWords } from '../../words/edges';
	let { stacks, slabMm, take }: { stacks: UsualStack[]; slabMm: number; take: (stack: UsualStack) => void } = $props();
	let picked = $state('');
	const chosen = $derived(stacks.find((one) => one.name === picked));
	const rowsOf = (stack: UsualStack) => {
		let y = 3;
		return stack.layers.map((layer) => {
			const high = (layer.kind === 'slab' ? slabMm : layer.mm) * 0.16;
			const row = { kind: layer.kind, y, high };
			y += high;
			return row;
		});
	};
</script>

<div class="grid grid-cols-[repeat(auto-fill,minmax(104px,1fr))] gap-6">
	{#each stacks as stack (stack.name)}
		<button
			type="button"
			class={[
				'grid min-h-44 content-start justify-items-center gap-4 border-[1.5px] border-ink bg-well px-4 pt-4 pb-6 text-note font-label',
				picked === stack.name && 'shadow-[inset_0_0_0_2.5px_var(--color-ink)]'
			]}
			aria-pressed={picked === stack.name}
			onclick={() => {
				picked = stack.name;
				take(stack);
			}}
		>
			<svg width="64" height="58" aria-hidden="true">
				{#each rowsOf(stack) as row}
					{#if row.kind === 'barrier'}<path d="M1 {row.y}h62" class="stroke-ink stroke-3 [stroke-dasharray:7_3]" />
					{:else if row.kind === 'native'}<path
							d="M8 {row.y + 8}l5 -6M24 {row.y + 8}l5 -6M40 {row.y + 8}l5 -6"
							class="stroke-soil stroke-[1.6px]"
						/>
					{:else}<rect x="4" y={row.y} width="56" height={row.high} class="fill-slab" /><rect
							x="4"
							y={row.y}
							width="56"
							height={row.high}
							fill="url(#{HATCHES[row.kind] ?? 'conc'})"
							class="stroke-ink stroke-[1.4px]"
						/>{/if}
				{/each}
			</svg>
			{stack.name}
		</button>
	{/each}
</div>
{#if chosen}<p class="mt-4 text-note max-phone:text-read" aria-live="polite">
		<b>{edgeWords.for}:</b>
		{chosen.pro} <b>{edgeWords.against}:</b>
		{chosen.con}
	</p>{/if}
