<script lang="ts">
	/** A pencil field: shows what stands, takes what is typed on Enter or on leaving, shows a problem beside itself. */
	import { onDestroy, untrack } from 'svelte';
	import type { Problem } from '../api/schema';
	import { note, restored } from '../state/remember.svelte';
	import { placeOf } from './field_place';
	import { w } from '../words/words';
	interface Props {
		label: string;
		value: string;
		keep: (typed: string) => Promise<boolean>;
		problem?: Problem | null;
		placeholder?: string;
		/** the empty field is fine as it is: its placeholder is no reminder */
		calm?: boolean;
		hide?: boolean;
		type?: string;
		width?: string;
		id?: string;
	}
	let {
		label,
		value,
		keep,
		problem = null,
		placeholder = w.notSet,
		calm = false,
		hide = false,
		type = 'text',
		width = '100%',
		id
	}: Props = $props();
	const own = $props.id();
	const place = untrack(() => placeOf(id ?? label));
	onDestroy(place.leave);
	const before = restored<{ typed: string; value: string }>(place.key);
	let typed = $state<string | null>(untrack(() => (before?.value === value ? before.typed : null)));
	$effect(() => note(place.key, typed === null || typed === value ? '' : { typed, value }));
	async function leave() {
		if (typed === null || typed === value) return void (typed = null);
		if (await keep(typed)) typed = null;
	}
	async function take(text: string) {
		typed = text;
		if (await keep(text)) typed = null;
	}
</script>

<div class="field" style:width>
	<label for={id ?? own} class={hide ? 'sr-only' : 'label'}>{label}</label>
	<input
		id={id ?? own}
		class="in"
		class:calm
		class:unkept={typed !== null && typed !== value}
		{type}
		{placeholder}
		value={typed ?? value}
		aria-invalid={problem !== null && typed !== null}
		aria-describedby={problem ? `${id ?? own}-wrong` : undefined}
		oninput={(event) => (typed = event.currentTarget.value)}
		onfocus={(event) => event.currentTarget.select()}
		onblur={leave}
		onkeydown={(event) => {
			if (event.key === 'Enter') void leave();
			if (event.key === 'Escape') typed = null;
		}}
	/>
	{#if problem && typed !== null}
		<p class="wrong" id="{id ?? own}-wrong" role="alert">
			{problem.detail}
			{#each problem.choices ?? [] as choice}
				<button type="button" class="act quiet" onmousedown={(e) => e.preventDefault()} onclick={() => take(choice.text)}
					>{choice.label}</button
				>
			{/each}
		</p>
	{/if}
</div>

<style>
	.field {
		min-width: 0;
	}
	.in {
		display: block;
		width: 100%;
		min-height: 34px;
		font-family: var(--font-pencil);
		font-weight: 520;
		font-size: 17px;
		color: var(--color-pencil);
		background: transparent;
		border: 0;
		border-bottom: 1.5px dashed var(--color-pencil);
		padding: 0 2px;
	}
	.in::placeholder {
		font-family: var(--font-sans);
		font-size: 14px;
		color: var(--color-flag);
		opacity: 1;
		font-weight: 560;
	}
	.in.calm::placeholder {
		color: var(--color-ink2);
	}
	.in:focus {
		background: var(--color-well);
	}
	.in.unkept:not(:focus) {
		border-bottom: 3px solid var(--color-pencil);
	}
	.in[aria-invalid='true'] {
		border-bottom: 3px solid var(--color-flag);
	}
	@media (max-width: 600px) {
		.in {
			min-height: 46px;
		}
	}
</style>
