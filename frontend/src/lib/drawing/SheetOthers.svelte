<script lang="ts">
	/** What others have to do with this plan: their flags, and the version that stands against the one that is looked at. */
	import Flags from '../site/Flags.svelte';
	import { who } from '../site/who.svelte';
	import type { JobStore } from '../state/job.svelte';
	import { siteWords } from '../words/site';
	import type { Viewport, XY } from './viewport';
	let { store, view, ring }: { store: JobStore; view: Viewport; ring: XY[] } = $props();
	const others = $derived(who.on(store.id));
</script>

{#if store.versions.versus.length > 2}<path
		d={view.path([store.versions.versus])}
		class="pointer-events-none fill-none stroke-flag stroke-3 [stroke-dasharray:10_6]"
		data-versus
	/>{/if}
{#if others.length && ring.length}<Flags rows={others} {view} {ring} laptop={siteWords.lines['own'] ?? ''} />{/if}
