<script lang="ts">
	/** The mark on the board as it will look, and what stands beside the bolt. */
	import type { ItemTold } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	let { item }: { item: ItemTold } = $props();
</script>

<div>
	<svg viewBox="0 0 320 84" class="w-full" role="img" aria-label={item.at_text}>
		<rect x="2" y="4" width="316" height="46" class="fill-board stroke-ink stroke-2" />
		<path d="M161 6c-4 14 4 28 -1 42" class="fill-none stroke-ink stroke-[5px]" />
		<text x="150" y="36" text-anchor="end" class="fill-ink text-call font-[760]"><SvgFrac text={item.at_text} /></text>
		<text x="174" y="36" class="fill-ink text-call font-[760]">{item.n}</text>
		<rect x="2" y="50" width="316" height="32" class="fill-slab stroke-none" />
		<circle cx="161" cy="66" r="9" class="fill-sheet stroke-ink stroke-[3px]" />
	</svg>
	{#if item.beside}<p class="text-note"><Frac text={item.beside} /></p>{/if}
</div>
