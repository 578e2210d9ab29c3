<script lang="ts">
	/** Kerbs, knee walls and pads beside: ordered on their own, after the slab. */
	import type { SecondPour } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import Table from '../../ui/Table.svelte';
	import { orderWords } from '../../words/order';
	let { pours }: { pours: SecondPour[] } = $props();
</script>

{#if pours.length}
	<h2 class="mt-12 border-t-2 border-ink pt-[6px]">{orderWords.secondPours}</h2>
	<Table data-second-pours>
		{#each pours as pour}
			<tr
				><th scope="row" class="font-[620]">{pour.name}</th><td class="text-note text-ink2"><Frac text={pour.how} /></td><td
					class="pr-0! text-right! font-[760]"><Num working={pour.working} text={pour.text} /></td
				></tr
			>
		{/each}
	</Table>
	<p class="label">{orderWords.secondHow}</p>
{/if}
