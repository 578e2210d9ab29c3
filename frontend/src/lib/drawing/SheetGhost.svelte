<script lang="ts">
	/** What is called and not kept yet: dashed, with its corners, and their letters where there are no others. */
	import { cornerName } from './pick.svelte';
	import type { Viewport, XY } from './viewport';
	let { view, ghost, named }: { view: Viewport; ghost: XY[]; named: boolean } = $props();
</script>

<path d={view.path([ghost], false)} fill="none" stroke="var(--color-chalk)" stroke-width="3.4" stroke-dasharray="9 5" />
{#each ghost as p, i}
	{@const [x, y] = view.px(p)}
	<circle cx={x} cy={y} r="5" fill="var(--color-well)" stroke="var(--color-chalk)" stroke-width="2.6" />
	{#if named}<text x={x + 10} y={y - 9} class="fill-chalk text-read font-heavy"
			>{i && i === ghost.length - 1 ? '' : cornerName(i)}</text
		>{/if}
{/each}
