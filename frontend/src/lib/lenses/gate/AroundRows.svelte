<script lang="ts">
	/** What stands about and throws a shadow: walked like any area, its height pencilled, taken out. */
	import { untrack } from 'svelte';
	import { note, restored } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import Field from '../../ui/Field.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { shownLength } from '../../ui/typed';
	import { gateWords } from '../../words/gate';
	import type { DayData } from './gate.svelte';
	let { data }: { data: DayData } = $props();
	const words = gateWords.around;
	type Kind = keyof typeof words.kinds;
	const store = $derived(data.store);
	const rows = $derived(data.state?.blocking ?? []);
	const key = untrack(() => `${data.store.id}/around`);
	const before = restored<{ text: string; top: string; name: string; what: Kind }>(key);
	let text = $state(before?.text ?? '');
	let top = $state(before?.top ?? '');
	let name = $state(before?.name ?? '');
	let what = $state<Kind>(before?.what ?? 'building');
	$effect(() => note(key, text || top || name ? { text, top, name, what } : ''));
	const edit = $derived({ op: 'add_surrounding', name, what, text, top });
	const heard = $derived(text.trim() && store.draft && store.problemFor('around') === null ? store.draft.summary : '');
	function type() {
		if (text.trim() && top.trim()) void store.try([edit as never], 'around');
		else store.dropDraft();
	}
	async function keep() {
		if (await data.keep(edit, 'around')) {
			[text, top, name] = ['', '', ''];
			store.dropDraft();
		}
	}
	const change = (id: string, changes: object) => data.keep({ op: 'set_surrounding', around: id, changes }, `around-${id}`);
	const kinds = (Object.keys(words.kinds) as Kind[]).map((value) => ({ value, label: words.kinds[value] }));
</script>

<Fold name={words.title} aside={rows.length ? `${rows.length}` : words.none}>
	<p class="label">{words.how}</p>
	<ul>
		{#each rows as one, i (`${one.id}${i}`)}
			<li
				class="grid grid-cols-[minmax(0,1fr)_110px_110px_auto] items-end gap-10 border-b border-hair py-4 max-phone:grid-cols-2"
				data-around={one.name}
			>
				<span class="font-strong">{one.name} <span class="label block">{words.kinds[one.what as Kind] ?? ''}</span></span>
				{#if one.id}
					<Field
						label={words.top}
						value={shownLength(one.top_mm, store.units)}
						problem={store.problemFor(`around-${one.id}`)}
						keep={(top) => change(one.id, { top })}
					/>
					<Field
						label={words.base}
						value={one.base_mm ? shownLength(one.base_mm, store.units) : '0'}
						problem={store.problemFor(`around-${one.id}`)}
						keep={(base) => change(one.id, { base })}
					/>
					<Act kind="quiet" onclick={() => void data.keep({ op: 'take_out_surrounding', around: one.id }, 'around')}
						>{words.out}</Act
					>
				{:else}<span>{shownLength(one.top_mm, store.units)}</span><span class="label col-span-2">{words.elsewhere}</span>{/if}
			</li>
		{/each}
	</ul>
	<form
		class="mt-8 grid grid-cols-[minmax(0,1fr)_110px] gap-x-10 gap-y-6 max-phone:grid-cols-1"
		onsubmit={(event) => {
			event.preventDefault();
			void keep();
		}}
	>
		<Choice rows={kinds} value={what} pick={(now) => now && ((what = now), type())} name={words.title} class="col-span-full" />
		<label
			><span class="label">{words.walk}</span><input
				class="well w-full max-phone:h-44"
				placeholder={store.units === 'mm' ? words.callMm : words.call}
				autocomplete="off"
				bind:value={text}
				oninput={type}
			/></label
		>
		<label
			><span class="label">{words.top}</span><input
				class="well w-full max-phone:h-44"
				autocomplete="off"
				bind:value={top}
				oninput={type}
			/></label
		>
		<label
			><span class="label">{words.name}</span><input
				class="well w-full max-phone:h-44"
				maxlength="120"
				autocomplete="off"
				bind:value={name}
				oninput={type}
			/></label
		>
		<Act kind="plain" type="submit" disabled={!text.trim() || !top.trim()} class="self-end">{words.add}</Act>
	</form>
	{#if heard}<p class="mt-4"><b>{words.heard}:</b> <Frac text={heard} />.</p>{/if}
	{#if text.trim() && store.problemFor('around')}<p class="wrong" role="alert">
			<Frac text={store.problemFor('around')?.detail ?? ''} />
		</p>{/if}
</Fold>
