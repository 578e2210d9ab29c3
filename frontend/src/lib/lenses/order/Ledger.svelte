<script lang="ts">
	/** The ledger: every part, the second way beside it, allowances with their reasons, the need and the order. */
	import type { Concrete } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { w } from '../../words/words';
	let { concrete, unit }: { concrete: Concrete; unit: string } = $props();
</script>

<table class="mt-4 w-full border-collapse">
	<thead
		><tr
			><th class="text-left text-label font-[600] text-ink2"></th><th class="text-left text-label font-[600] text-ink2"
				>{w.order.part}</th
			><th class="text-left text-[13.5px] font-[600] text-ink2 max-phone:hidden">{w.order.how}</th><th
				class="pr-0 text-right text-label font-[760] whitespace-nowrap text-ink2">{unit}</th
			></tr
		></thead
	>
	<tbody>
		{#each concrete.parts as part}
			<tr data-part={part.letter}>
				<td
					class={[
						'w-20 border-t border-hair py-2 pr-6 pl-0 align-top font-heavy max-phone:py-4 max-phone:pr-6',
						'max-phone:pl-0 max-phone:align-middle'
					]}>{part.letter}</td
				><td
					class={[
						'border-t border-hair py-2 pr-6 pl-0 align-top max-phone:py-4 max-phone:pr-6 max-phone:pl-0',
						'max-phone:align-middle'
					]}>{part.part}</td
				><td
					class={[
						'border-t border-hair py-2 pr-6 pl-0 align-top text-[13.5px] text-ink2 max-phone:py-4 max-phone:pr-6',
						'max-phone:hidden max-phone:pl-0 max-phone:align-middle'
					]}><Frac text={part.how} /></td
				>
				<td
					class={[
						'border-t border-hair px-0 py-2 text-right align-top font-[760] whitespace-nowrap max-phone:py-4',
						'max-phone:pr-6 max-phone:pl-0 max-phone:align-middle'
					]}><Num working={part.working} text={part.text} /></td
				>
			</tr>
		{/each}
		<tr
			><td
				class={[
					'border-t-2 border-ink py-2 pr-6 pl-0 align-top text-key font-[800] max-phone:py-4 max-phone:pr-6',
					'max-phone:pl-0 max-phone:align-middle'
				]}
			></td><td
				class={[
					'border-t-2 border-ink py-2 pr-6 pl-0 align-top text-key font-[800] max-phone:py-4 max-phone:pr-6',
					'max-phone:pl-0 max-phone:align-middle'
				]}>{w.order.drawn}</td
			><td
				class={[
					'border-t-2 border-ink py-2 pr-6 pl-0 align-top text-key font-[800] text-ink2 max-phone:py-4',
					'max-phone:hidden max-phone:pr-6 max-phone:pl-0 max-phone:align-middle'
				]}
			></td><td
				class={[
					'border-t-2 border-ink px-0 py-2 text-right align-top text-key font-[800] whitespace-nowrap',
					'max-phone:py-4 max-phone:pr-6 max-phone:pl-0 max-phone:align-middle'
				]}><Num working={concrete.net} text={concrete.net_text} /></td
			></tr
		>
		{#each concrete.allowances as row}
			<tr class="plus">
				<td
					class={[
						'w-20 border-t border-hair py-2 pr-6 pl-0 align-top font-heavy max-phone:py-4 max-phone:pr-6',
						'max-phone:pl-0 max-phone:align-middle'
					]}>+</td
				><td
					class={[
						'border-t border-hair py-2 pr-6 pl-0 align-top max-phone:py-4 max-phone:pr-6 max-phone:pl-0',
						'max-phone:align-middle'
					]}>{row.name}<span class="block text-label leading-[1.2] text-ink2">{row.reason}</span></td
				><td
					class={[
						'border-t border-hair py-2 pr-6 pl-0 align-top text-[13.5px] text-ink2 max-phone:py-4 max-phone:pr-6',
						'max-phone:hidden max-phone:pl-0 max-phone:align-middle'
					]}><Frac text={row.how} /></td
				>
				<td
					class={[
						'border-t border-hair px-0 py-2 text-right align-top font-[760] whitespace-nowrap max-phone:py-4',
						'max-phone:pr-6 max-phone:pl-0 max-phone:align-middle'
					]}><Num working={row.working} text={row.text} /></td
				>
			</tr>
		{/each}
		<tr
			><td
				class={[
					'border-t-2 border-ink py-2 pr-6 pl-0 align-top text-key font-[800] max-phone:py-4 max-phone:pr-6',
					'max-phone:pl-0 max-phone:align-middle'
				]}
			></td><td
				class={[
					'border-t-2 border-ink py-2 pr-6 pl-0 align-top text-key font-[800] max-phone:py-4 max-phone:pr-6',
					'max-phone:pl-0 max-phone:align-middle'
				]}>{w.order.need}</td
			><td
				class={[
					'border-t-2 border-ink py-2 pr-6 pl-0 align-top text-key font-[800] text-ink2 max-phone:py-4',
					'max-phone:hidden max-phone:pr-6 max-phone:pl-0 max-phone:align-middle'
				]}
			></td><td
				class={[
					'border-t-2 border-ink px-0 py-2 text-right align-top text-key font-[800] whitespace-nowrap',
					'max-phone:py-4 max-phone:pr-6 max-phone:pl-0 max-phone:align-middle'
				]}><Num working={concrete.ordered.need} text={concrete.need_text} /></td
			></tr
		>
	</tbody>
</table>
<p class="mt-8 text-verdict leading-[1.15] font-black font-stretch-[90%]">
	<span class="text-act">{w.board.order}</span>
	<Num working={concrete.ordered.order} text={concrete.ordered.text} />
	{unit}
</p>
<p class="label">{concrete.ordered.order.note}</p>
