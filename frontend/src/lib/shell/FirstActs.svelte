<script lang="ts">
	/** A job without an outline: why nothing stands here yet, and the first act of each stage with the way there. */
	import { LENSES } from '../lenses/all';
	import type { LensId } from '../lenses/lens';
	import { w } from '../words/words';
	let { jobId, here, why = '' }: { jobId: string; here: LensId; why?: string } = $props();
</script>

{#if why}<p class="mt-6 text-call leading-[1.1] font-black font-stretch-[90%]">{why}</p>{/if}
<h2 class="mt-14">{w.firstActs.title}</h2>
<ul>
	{#each LENSES as lens (lens.id)}
		<li class="grid min-h-46 grid-cols-[84px_1fr_auto] items-center gap-12 border-b border-hair">
			<b class="font-heavy">{w.lenses[lens.id]}</b>
			<span>{w.firstActs[lens.id]}</span>
			{#if lens.id === here}<span class="text-ink2">{w.firstActs.here}</span>
			{:else if lens.id === 'lines'}<a class="act quiet" href="/job/{jobId}/lines">{w.firstActs.go}</a>
			{:else}<span class="text-ink2">{w.firstActs.needs}</span>{/if}
		</li>
	{/each}
</ul>
