<script lang="ts">
	/** An old floor that the slab meets: its levels along the joint, how far the new floor is off, and letting the zone follow it. */
	import { remember } from '../../state/remember.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { lengthKeys } from '../../ui/typed';
	import { EXAMPLES } from '../../words/examples';
	import { edges as edgeWords } from '../../words/edges';
	import type { EdgesData } from './edges.svelte';
	import MatchProfile from './MatchProfile.svelte';
	let { store, data }: { store: JobStore; data: EdgesData } = $props();
	const plan = $derived(store.document);
	const eg = $derived(EXAMPLES[store.units]);
	const sides = $derived(store.figure?.outline?.sides ?? []);
	const sideRows = $derived(sides.map((side, i) => ({ value: `${i}`, label: side.name })));
	const matches = $derived(data.state?.matches ?? []);
	let level = $state({ side: 0, along: '', level: '' });
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/level`,
		() => ({ level }),
		(old) => ({ level } = old)
	);
	$effect(() => {
		const side = matches[0]?.side;
		if (side !== undefined && !level.along) level.side = side;
	});
	async function keepLevel() {
		if (
			await store.keep(
				[{ op: 'measure_level', side: store.cornerId(level.side), along: level.along || '0', level: level.level || 0 }],
				'level'
			)
		)
			level = { ...level, along: '', level: '' };
	}
</script>

<h2 class="mt-8">{edgeWords.match}</h2>
{#each matches as match}
	<MatchProfile {match} units={store.units} />
	<p><Frac text={match.words} /></p>
	<div class="panel-row">
		<Act kind="main" onclick={() => void store.keep([{ op: 'follow_side', side: store.cornerId(match.side) }], 'level')}
			>{edgeWords.follow}</Act
		>
		<Act
			kind="quiet"
			onclick={() =>
				void store.keep(
					[{ op: 'clear_levels', existing: plan?.existing.find((thing) => thing.name === match.against)?.id ?? '' }],
					'level'
				)}>{edgeWords.forget}</Act
		>
	</div>
{/each}
{#if plan?.existing.length}
	<p class="label">{edgeWords.matchHint}</p>
	<div class="panel-row">
		<Choose label name={edgeWords.onSide} rows={sideRows} value={`${level.side}`} pick={(at) => (level.side = Number(at))} />
		<label class="label"
			>{edgeWords.along}<input
				{...lengthKeys(store.units)}
				class="well call"
				placeholder={eg.along}
				bind:value={level.along}
			/></label
		>
		<label class="label"
			>{edgeWords.level}<input
				class="well call"
				placeholder={eg.level}
				bind:value={level.level}
				onkeydown={(e) => e.key === 'Enter' && void keepLevel()}
			/></label
		>
		<Act kind="quiet" onclick={() => void keepLevel()}>{edgeWords.keepLevel}</Act>
	</div>
{:else}<p class="label">{edgeWords.nothingBeside}</p>{/if}
{#if store.problemFor('level')}<p class="wrong" role="alert">
		<Frac text={store.problemFor('level')?.detail ?? ''} />
		{#each store.problemFor('level')?.choices ?? [] as choice}<Act
				kind="quiet"
				onclick={() => {
					level.level = choice.text;
					void keepLevel();
				}}>{choice.label}</Act
			>{/each}
	</p>{/if}
