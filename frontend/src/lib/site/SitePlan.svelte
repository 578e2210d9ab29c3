<script lang="ts">
	/** The slab with a flag where each one looks. */
	import type { YardJob } from '../api/schema';
	import { boundsOf, Viewport, type XY } from '../drawing/viewport';
	import { siteWords as words } from '../words/site';
	import { who } from './who.svelte';
	import Flags from './Flags.svelte';
	let { job }: { job: YardJob | null } = $props();
	let width = $state(400);
	const HEIGHT = 270;
	const ring = $derived((job?.outline ?? []) as XY[]);
	const view = $derived(Viewport.fit(boundsOf(ring.length ? ring : [[0, 0]]), width, HEIGHT, { x: 14, top: 46, bottom: 14 }));
	const here = $derived(who.rows.filter((row) => job && row.job === job.id));
</script>

<div bind:clientWidth={width}>
	{#if ring.length}
		<svg {width} height={HEIGHT} class="block" role="img" aria-label="{job?.name}. {here.map((row) => row.name).join(', ')}">
			<path d={view.path([ring])} fill="none" stroke="var(--color-ink)" stroke-width="9" />
			<path d={view.path([ring])} fill="none" stroke="var(--color-board)" stroke-width="6.4" />
			<path
				d={view.path([ring, ...((job?.openings ?? []) as XY[][])])}
				fill="var(--color-slab)"
				fill-rule="evenodd"
				stroke="var(--color-ink)"
				stroke-width="2"
			/>
			<Flags rows={here} {view} {ring} laptop={words.lines['own'] ?? ''} />
		</svg>
	{/if}
	<p class="flex justify-between gap-8 text-note text-ink2">
		<span>{here.length ? '' : words.alone}</span><span>{here.some((row) => !row.reach) ? words.dashed : ''}</span>
	</p>
</div>
