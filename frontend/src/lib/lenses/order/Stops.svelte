<script lang="ts">
	/** What stops the call to the plant, and where each is mended. */
	import type { Finding } from '../../api/schema';
	import { alike } from '../../state/findings';
	import type { JobStore } from '../../state/job.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { orderWords } from '../../words/order';
	import { w } from '../../words/words';
	import type { LensId } from '../lens';
	let { store, stops }: { store: JobStore; stops: Finding[] } = $props();
</script>

{#if stops.length}
	<div class="mt-12 border-2 border-flag bg-well p-12" role="alert" data-stops={stops.length}>
		<h2 class="text-lg font-bold">{orderWords.stopped}</h2>
		<ul class="mt-4 grid list-none gap-8 p-0">
			{#each alike(stops) as { first: stop, more }}
				<li class="relative border-t border-hair px-0 pt-5 pb-6" data-stop={stop.code}>
					<Frac text="{stop.words} {stop.remedy}{more ? ` ${orderWords.moreAlike(more)}` : ''}" />
					{#if stop.stage !== 'order'}<a
							class="mt-4 block font-semibold underline"
							href="/job/{store.id}/{stop.stage}{stop.tabs[0] ? `?tab=${stop.tabs[0]}` : ''}"
							>{orderWords.mend} {w.lenses[stop.stage as LensId]}</a
						>{/if}
				</li>
			{/each}
		</ul>
	</div>
{/if}
