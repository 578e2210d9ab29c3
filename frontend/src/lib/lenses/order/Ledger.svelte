<script lang="ts">
	/** The ledger: every part, the second way beside it, allowances with their reasons, the need and the order. */
	import type { Concrete, Working } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { w } from '../../words/words';
	import { orderWords } from '../../words/order';
	let { concrete, unit }: { concrete: Concrete; unit: string } = $props();
	interface Line {
		letter: string;
		what: string;
		why?: string;
		how: string;
		working: Working;
		text: string;
	}
	const NONE = { letter: '', how: '' };
	const SUM = 'border-t-2 border-ink text-key font-[800]';
</script>

{#snippet line(row: Line, sum = false)}
	{@const cell = ['py-2 align-top max-phone:py-4 max-phone:align-middle', sum ? SUM : 'border-t border-hair']}
	<tr class={row.letter === '+' ? 'plus' : ''} data-part={row.letter === '+' ? undefined : row.letter || undefined}>
		<td class={[cell, 'w-20 pr-6', !sum && 'font-heavy']}>{row.letter}</td>
		<td class={[cell, 'pr-6']}
			>{row.what}{#if row.why}<span class="block text-label leading-[1.2] text-ink2">{row.why}</span>{/if}</td
		>
		<td class={[cell, 'pr-6 text-note text-ink2 max-phone:hidden']}><Frac text={row.how} /></td>
		<td class={[cell, 'text-right whitespace-nowrap', !sum && 'font-[760]']}><Num working={row.working} text={row.text} /></td>
	</tr>
{/snippet}

<table class="mt-4 w-full border-collapse">
	<thead>
		<tr class="text-left text-label text-ink2">
			<td></td><th class="font-[600]">{orderWords.part}</th><th class="text-note font-[600] max-phone:hidden">{orderWords.how}</th
			>
			<th class="text-right font-[760] whitespace-nowrap">{unit}</th>
		</tr>
	</thead>
	<tbody>
		{#each concrete.parts as part}{@render line({ ...part, what: part.part })}{/each}
		{@render line({ ...NONE, what: orderWords.drawn, working: concrete.net, text: concrete.net_text }, true)}
		{#each concrete.allowances as row}{@render line({ ...row, letter: '+', what: row.name, why: row.reason })}{/each}
		{@render line({ ...NONE, what: orderWords.need, working: concrete.ordered.need, text: concrete.need_text }, true)}
	</tbody>
</table>
<p class="mt-8 text-verdict leading-[1.15] font-black font-stretch-[90%]">
	<span class="text-act">{w.board.order}</span>
	<Num working={concrete.ordered.order} text={concrete.ordered.text} />
	{unit}
</p>
<p class="label">{concrete.ordered.order.note}</p>
