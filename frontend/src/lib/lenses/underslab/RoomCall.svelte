<script lang="ts">
	/** A room walked like a tape, where it is not a zone of its own. */
	import type { Edit } from '../../state/job.svelte';
	import { note, restored } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Trouble from '../../ui/Trouble.svelte';
	import { tubing as words } from '../../words/tubing';
	import type { UnderslabData } from './underslab.svelte';
	let { data }: { data: UnderslabData } = $props();
	const store = $derived(data.store);
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	const key = `${store.id}/room-call`;
	let text = $state(restored<string>(key) ?? '');
	$effect(() => note(key, text));
	const own = $props.id();
	async function keep(said = text) {
		if (!said.trim()) return;
		text = said;
		if (await store.keep([{ op: 'call_room', text: said } as Edit], 'room')) text = '';
	}
</script>

<h2 class="panel-head"><label for={own}>{words.walk}</label></h2>
<div class="flex gap-8">
	<input
		id={own}
		class="well min-w-0 flex-1 font-pencil text-key text-pencil"
		autocomplete="off"
		autocapitalize="off"
		spellcheck="false"
		placeholder={words.walkHint[store.units]}
		aria-invalid={!!store.problemFor('room')}
		bind:value={text}
		onkeydown={(event) => event.key === 'Enter' && void keep()}
	/>
	<Act kind="plain" onclick={() => void keep()}>{words.keep}</Act>
</div>
<Trouble problem={store.problemFor('room')} choose={(choice) => void keep(choice)} />
