<script lang="ts">
	/** Marks as rows: the tag, what it is, pieces by length, weight. A press holds one and shows it in the plan. */
	import type { MarkTold } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import { steel as words } from '../../words/steel';
	import type { SteelData } from './steel.svelte';
	import Tag from './Tag.svelte';
	let { data, rows }: { data: SteelData; rows: readonly MarkTold[] } = $props();
	const cuts = (row: MarkTold) =>
		row.cuts
			.slice(0, 3)
			.map(([text, n]) => `${n} × ${text}`)
			.join(', ') + (row.cuts.length > 3 ? ', …' : '');
</script>

<ul class="mt-8" aria-label={words.marks}>
	{#each rows as row (row.key)}
		{@const on = data.held?.mark === row.mark}
		<li class="border-b border-hair">
			<button
				class={['grid min-h-46 w-full grid-cols-[48px_1fr_auto] items-center gap-10 text-left', on && 'bg-chalk-tint']}
				aria-pressed={on}
				data-mark={row.mark}
				onclick={() => data.hold(row.mark)}
			>
				<Tag mark={row.mark} {on} />
				<span><b class="font-[760]">{row.words}</b><br /><span class="text-note text-ink2"><Frac text={cuts(row)} /></span></span>
				<span class="text-right font-mid">{row.count}<br /><span class="text-note text-ink2">{row.mass_text}</span></span>
			</button>
		</li>
	{/each}
</ul>
