<script lang="ts">
	/** What the tube is and how it is laid. */
	import type { Edit } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import Field from '../../ui/Field.svelte';
	import { shownLength } from '../../ui/typed';
	import { tubing as words } from '../../words/tubing';
	import type { UnderslabData } from './underslab.svelte';
	let { data }: { data: UnderslabData } = $props();
	const store = $derived(data.store);
	const row = $derived(store.document?.underslab?.tubing);
	const pattern = $derived(row?.pattern ?? 'serpentine');
	const keys = [
		'size_mm', 'spacing_mm', 'walls_mm', 'wall_width_mm', 'high_mm', 'keep_mm', 'longest_mm', 'bend_mm', 'rise_mm'
	] as const; // prettier-ignore
	const free = { walls_mm: words.same, longest_mm: words.bySize, bend_mm: words.bySize } as Record<string, string>;
	const set = (key: string, value: string) =>
		store.keep([{ op: 'set_tubing', changes: { [key]: value.trim() } } as Edit], `tube-${key}`);
	const rooms = $derived((store.document?.underslab?.heated ?? []).filter((room) => room.ring));
</script>

<p class="label mt-10">{words.pattern}</p>
<Choice
	name={words.pattern}
	rows={(['serpentine', 'spiral'] as const).map((value) => ({ value, label: words.patterns[value] }))}
	value={pattern}
	pick={(now) => now && now !== pattern && void set('pattern', now)}
/>
<p class="mt-2 text-note"><b>{words.pro}</b> {words.schools[pattern][0]} <b>{words.con}</b> {words.schools[pattern][1]}</p>
<div class="mt-10 grid grid-cols-[repeat(auto-fill,minmax(112px,1fr))] items-end gap-x-12 gap-y-4">
	{#each keys as key (key)}
		<Field
			label={words.rows[key]}
			calm={key in free}
			placeholder={free[key] ?? ''}
			value={row?.[key] ? shownLength(row[key], store.units) : ''}
			problem={store.problemFor(`tube-${key}`)}
			keep={(typed) => set(key, typed)}
		/>
	{/each}
</div>
{#if rooms.length}
	<p class="label mt-10">{words.rooms}</p>
	<div class="flex flex-wrap gap-4">
		{#each rooms as room (room.id)}<Act
				kind="quiet"
				onclick={() => void store.keep([{ op: 'take_out_heated', ids: [room.id] } as Edit], 'heat')}
				>{words.takeOut} {room.name}</Act
			>{/each}
	</div>
{/if}
