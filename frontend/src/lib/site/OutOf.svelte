<script lang="ts">
	/** This device is in no more; what it said waits. */
	import Act from '../ui/Act.svelte';
	import { siteWords as words } from '../words/site';
</script>

<div
	class="fixed inset-x-0 top-0 z-40 flex flex-wrap items-center gap-12 border-b-3 border-flag bg-well px-20 py-10 text-read font-mid"
	role="alert"
>
	<span class="min-w-0 flex-1 basis-200">{words.out}</span><Act href="/in" data-sveltekit-reload>{words.outGo}</Act>
</div>
