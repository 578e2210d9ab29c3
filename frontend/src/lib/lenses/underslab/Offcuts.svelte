<script lang="ts">
	/** Offcuts that are left on the pile, to one scale, with their sizes. */
	import { shownLength } from '../../ui/typed';
	import Frac from '../../ui/Frac.svelte';
	import { cover } from '../../words/underslab_cover';
	let { left, units }: { left: readonly (readonly number[])[]; units: 'ft-in' | 'mm' } = $props();
	const PX = 0.036;
	const nearest = (mm: number) => (units === 'mm' ? mm : (Math.round((mm / 25.4) * 4) / 4) * 25.4);
	const shown = $derived(left.filter((one) => Math.min(one[0] ?? 0, one[1] ?? 0) >= 150).slice(0, 8));
	const rows = $derived(
		shown.map(([long = 0, wide = 0]) => ({
			w: long * PX,
			h: wide * PX,
			text: `${shownLength(nearest(long), units)} × ${shownLength(nearest(wide), units)}`
		}))
	);
</script>

{#if shown.length}
	<p class="label mt-6">{cover.foam.left}</p>
	<ul class="flex flex-wrap items-end gap-x-14 gap-y-6">
		{#each rows as row}
			<li class="text-label text-ink2">
				<svg width={row.w + 3} height={row.h + 3} viewBox="-1.5 -1.5 {row.w + 3} {row.h + 3}" aria-hidden="true">
					<rect width={row.w} height={row.h} class="fill-well stroke-ink stroke-[1.4px]" />
					<rect width={row.w} height={row.h} fill="url(#zig)" />
				</svg>
				<span class="block"><Frac text={row.text} /></span>
			</li>
		{/each}
	</ul>
{/if}
