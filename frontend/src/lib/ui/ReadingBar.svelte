<script lang="ts">
	/** How far a file is, and a way to stop. */
	import { Progress } from 'bits-ui';
	import type { FileReading } from '../state/reading.svelte';
	import { w } from '../words/words';
	let { reading }: { reading: FileReading } = $props();
	const percent = $derived(Math.round((reading.share ?? 0) * 100));
</script>

{#if reading.long}
	<div class="flex flex-wrap items-center gap-12 py-4 font-[640]" role="status">
		<span>{w.reading.busy(percent)}</span>
		<Progress.Root value={percent} max={100} aria-label={w.reading.name} class="h-12 min-w-96 flex-1 border-2 border-ink bg-well">
			<div class="h-full bg-chalk" style:width="{percent}%"></div>
		</Progress.Root>
		<button type="button" class="act quiet" onclick={() => void reading.letGo()}>{w.reading.stop}</button>
	</div>
{/if}
