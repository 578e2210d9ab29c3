<script lang="ts">
	/** The call box: what is said of one thing, heard and worked out before it is kept. One component for the life of a thing. */
	import type { Edit, JobStore } from '../state/job.svelte';
	import { note, restored } from '../state/remember.svelte';
	import Act from '../ui/Act.svelte';
	import Frac from '../ui/Frac.svelte';
	import { w } from '../words/words';
	interface Props {
		store: JobStore;
		/** which control it is, of one thing: problems are told by it */
		at: string;
		name: string;
		/** what it is now, or an example */
		hint: string;
		edit: (text: string) => Edit;
		/** an empty call says something too */
		blank?: boolean;
		/** what this one is called for its key: "Heard" */
		heardName: string;
		done?: () => unknown;
	}
	let { store, at, name, hint, edit, blank = false, heardName, done }: Props = $props();
	// svelte-ignore state_referenced_locally (one thing for the life of this component)
	const key = `${store.id}/${at}`;
	const own = $props.id();
	let text = $state(restored<string>(key) ?? '');
	let refused = $state(false);
	$effect(() => note(key, text));
	const problem = $derived(text.trim() || refused ? store.problemFor(at) : null);
	const heard = $derived(text.trim() && store.draft && !problem ? store.draft.summary : '');
	function type(said: string) {
		text = said;
		refused = false;
		if (said.trim()) void store.try([edit(said)], at);
		else store.dropDraft();
	}
	function letGo() {
		text = '';
		refused = false;
		store.clearProblem();
		store.dropDraft();
	}
	async function keep() {
		const said = text;
		if (!said.trim() && !blank) return;
		refused = !(await store.keep([edit(said)], at));
		if (refused || text !== said) return;
		letGo();
		await done?.();
	}
</script>

<div class="mt-12">
	<label class="block text-note font-[760]" for={own}>{name}</label>
	<input
		id={own}
		class={[
			'mt-3 block h-48 w-full border-x-2 border-t-2 border-b-5 border-ink bg-well px-12 font-pencil font-[520]',
			'placeholder:text-key placeholder:text-ink2',
			text.length > 30 ? 'text-key' : 'text-call'
		]}
		autocomplete="off"
		autocapitalize="off"
		spellcheck="false"
		placeholder={hint}
		value={text}
		aria-describedby="{own}-heard"
		oninput={(event) => type(event.currentTarget.value)}
		onkeydown={(event) => {
			event.stopPropagation();
			if (event.key === 'Enter') void keep();
			if (event.key === 'Escape') letGo();
		}}
	/>
	<div id="{own}-heard" class="mt-4" aria-live="polite">
		{#if problem}
			<p class={[refused ? 'wrong' : 'text-ink2']} role={refused ? 'alert' : undefined}><Frac text={problem.detail} /></p>
		{:else if heard}
			<p><b>{heardName}:</b> <Frac text={heard} />.</p>
			<div class="mt-6 flex">
				<Act kind="main" onclick={() => void keep()}>{w.board.keep}</Act>
				<Act kind="plain" onclick={letGo}>{w.board.drop}</Act>
			</div>
		{/if}
	</div>
</div>
