<script lang="ts">
	/** Pile heads under the slab: what stands, and more of them, walked to or under every pad. */
	import { remember } from '../../state/remember.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { lengthKeys, shownLength } from '../../ui/typed';
	import { EXAMPLES } from '../../words/examples';
	import { edges as edgeWords } from '../../words/edges';
	import { setPiles, takeOut } from './shape_edits';
	let { store }: { store: JobStore } = $props();
	const plan = $derived(store.document);
	const eg = $derived(EXAMPLES[store.units]);
	const say = (value: number) => (value ? shownLength(value, store.units) : '0');
	let piles = $state({ text: '', diameter: '', down: '' });
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/piles`,
		() => ({ piles }),
		(old) => ({ piles } = old)
	);
	async function keepPiles(pads = false) {
		if (
			await store.keep(
				[setPiles({ text: pads ? '' : piles.text, pads, diameter: piles.diameter, head_down: piles.down })],
				'piles'
			)
		)
			piles = { ...piles, text: '' };
	}
</script>

<h2 class="panel-head">{edgeWords.piles}</h2>
{#each plan?.piles ?? [] as row, i}
	<div class="panel-row">
		<b>{row.at.length} × {row.name}</b>
		<Field
			label={edgeWords.diameter}
			value={say(row.diameter_mm)}
			width="64px"
			keep={(diameter) => store.keep([setPiles({ piles: row.id, diameter })], `pile-d-${i}`)}
		/>
		<Field
			label={edgeWords.headDown}
			value={say(row.head_down_mm)}
			width="118px"
			problem={store.problemFor(`pile-h-${i}`)}
			keep={(head_down) => store.keep([setPiles({ piles: row.id, head_down })], `pile-h-${i}`)}
		/>
		<Field
			label={edgeWords.above}
			value={say(row.least_above_mm)}
			width="100px"
			keep={(least_above) => store.keep([setPiles({ piles: row.id, least_above })], `pile-a-${i}`)}
		/>
		<Field
			label={edgeWords.below}
			value={say(row.least_below_mm)}
			width="100px"
			keep={(least_below) => store.keep([setPiles({ piles: row.id, least_below })], `pile-b-${i}`)}
		/>
		<Act kind="quiet" onclick={() => void store.keep([takeOut('piles', [row.id])], 'piles')}>{edgeWords.out}</Act>
	</div>
{/each}
<div class="panel-row">
	<label class="label short"
		>{edgeWords.diameter}<input
			{...lengthKeys(store.units)}
			class="well call"
			aria-label="{edgeWords.piles} {edgeWords.diameter}"
			placeholder={eg.pile}
			bind:value={piles.diameter}
		/></label
	>
	<label class="label"
		>{edgeWords.headDown}<input
			{...lengthKeys(store.units)}
			class="well call"
			placeholder={eg.down}
			bind:value={piles.down}
		/></label
	>
	<label class="label long"
		>{edgeWords.onePad.replace('pad', 'pile')}<input
			class="well call"
			placeholder={edgeWords.pileRow}
			bind:value={piles.text}
			onkeydown={(e) => e.key === 'Enter' && void keepPiles()}
		/></label
	>
	<Act kind="quiet" onclick={() => void keepPiles()}>+</Act>
	{#if plan?.pads.length}<Act kind="quiet" onclick={() => void keepPiles(true)}>{edgeWords.underPads}</Act>{/if}
</div>
{#if store.problemFor('piles')}<p class="wrong" role="alert">
		<Frac text={store.problemFor('piles')?.detail ?? ''} />
	</p>{/if}
