<script lang="ts">
	/** Foam lying flat outside a shallow edge, as far as it would reach. */
	import type { EdgeOption } from '../../api/schema';
	import type { Viewport } from '../../drawing/viewport';
	let { view, options }: { view: Viewport; options: EdgeOption[] } = $props();
	const wings = $derived(options.find((one) => one.wings)?.wings ?? null);
</script>

{#if wings}
	{#each [wings.wall_rings, wings.corner_rings] as rings}
		<path d={view.path(rings)} fill="var(--color-well)" fill-rule="evenodd" pointer-events="none" />
		<path
			d={view.path(rings)}
			fill="url(#zig)"
			fill-rule="evenodd"
			stroke="var(--color-ink)"
			stroke-width="1.2"
			stroke-dasharray="5 3"
			pointer-events="none"
		/>
	{/each}
{/if}
