<script lang="ts">
	/** Types of beams or of pads: pick one, cut the first of it, take out all of it or the type itself. */
	import type { JobStore } from '../../state/job.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { w } from '../../words/words';
	import type { EdgesData } from './edges.svelte';
	import { takeOut, takeOutType } from './shape_edits';
	import Act from '../../ui/Act.svelte';
	interface Props {
		store: JobStore;
		data: EdgesData;
		kind: 'beam' | 'pad';
		/** each type's mark, its sizes in words, and the rows that have it */
		rows: { mark: string; says: string; own: number[] }[];
		picked: string;
		pick: (mark: string) => void;
	}
	let { store, data, kind, rows, picked, pick }: Props = $props();
</script>

<table class="panel-table">
	<tbody>
		{#each rows as row}
			<tr class:on={picked === row.mark}>
				<th scope="row"
					><button
						type="button"
						class={[
							'min-h-34 min-w-34 border-2 border-ink bg-well font-[800] aria-pressed:bg-ink aria-pressed:text-sheet',
							'pointer-coarse:min-h-46 pointer-coarse:min-w-46'
						]}
						aria-pressed={picked === row.mark}
						onclick={() => pick(row.mark)}>{row.mark}</button
					></th
				>
				<td class="py-3 pr-8 pl-0"><Frac text={row.says} /></td>
				<td class="py-3 pr-8 pl-0">{w.edges.count(row.own.length)}</td>
				<td class="py-3 pr-8 pl-0 text-right">
					{#if row.own.length}<Act kind="quiet" onclick={() => data.choose(kind, row.own[0] ?? 0)}>{w.edges.showCut}</Act>{/if}
					<Act
						kind="quiet"
						onclick={() =>
							void store.keep(
								[
									row.own.length
										? takeOut(
												`${kind}s`,
												row.own.map((at) => store.rowId(`${kind}s`, at))
											)
										: takeOutType(`${kind}_types`, row.mark)
								],
								`${kind}-type`
							)}>{row.own.length ? w.edges.takeAll(row.mark) : w.edges.takeOut}</Act
					>
				</td>
			</tr>
		{/each}
	</tbody>
</table>
