<script lang="ts">
	/** Twenty days by chance: a knot a day, flagged where a load was too old. */
	import type { DeliveryTold } from '../../api/schema';
	import Act from '../../ui/Act.svelte';
	import { orderWords } from '../../words/order';
	let { told, seed, other }: { told: DeliveryTold; seed: number; other: () => void } = $props();
	const words = orderWords.trucks;
	const old = $derived(told.days.filter((day) => day.old).length);
	const at = (i: number) => [14 + (i % 10) * 22, 16 + Math.floor(i / 10) * 38] as const;
</script>

<h2 class="mt-8 flex items-baseline gap-10">{words.days} <span class="label">{words.seed(seed)}</span></h2>
<svg width="236" height="78" class="block" role="img" aria-label={words.daysOld(old, told.load_limit_min)} data-days-old={old}>
	{#each [0, 1] as row}<path d="M2 {16 + row * 38}H232" class="stroke-chalk stroke-2" />{/each}
	{#each told.days as day, i (day.seed)}
		{@const [x, y] = at(i)}
		{#if day.old}<rect x={x - 6} y={y - 7} width="12" height="12" class="fill-flag" /><path
				d="M{x - 4} {y + 5}l-3 12m11 -12l3 12"
				class="stroke-flag stroke-[2.6px]"
			/>{:else}<circle cx={x} cy={y} r="6" class="fill-chalk" />{/if}
	{/each}
</svg>
<p class={['font-[720]', old ? 'text-flag' : 'text-ink']}>{words.daysOld(old, told.load_limit_min)}</p>
<Act kind="quiet" class="mt-4" onclick={other}>{words.other}</Act>
