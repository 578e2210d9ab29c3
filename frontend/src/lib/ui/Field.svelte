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
		/** the keyboard that comes up in the hand; where a bare number stands, figures, unless words can stand there too */
		mode?: 'text' | 'decimal' | 'numeric' | 'tel';
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
		mode,
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

<div class="min-w-0" style:width>
	<label for={id ?? own} class={hide ? 'sr-only' : 'label'}>{label}</label>
	<input
		id={id ?? own}
		class={[
			'block min-h-34 w-full border-x-0 border-t-0 border-b-[1.5px] border-dashed border-pencil px-2 py-0',
			'bg-transparent font-pencil text-key font-[520] text-pencil placeholder:font-sans max-phone:min-h-46',
			'placeholder:text-note placeholder:font-label placeholder:opacity-100 focus:bg-well',
			'aria-[invalid=true]:border-b-3 aria-[invalid=true]:border-flag',
			calm ? 'placeholder:text-ink2' : 'placeholder:text-flag',
			typed !== null && typed !== value && 'not-focus:border-b-3 not-focus:border-pencil'
		]}
		{type}
		inputmode={mode ?? (/^\d+([.,]\d+)?$/.test(value) ? 'decimal' : 'text')}
		autocapitalize="off"
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
