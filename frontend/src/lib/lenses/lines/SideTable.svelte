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

<table class="mt-6 w-full border-collapse">
	<thead
		><tr
			><th class="text-left text-label font-[600] text-ink2">{w.lines.side}</th><th
				class="text-left text-label font-[600] text-ink2">{w.lines.call}</th
			><th class="w-[34%] text-left text-label font-[600] text-ink2 max-phone:hidden">{w.lines.tape}</th><th
				class="pr-0 text-right text-note font-[600] text-ink2">{w.lines.stands}</th
			></tr
		></thead
	>
	<tbody>
		{#each outline.sides as side, i}
			<tr class:on={pick.side === i} data-side-row={i}>
				<th
					class={[
						'border-t border-hair pr-8 text-left font-plain whitespace-nowrap max-phone:h-46',
						many ? 'h-25' : 'h-30',
						pick.side === i && 'bg-chalk-tint'
					]}
					scope="row"><b>{side.name.split(' ')[0]}</b> to <b>{side.name.split(' ')[2]}</b></th
				>
				<td
					class={[
						'border-t border-hair pr-8 text-left font-plain whitespace-nowrap max-phone:h-46',
						many ? 'h-25' : 'h-30',
						pick.side === i && 'bg-chalk-tint'
					]}
				>
					<button
						type="button"
						class="pen text-size leading-[1.15]"
						onclick={() => {
							pick.chooseSide(i);
							pick.typing = true;
						}}><Frac text={side.call} /></button
					>
				</td>
				<td
					class={[
						'w-[34%] border-t border-hair pr-8 text-left font-plain whitespace-nowrap max-phone:h-46',
						'max-phone:hidden',
						many ? 'h-25' : 'h-30',
						pick.side === i && 'bg-chalk-tint'
					]}
				>
					<span class="blade relative block h-11 min-w-6 border-[1.5px] border-ink" style:width="{(side.mm / longest) * 100}%"
						><span class="absolute -top-4 -right-3 h-16 w-3.5 bg-ink"></span></span
					>
				</td>
				<td
					class={[
						'border-t border-hair pr-0 text-right text-note font-plain whitespace-nowrap max-phone:h-46',
						many ? 'h-25' : 'h-30',
						pick.side === i && 'bg-chalk-tint'
					]}><Frac text={side.stands} /></td
				>
			</tr>
		{/each}
	</tbody>
</table>

<style>
	.blade {
		background:
			repeating-linear-gradient(90deg, transparent 0 5px, var(--color-ink) 5px 6px) 0 0 / 100% 4px no-repeat,
			var(--color-well);
	}
</style>
