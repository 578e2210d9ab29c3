<script lang="ts">
	/** What stands beside the work: old slabs, walls, walks, hatched. */
	import type { Plan } from '../api/schema';
	import type { Viewport } from './viewport';
	let { view, plan }: { view: Viewport; plan: Plan } = $props();
</script>

{#each plan.existing as thing}
	<path
		d={view.path([thing.polygon])}
		class="old fill-ground stroke-ink stroke-[1.6px] [stroke-dasharray:9_4]"
		data-existing={thing.name}
	/>
{/each}
