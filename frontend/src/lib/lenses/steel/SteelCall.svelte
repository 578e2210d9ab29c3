<script lang="ts">
	/** The call box: what an edge, beam, pad, slab or side holds, as the drawing says it; heard and laid before it is kept. */
	import { note, restored } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { steel as words } from '../../words/steel';
	import { w } from '../../words/words';
	import type { SteelData, Target } from './steel.svelte';
	/** of: what the call is of; one component for the life of a target. name: its label */
	let { data, of, name, done }: { data: SteelData; of: Target; name: string; done?: () => void } = $props();
	const store = $derived(data.store);
	// svelte-ignore state_referenced_locally (one target for the life of this component)
	const at = `steel-${of.kind}-${of.mark}`;
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	const key = `${store.id}/${at}`;
	const own = $props.id();
	let text = $state(restored<string>(key) ?? '');
	let refused = $state(false);
	$effect(() => note(key, text));
	const kept = $derived(data.drawn(of));
	const hint = $derived(words.hints[of.kind === 'edge' || of.kind === 'beam' ? 'cage' : of.kind][store.units]);
	const problem = $derived(text.trim() ? store.problemFor(at) : null);
	const heard = $derived(text.trim() && store.draft && !problem ? store.draft.summary : '');
	function type(said: string) {
		text = said;
		refused = false;
		if (said.trim()) void store.try([data.edit(of, said)], at);
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
		if (!said.trim()) return;
		refused = !(await store.keep([data.edit(of, said)], at));
		if (refused || text !== said) return;
		letGo();
		await data.load();
		done?.();
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
		placeholder={kept || hint}
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
			<p><b>{words.heard}:</b> <Frac text={heard} />.</p>
			<div class="mt-6 flex">
				<Act kind="main" onclick={() => void keep()}>{w.board.keep}</Act>
				<Act kind="plain" onclick={letGo}>{w.board.drop}</Act>
			</div>
		{/if}
	</div>
</div>
