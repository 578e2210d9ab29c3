<script lang="ts">
	/** What is on the face of an edge type: foam with its side and its top cut back, a strip, a sill plate, veneer. */
	import type { EdgeType } from '../../api/schema';
	import type { Edit, JobStore } from '../../state/job.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Field from '../../ui/Field.svelte';
	import { shownLength } from '../../ui/typed';
	import { foamWords } from '../../words/foam';
	import { edges as edgeWords } from '../../words/edges';
	let { store, type }: { store: JobStore; type: EdgeType } = $props();
	const mark = $derived(type.mark);
	const shown = (mm: number | null | undefined) => (mm ? shownLength(mm, store.units) : '');
	const face = (key: 'foam' | 'isolation' | 'plate' | 'plate_over') => (typed: string) =>
		store.keep([{ op: 'set_edge_type', mark, text: '', [key]: typed } as Edit], `face-${key}`);
	const foam = (key: string, value: string) =>
		store.keep([{ op: 'set_foam_face', mark, changes: { [key]: value } }], `face-${key}`);
	const sides = Object.entries(foamWords.foamSides).map(([value, label]) => ({ value, label }));
</script>

{#each ['foam', 'isolation', 'plate', 'plate_over'] as const as key}
	<Field
		label={edgeWords.faces[key]}
		width="118px"
		placeholder={edgeWords.noneWord}
		calm
		value={shown(type[`${key}_mm`])}
		problem={store.problemFor(`face-${key}`)}
		keep={face(key)}
	/>
{/each}
{#if type.foam_mm}
	<Choose
		label
		name={foamWords.foamSide}
		rows={sides}
		value={type.foam_side ?? 'outside'}
		pick={(now) => void foam('foam_side', now)}
	/>
	{#each ['foam_past_mm', 'cut_back_mm', 'cut_back_high_mm'] as const as key}
		<Field
			label={foamWords.foamFaces[key]}
			width="112px"
			placeholder={edgeWords.noneWord}
			calm
			value={shown(type[key])}
			problem={store.problemFor(`face-${key}`)}
			keep={(typed) => foam(key, typed)}
		/>
	{/each}
{/if}
<label class="label veneer whitespace-nowrap"
	><input
		type="checkbox"
		checked={type.veneer}
		onchange={(e) => void store.keep([{ op: 'set_edge_type', mark, text: '', veneer: e.currentTarget.checked }], 'veneer')}
	/>
	{edgeWords.veneer}</label
>
