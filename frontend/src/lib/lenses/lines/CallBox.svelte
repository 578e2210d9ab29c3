<script lang="ts">
	/** Call it like a tape: typed, heard, drawn as a ghost before it is kept. */
	import { untrack } from 'svelte';
	import { coarse } from '../../ui/pointer.svelte';
	import CallKeys from '../../ui/CallKeys.svelte';
	import { w } from '../../words/words';
	import Frac from '../../ui/Frac.svelte';
	import type { WalkBox, WalkKind } from './walk.svelte';
	import Choice from '../../ui/Choice.svelte';
	import Act from '../../ui/Act.svelte';
	let { box, hasOutline }: { box: WalkBox; hasOutline: boolean } = $props();
	const walked = $derived(box.heard?.walked ?? null);
	const problem = $derived(box.store.problemFor('walk'));
	const said = $derived(walked?.heard.legs?.map((leg) => leg.said).join(', ') ?? '');
	const choices = $derived(
		walked
			? [
					...(walked.heard.choices ?? []),
					...(box.kind === 'zone' || (box.kind === 'opening' && walked.heard.origin === '') ? [] : walked.fixes)
				]
			: []
	);
	/** a new job begins here; not under a thumb, where it would raise the keyboard over the screen */
	let own: HTMLInputElement | undefined = $state();
	let letters = $state(false);
	$effect(() => {
		if (untrack(() => !hasOutline && !coarse.now)) own?.focus();
	});
	const kinds: WalkKind[] = ['outline', 'zone', 'opening'];
	const keepWord = $derived({ outline: w.lines.keep, zone: w.lines.keepZone, opening: w.lines.keepOpening }[box.kind]);
</script>

<div class="call mt-8">
	{#if hasOutline}
		<Choice
			rows={kinds.map((kind) => ({ value: kind, label: w.lines.modes[kind] }))}
			value={box.kind}
			pick={(kind) => kind && box.choose(kind)}
			name={w.lines.call}
			class="mb-6 flex gap-4"
		/>
	{/if}
	<label class="text-note font-[700]" for="call-out">{w.lines.box[box.kind]}</label>
	<div class="in mt-3 flex border-x-2 border-t-2 border-b-5 border-ink bg-well max-phone:flex-col">
		<input
			class={[
				'h-48 min-w-0 flex-1 bg-transparent px-12 py-0 font-pencil font-[520] text-pencil [outline:none] max-phone:flex-none',
				box.text.length > 27 ? 'text-key' : 'text-call'
			]}
			id="call-out"
			bind:this={own}
			autocomplete="off"
			inputmode={coarse.now && !letters ? 'decimal' : 'text'}
			autocapitalize="off"
			spellcheck="false"
			value={box.text}
			class:long={box.text.length > 27}
			oninput={(event) => box.type(event.currentTarget.value)}
			onkeydown={(event) => {
				if (event.key === 'Enter') void box.enter();
				if (event.key === 'Escape') void box.forget();
			}}
		/>
		<button
			type="button"
			class={[
				'act main border-y-0 border-r-0 border-l-2 border-ink max-phone:border-t-2 max-phone:border-l-0',
				'max-phone:border-ink'
			]}
			disabled={!box.ready}
			onclick={() => void box.keep()}>{keepWord}</button
		>
	</div>
	{#if coarse.now}<CallKeys box={own} bind:letters type={(text) => box.type(text)} />{/if}
	{#if box.kind === 'zone' && box.text}
		<div class="mt-6 flex gap-12">
			<label class="label text-note font-[700]">{w.lines.zoneName} <input class="well" bind:value={box.zoneName} /></label>
			<label class="label text-note font-[700]"
				>{w.lines.zoneDrop} <input class="well" placeholder="0" bind:value={box.zoneDrop} /></label
			>
		</div>
	{/if}
	<div class="mt-4 min-h-40 text-note text-ink2 max-phone:text-read" aria-live="polite">
		{#if problem}
			<p class="wrong" role="alert">{problem.detail}</p>
		{/if}
		{#if !box.text.trim()}
			<p>{w.lines.hint[box.kind]}</p>
		{:else if walked}
			{#if said}<p>{w.lines.heard}: <Frac text={said} />. {box.heard?.lands}</p>{/if}
			{#if walked.heard.problem}<p class="wrong"><Frac text={walked.heard.problem} /></p>{/if}
			{#if box.kind === 'outline' || walked.closed}<p
					class={['verdict mt-3 text-size leading-[1.2] font-heavy', walked.closed ? 'text-chalk' : 'text-flag']}
				>
					<Frac text={walked.verdict} />
				</p>
			{:else if said && !box.heard?.lands}<p>{w.lines.walkOn[box.kind]}</p>{/if}
			<div class="mt-6 flex flex-wrap gap-6 text-ink">
				{#each choices as choice}
					<Act kind="quiet" onclick={() => void box.take(choice.text)}><Frac text={choice.label} /></Act>
				{/each}
				<Act kind="quiet" onclick={() => void box.forget()}>{w.lines.forget}</Act>
			</div>
		{/if}
	</div>
</div>

<style>
	.in:focus-within {
		outline: 3px solid var(--color-chalk);
	}
</style>
