<script lang="ts">
	/** A soft spot in a footing's trench: beside which peg, how wide and deep, what was done about it. */
	import type { Footings } from '../../api/schema';
	import { addRecord, isWrong } from '../../state/record';
	import { remember } from '../../state/remember.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { lengthKeys, numberKeys } from '../../ui/typed';
	import { footings as words } from '../../words/footings';
	import { ground as groundWords } from '../../words/ground';
	let { store, found, picked }: { store: JobStore; found: Footings; picked: number | null } = $props();
	let said = $state({ peg: '', across: '', deep: '', done: groundWords.dones[0] as string });
	let told = $state({ wrong: '', kept: '' });
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/footing-soft`,
		() => ({ said }),
		(old) => ({ said } = old)
	);
	async function keep() {
		const number = Number(said.peg || picked || 1);
		const peg = found.pegs.find((one) => one.number === number);
		if (!peg) return void (told = { wrong: words.noPeg(found.pegs.length), kept: '' });
		const values = { at: peg.at, across_mm: said.across, deep_mm: said.deep || null, done: said.done };
		const got = await addRecord(store, 'soft-spot', values, session.who, null);
		told = isWrong(got) ? { wrong: got.words, kept: '' } : { wrong: '', kept: words.softNoted(number) };
		if (!isWrong(got)) said = { ...said, peg: '', across: '', deep: '' };
	}
</script>

{#snippet box(label: string, key: 'peg' | 'across' | 'deep', example: string)}
	<label class="label w-96"
		>{label}<input
			{...key === 'peg' ? numberKeys : lengthKeys(store.units)}
			class="well font-pencil text-key font-[520] text-pencil"
			placeholder={example}
			bind:value={said[key]}
			onkeydown={(event) => event.key === 'Enter' && void keep()}
		/></label
	>
{/snippet}

<h2 class="panel-head">{words.soft}</h2>
<div class="flex flex-wrap items-end gap-x-10 gap-y-6">
	{@render box(words.softAt, 'peg', `${picked ?? 1}`)}
	{@render box(words.softWide, 'across', '24')}
	{@render box(words.softDeep, 'deep', '12')}
	<Choose
		label
		name={words.softDone}
		rows={groundWords.dones.map((value) => ({ value: value as string, label: value }))}
		value={said.done}
		pick={(now) => (said.done = now)}
	/>
	<Act kind="quiet" onclick={() => void keep()}>{words.softKeep}</Act>
</div>
{#if told.wrong}<p class="wrong" role="alert"><Frac text={told.wrong} /></p>{/if}
{#if told.kept}<p class="mt-4 font-mid" role="status">{told.kept}</p>{/if}
