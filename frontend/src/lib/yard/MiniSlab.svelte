<script lang="ts">
	/** A slab at the yard's one scale. */
	import type { YardJob } from '../api/schema';
	import { boundsOf, Viewport } from '../drawing/viewport';
	let { job, scale, width, height }: { job: YardJob; scale: number; width: number; height: number } = $props();
	const view = $derived.by(() => {
		if (!job.outline) return null;
		const box = boundsOf(job.outline);
		return new Viewport(
			scale,
			(width - (box.x1 - box.x0) * scale) / 2 - box.x0 * scale,
			(height + (box.y1 - box.y0) * scale) / 2 + box.y0 * scale
		);
	});
</script>

<svg class="w-full" viewBox="0 0 {width} {height}" aria-hidden="true">
	{#if view && job.outline}
		<path d={view.path([job.outline])} fill="none" stroke="var(--color-ink)" stroke-width="6.5" />
		<path d={view.path([job.outline])} fill="none" stroke="var(--color-board)" stroke-width="4.6" />
		<path
			d={view.path([job.outline, ...job.openings])}
			fill="var(--color-slab)"
			fill-rule="evenodd"
			stroke="var(--color-ink)"
			stroke-width="1.8"
		/>
	{:else}
		<path
			d="M{width / 2 - 32} {height / 2 - 22}h64v44h-64z"
			fill="none"
			stroke="var(--color-chalk)"
			stroke-width="2"
			stroke-dasharray="6 5"
		/>
	{/if}
</svg>
