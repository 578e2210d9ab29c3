<script lang="ts">
	/** The walk as a table: side, the call, the tape drawn, where it stands. */
	import type { Outline } from '../../api/schema';
	import type { Pick } from '../../drawing/pick.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { w } from '../../words/words';
	let { outline, pick }: { outline: Outline; pick: Pick } = $props();
	const longest = $derived(Math.max(...outline.sides_mm));
	const many = $derived(outline.sides.length > 7);
</script>

<table class:many>
	<thead
		><tr><th>{w.lines.side}</th><th>{w.lines.call}</th><th class="tape">{w.lines.tape}</th><th class="r">{w.lines.stands}</th></tr
		></thead
	>
	<tbody>
		{#each outline.sides as side, i}
			<tr class:on={pick.side === i} data-side-row={i}>
				<th scope="row"><b>{side.name.split(' ')[0]}</b> to <b>{side.name.split(' ')[2]}</b></th>
				<td>
					<button
						type="button"
						class="pen"
						onclick={() => {
							pick.chooseSide(i);
							pick.typing = true;
						}}><Frac text={side.call} /></button
					>
				</td>
				<td class="tape">
					<span class="blade" style:width="{(side.mm / longest) * 100}%"><span class="hook"></span></span>
				</td>
				<td class="r"><Frac text={side.stands} /></td>
			</tr>
		{/each}
		<tr class="sum"><td colspan="2">{w.lines.back}</td><td class="tape"></td><td class="r"><b class="zero">0</b></td></tr>
	</tbody>
</table>

<style>
	table {
		width: 100%;
		border-collapse: collapse;
		margin-top: 6px;
	}
	thead th {
		font-size: 13px;
		font-weight: 600;
		color: var(--color-ink2);
		text-align: left;
	}
	tbody th,
	td {
		height: 30px;
		border-top: 1px solid var(--color-hair);
		text-align: left;
		font-weight: 480;
		white-space: nowrap;
		padding-right: 8px;
	}
	.many tbody th,
	.many td {
		height: 25px;
	}
	.pen {
		font-size: 18px;
		line-height: 1.15;
	}
	.tape {
		width: 34%;
	}
	.blade {
		display: block;
		position: relative;
		height: 11px;
		min-width: 6px;
		border: 1.5px solid var(--color-ink);
		background:
			repeating-linear-gradient(90deg, transparent 0 5px, var(--color-ink) 5px 6px) 0 0 / 100% 4px no-repeat,
			var(--color-well);
	}
	.hook {
		position: absolute;
		right: -3px;
		top: -4px;
		width: 3.5px;
		height: 16px;
		background: var(--color-ink);
	}
	.r {
		text-align: right;
		padding-right: 0;
		font-size: 14.5px;
	}
	tr.on td,
	tr.on th {
		background: var(--color-chalk-tint);
	}
	.sum td {
		border-top: 2px solid var(--color-ink);
		font-weight: 720;
	}
	.zero {
		font-size: 19px;
	}
	@media (max-width: 600px) {
		.tape {
			display: none;
		}
		tbody th,
		td {
			height: 46px;
		}
	}
</style>
