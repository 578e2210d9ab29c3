<script lang="ts">
	/** Probe and density tests, soft spots and what was done, at a place on the plan. */
	import { remember } from '../../state/remember.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { ground as groundWords } from '../../words/ground';
	import type { GroundData } from './ground.svelte';
	import Act from '../../ui/Act.svelte';
	import { lengthKeys, numberKeys } from '../../ui/typed';
	let { data }: { data: GroundData } = $props();
	let kind = $state<'probe' | 'density' | 'roll'>('probe');
	let value = $state('');
	let passed = $state(true);
	let note = $state('');
	let soft = $state({ across: '', deep: '', done: 'nothing yet' as (typeof groundWords.dones)[number] });
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${data.store.id}/tests`,
		() => ({ value, note, soft }),
		(old) => ({ value, note, soft } = old)
	);
	let wrong = $state({ at: '', words: '' });
	const tests = $derived(data.state?.tests ?? []);
	const spots = $derived(data.state?.soft ?? []);
	const bad = $derived(
		tests.filter((row) => !row.test.passed).length + spots.filter((row) => row.soft.done === 'nothing yet').length
	);
	const inches = (text: string) =>
		data.store.units === 'ft-in' && /^\d+(\.\d+)?$/.test(text.trim()) ? `${text.trim()}"` : text.trim();
	async function keepTest() {
		const extra =
			kind === 'probe'
				? { sank_mm: value.trim() ? inches(value) : null }
				: kind === 'density'
					? { density_percent: value.trim() ? Number(value) : null }
					: {};
		const got = await data.record('ground-test', { test: kind, at: data.stick, layer: data.layer, passed, note, ...extra });
		wrong = { at: 'test', words: got?.words ?? '' };
		if (!got) value = note = '';
	}
	async function keepSoft() {
		const got = await data.record('soft-spot', {
			at: data.stick,
			across_mm: inches(soft.across),
			deep_mm: soft.deep.trim() ? inches(soft.deep) : null,
			done: soft.done,
			note
		});
		wrong = { at: 'soft', words: got?.words ?? '' };
		if (!got) soft = { across: '', deep: '', done: 'nothing yet' };
	}
</script>

{#if data.state}
	<div class="saying">
		<p class="big" class:plain={!tests.length && !spots.length} class:good={bad === 0 && tests.length > 0}>
			{!tests.length && !spots.length ? groundWords.testsNone : bad ? `${bad} to settle.` : 'All passed.'}
		</p>
	</div>
	<p><span class="label">{groundWords.where}:</span> <b>{data.stick ? 'as pressed on the plan' : groundWords.notPicked}</b></p>
	<h2 class="mt-8">{groundWords.test}</h2>
	<div class="row mx-0 mt-5 mb-8 flex flex-wrap items-end gap-x-10 gap-y-6">
		{#each Object.entries(groundWords.testKinds) as [key, name]}<Act
				kind="quiet"
				on={kind === key}
				onclick={() => (kind = key as typeof kind)}>{name}</Act
			>{/each}
		{#if kind !== 'roll'}<label class="label"
				>{kind === 'probe' ? groundWords.sank : groundWords.density}<input
					{...numberKeys}
					class="reading block w-110"
					id="test-value"
					bind:value
				/></label
			>{/if}
		<Act kind="quiet" on={passed} onclick={() => (passed = true)}>{groundWords.passed}</Act>
		<Act kind="quiet" on={!passed} onclick={() => (passed = false)}>{groundWords.failed}</Act>
		<label class="label">{groundWords.note}<input class="reading block w-180" bind:value={note} /></label>
		<Act kind="main" disabled={!data.stick} onclick={() => void keepTest()}>{groundWords.keepTest}</Act>
	</div>
	{#if wrong.at === 'test' && wrong.words}<p class="wrong" role="alert">{wrong.words}</p>{/if}
	<h2 class="mt-8">{groundWords.soft}</h2>
	<div class="row mx-0 mt-5 mb-8 flex flex-wrap items-end gap-x-10 gap-y-6">
		<label class="label"
			>{groundWords.across}<input {...lengthKeys(data.store.units)} class="reading block w-110" bind:value={soft.across} /></label
		>
		<label class="label"
			>{groundWords.deep.split(' ')[0]}<input
				{...lengthKeys(data.store.units)}
				class="reading block w-110"
				bind:value={soft.deep}
			/></label
		>
		<Choose
			label
			name={groundWords.softDone}
			rows={groundWords.dones.map((one) => ({ value: one, label: one }))}
			value={soft.done}
			pick={(done) => (soft.done = done)}
		/>
		<Act disabled={!data.stick || !soft.across.trim()} onclick={() => void keepSoft()}>{groundWords.keepSoft}</Act>
	</div>
	{#if wrong.at === 'soft' && wrong.words}<p class="wrong" role="alert">{wrong.words}</p>{/if}
	<ul>
		{#each tests as row, i}<li class={['border-t border-hair px-0 py-6', !row.test.passed && 'font-mid text-flag']}>
				<b>{i + 1}</b>
				<Frac text={row.words} />
				{row.test.note} <span class="label">{row.who}</span>
			</li>{/each}
		{#each spots as row, i}<li
				class={['border-t border-hair px-0 py-6', row.soft.done === 'nothing yet' && 'font-mid text-flag']}
			>
				<b>S{i + 1}</b>
				<Frac text={row.words} />
				{row.soft.note} <span class="label">{row.who}</span>
			</li>{/each}
	</ul>
	<p class="label">{groundWords.caution}</p>
{/if}
