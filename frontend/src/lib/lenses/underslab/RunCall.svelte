<script lang="ts">
	/** The call box: the next run, or what comes up, walked like a tape; heard and drawn before it is kept. */
	import { remember } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import CallKeys from '../../ui/CallKeys.svelte';
	import Choice from '../../ui/Choice.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { coarse } from '../../ui/pointer.svelte';
	import { underslab as words } from '../../words/underslab';
	import { w } from '../../words/words';
	import type { UnderslabData, What } from './underslab.svelte';
	let { data }: { data: UnderslabData } = $props();
	const store = $derived(data.store);
	let own: HTMLInputElement | undefined = $state();
	let letters = $state(false);
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/buried`,
		() => ({ text: data.text, calls: data.calls }),
		(old) => ({ text: data.text, calls: data.calls } = old)
	);
	const problem = $derived(data.text.trim() ? store.problemFor('buried') : null);
	const heard = $derived(data.text.trim() && store.draft && !problem ? store.draft.summary : '');
	const hint = $derived((data.calls === 'run' ? words.runHint : words.riserHint)[store.units]);
	function keys(event: KeyboardEvent) {
		event.stopPropagation();
		if (event.key === 'Enter') void data.keep();
		if (event.key === 'Escape') data.letGo();
	}
</script>

<div class="mt-14 border-t-2 border-ink pt-8">
	<Choice
		name={words.kindOf}
		rows={[
			{ value: 'run', label: words.run },
			{ value: 'riser', label: words.riser }
		]}
		value={data.calls}
		pick={(now) => now && ((data.calls = now as What), data.type(data.text))}
	/>
	<label class="mt-6 block text-note font-[760]" for="buried-call">{data.calls === 'run' ? words.walkRun : words.walkRiser}</label
	>
	<input
		id="buried-call"
		bind:this={own}
		class={[
			'mt-3 block h-48 w-full border-x-2 border-t-2 border-b-5 border-ink bg-well px-12 font-pencil font-[520]',
			data.text.length > 30 ? 'text-key' : 'text-call'
		]}
		autocomplete="off"
		autocapitalize="off"
		spellcheck="false"
		inputmode={coarse.now && !letters ? 'decimal' : 'text'}
		placeholder={hint}
		value={data.text}
		aria-describedby="buried-heard"
		oninput={(event) => data.type(event.currentTarget.value)}
		onkeydown={keys}
	/>
	{#if coarse.now}<CallKeys box={own} bind:letters type={(text) => data.type(text)} />{/if}
	<div id="buried-heard" class="mt-4" aria-live="polite">
		{#if problem}
			<p class={[data.refused ? 'wrong' : 'text-ink2']} role={data.refused ? 'alert' : undefined}>
				<Frac text={problem.detail} />
			</p>
			<div class="mt-4 flex flex-wrap gap-6">
				{#each problem.choices ?? [] as choice}<Act kind="quiet" onclick={() => data.type(choice.text)}
						><Frac text={choice.label} /></Act
					>{/each}
			</div>
		{:else if heard}
			<p><b>{words.heard}:</b> <Frac text={heard} />.</p>
			<div class="mt-6 flex">
				<Act kind="main" onclick={() => void data.keep()}>{w.board.keep}</Act>
				<Act kind="plain" onclick={() => data.letGo()}>{w.board.drop}</Act>
			</div>
		{/if}
	</div>
</div>
