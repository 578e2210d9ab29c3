<script lang="ts">
	/** The slab small, with the joints that a rule lays. */
	import type { Proposal } from '../../api/schema';
	import { boundsOf, Viewport, type XY } from '../../drawing/viewport';
	import { joints as words } from '../../words/joints';
	interface Props {
		outline: XY[];
		openings: XY[][];
		row: Proposal;
		fails: number | undefined;
		on: boolean;
		take: () => void;
	}
	let { outline, openings, row, fails, on, take }: Props = $props();
	const view = $derived(Viewport.fit(boundsOf(outline), 160, 110, { x: 6, top: 6, bottom: 6 }));
</script>

<button
	type="button"
	class={['block w-full border-2 bg-well p-8 text-left', on ? 'border-chalk' : 'border-ink']}
	aria-pressed={on}
	onclick={take}
	data-proposal={row.ratio_n}
>
	<b class="text-key">{words.ratio(row.ratio_n)}</b>
	{#if on}<span class="label">{words.taken}</span>{/if}
	<svg viewBox="0 0 160 110" class="my-4 w-full max-phone:max-h-140" aria-hidden="true">
		<path d={view.path([outline, ...openings])} fill-rule="evenodd" class="fill-slab stroke-ink stroke-[1.6px]" />
		{#each row.lines as line, i (i)}<path
				d={view.path([line as XY[]], false)}
				class="fill-none stroke-chalk stroke-[1.6px]"
			/>{/each}
	</svg>
	<span class="block text-note">{words.card(row.panels, row.saw_text)}</span>
	{#if row.broken}<span class="block text-note text-flag">{words.cardBroken(row.broken)}</span>{/if}
	{#if fails !== undefined}<span class={['block text-note', fails ? 'text-flag' : 'text-ink2']}>{words.fails(fails)}</span>{/if}
</button>
