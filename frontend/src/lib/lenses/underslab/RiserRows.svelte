<script lang="ts">
	/** Risers, the way a plumber reads them: two sizes from finished faces, and from the form boards; the held one can be moved. */
	import type { Edit } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Table from '../../ui/Table.svelte';
	import { shownLength } from '../../ui/typed';
	import { underslab as words } from '../../words/underslab';
	import type { UnderslabData } from './underslab.svelte';
	let { data }: { data: UnderslabData } = $props();
	const store = $derived(data.store);
	const held = $derived(data.riser);
	const row = $derived(store.document?.underslab?.risers?.find((one) => one.id === held?.id));
	const face = $derived(store.document?.underslab?.face_mm ?? 0);
	const called = $derived(held ? held.faces.map((one) => `from ${one.name} ${one.face_text}`).join(', ') : '');
	const set = (key: string) => (typed: string) =>
		store.keep([{ op: 'set_riser', riser: held?.id ?? '', changes: { [key]: typed.trim() } } as Edit], `riser-${key}`);
</script>

<h2 class="panel-head">{words.risers}</h2>
<Table>
	{#each data.risers as one (one.id)}
		<tr class={[held?.id === one.id && 'text-chalk']}>
			<th scope="row"
				><button type="button" class="min-h-44 text-left font-mid" onclick={() => data.hold('riser', one.id)}>{one.name}</button
				></th
			>
			{#each [0, 1] as k (k)}
				<td>
					{#if one.faces[k]}<b class="text-key font-[760]"><Frac text={one.faces[k].face_text} /></b>
						<span class="label"
							>{words.from(one.faces[k].name)}{#if face > 0}, <Frac text={words.board(one.faces[k].board_text)} />{/if}</span
						>{/if}
				</td>
			{/each}
		</tr>
	{/each}
</Table>
{#if held && row}
	<div class="mt-6 grid grid-cols-[2fr_1fr_1fr_auto] items-end gap-x-12 gap-y-4 max-phone:grid-cols-2">
		<div class="max-phone:col-span-2">
			<Field
				label={words.moveTo}
				mode="text"
				value={called}
				problem={store.problemFor('riser-move')}
				keep={(text) => store.keep([{ op: 'move_riser', riser: held.id, text } as Edit], 'riser-move')}
			/>
		</div>
		<Field label={words.name} mode="text" value={row.name} problem={store.problemFor('riser-name')} keep={set('name')} />
		<Field label={words.mends} mode="text" calm placeholder={words.notSaid} value={row.mends ?? ''} keep={set('mends')} />
		<Act
			kind="quiet"
			onclick={() => void store.keep([{ op: 'take_out_buried', what: 'risers', ids: [held.id] } as Edit], 'riser')}
			>{words.takeOut}</Act
		>
	</div>
{/if}
<div class="mt-6 w-260">
	<Field
		label={words.face}
		calm
		placeholder="0"
		value={face ? shownLength(face, store.units) : ''}
		problem={store.problemFor('face')}
		keep={(text) => store.keep([{ op: 'set_faces', face: text.trim() || '0' } as Edit], 'face')}
	/>
</div>
