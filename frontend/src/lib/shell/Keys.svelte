<script lang="ts">
	/** The list of keys. */
	import { session } from '../state/session.svelte';
	import Slip from '../ui/Slip.svelte';
	import { w } from '../words/words';
	import Act from '../ui/Act.svelte';
	let { open = $bindable(false) }: { open?: boolean } = $props();
</script>

<Slip bind:open title={w.keysTitle}>
	<dl class="mb-14 grid grid-cols-[max-content_1fr] gap-x-18 gap-y-4">
		{#each w.keys as [key, does]}
			<dt class="font-strong">{key}</dt>
			<dd>{does}</dd>
		{/each}
	</dl>
	<Act kind="quiet" onclick={() => session.toggleLetters()}>{session.letters ? w.keysOff : w.keysOn}</Act>
</Slip>
