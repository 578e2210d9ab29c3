<script lang="ts">
	/** A load goes back: why. It counts for nothing, and can be taken after all. */
	import type { TruckNow } from '../../api/schema';
	import Act from '../../ui/Act.svelte';
	import { pourWords } from '../../words/pour';
	import type { PourData } from './pour.svelte';
	let { data, one, done }: { data: PourData; one: TruckNow; done: () => void } = $props();
	const words = pourWords.ticket;
	// svelte-ignore state_referenced_locally (what is wrong with it as it is opened)
	let why = $state(one.doubts.find((row) => row.send_back)?.words ?? '');
	async function send() {
		if (why.trim() && (await data.say('ticket', { load: one.load, sent_back: why.trim() }))) done();
	}
</script>

<form class="mt-8 flex flex-wrap items-end gap-8" onsubmit={(event) => (event.preventDefault(), void send())}>
	<label class="min-w-200 flex-1 text-note"
		>{words.backWhy}<input
			class="w-full border-2 border-ink bg-well px-8 py-8 text-body"
			maxlength="400"
			bind:value={why}
		/></label
	>
	<Act type="submit" kind="main" disabled={!why.trim()}>{words.back}</Act>
	<p class="w-full text-note">{words.backHow}</p>
</form>
