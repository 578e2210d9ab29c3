<script lang="ts">
	/** The ledger: every part, the second way beside it, allowances with their reasons, the need and the order. */
	import type { Concrete } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { w } from '../../words/words';
	let { concrete, unit }: { concrete: Concrete; unit: string } = $props();
</script>

<table>
	<thead><tr><th></th><th>{w.order.part}</th><th class="how">{w.order.how}</th><th class="r">{unit}</th></tr></thead>
	<tbody>
		{#each concrete.parts as part}
			<tr data-part={part.letter}>
				<td class="letter">{part.letter}</td><td>{part.part}</td><td class="how"><Frac text={part.how} /></td>
				<td class="r"><Num working={part.working} text={part.text} /></td>
			</tr>
		{/each}
		<tr class="sum"
			><td></td><td>{w.order.drawn}</td><td class="how"></td><td class="r"
				><Num working={concrete.net} text={concrete.net_text} /></td
			></tr
		>
		{#each concrete.allowances as row}
			<tr class="plus">
				<td class="letter">+</td><td>{row.name}<span class="why">{row.reason}</span></td><td class="how"
					><Frac text={row.how} /></td
				>
				<td class="r"><Num working={row.working} text={row.text} /></td>
			</tr>
		{/each}
		<tr class="sum"
			><td></td><td>{w.order.need}</td><td class="how"></td><td class="r"
				><Num working={concrete.ordered.need} text={concrete.need_text} /></td
			></tr
		>
	</tbody>
</table>
<p class="order"><span>{w.board.order}</span> <Num working={concrete.ordered.order} text={concrete.ordered.text} /> {unit}</p>
<p class="label">{concrete.ordered.order.note}</p>

<style>
	table {
		width: 100%;
		border-collapse: collapse;
		margin-top: 4px;
	}
	th {
		font-size: 13px;
		font-weight: 600;
		color: var(--color-ink2);
		text-align: left;
	}
	td {
		border-top: 1px solid var(--color-hair);
		padding: 2px 6px 2px 0;
		vertical-align: top;
	}
	.letter {
		font-weight: 780;
		width: 20px;
	}
	.how {
		font-size: 13.5px;
		color: var(--color-ink2);
	}
	.r {
		text-align: right;
		padding-right: 0;
		font-weight: 760;
		white-space: nowrap;
	}
	.why {
		display: block;
		font-size: 13px;
		line-height: 1.2;
		color: var(--color-ink2);
	}
	.sum td {
		border-top: 2px solid var(--color-ink);
		font-weight: 800;
		font-size: 17px;
	}
	.order {
		font-size: 33px;
		font-weight: 840;
		font-stretch: 90%;
		line-height: 1.15;
		margin-top: 8px;
	}
	.order span {
		font-size: 19px;
	}
	@media (max-width: 600px) {
		.how {
			display: none;
		}
		td {
			padding: 4px 6px 4px 0;
			vertical-align: middle;
		}
	}
</style>
