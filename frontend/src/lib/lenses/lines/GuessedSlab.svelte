<script lang="ts">
	/** A thickness that nobody has said: pencilled, to be typed over or agreed to. */
	import type { JobStore } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Field from '../../ui/Field.svelte';
	import { typedLength } from '../../ui/typed';
	import { w } from '../../words/words';
	let { store }: { store: JobStore } = $props();
	const rows = $derived((store.document?.slab_types ?? []).filter((row) => row.guessed));
	const keep = (mark: string, thickness: string) => store.keep([{ op: 'set_slab_type', mark, thickness }], `guess-${mark}`);
</script>

{#each rows as row (row.mark)}
	{@const said = typedLength(row.thickness_mm, store.units)}
	<div class="mt-10 flex flex-wrap items-end gap-x-12 gap-y-6" data-guess={row.mark}>
		<Field
			label="{w.guess.label}{rows.length > 1 ? `, ${row.mark}` : ''}"
			value={said}
			width="96px"
			problem={store.problemFor(`guess-${row.mark}`)}
			keep={(typed) => keep(row.mark, typed)}
		/>
		<span class="pb-6 text-ink2">{w.guess.is}</span>
		<Act kind="quiet" onclick={() => void keep(row.mark, said)}>{w.guess.right}</Act>
	</div>
{/each}
