<script lang="ts">
	/** Rectangle, L and T by their sizes. */
	import { remember } from '../../state/remember.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import { w } from '../../words/words';
	import Act from '../../ui/Act.svelte';
	import { lengthKeys } from '../../ui/typed';
	let { store }: { store: JobStore } = $props();
	type Shape = 'rectangle' | 'L' | 'T';
	const shapes: Shape[] = ['rectangle', 'L', 'T'];
	const drawn: Record<Shape, string> = {
		rectangle: 'M4 8H60V36H4Z',
		L: 'M4 20H60V38H4ZM4 4H24V21',
		T: 'M4 4H60V18H42V38H22V18H4Z'
	};
	let shape = $state<Shape | null>(null);
	let sizes = $state(['', '', '', '']);
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/template`,
		() => ({ shape, sizes }),
		(old) => ({ shape, sizes } = old)
	);
	const names = $derived(shape ? w.lines.sizes[shape] : []);
	const problem = $derived(store.problemFor('template'));
	const wrongAt = $derived(Number(problem?.path.match(/sizes\[(\d)\]/)?.[1] ?? -1));
	async function layOut() {
		if (!shape) return;
		if (await store.keep([{ op: 'template', shape, sizes: sizes.slice(0, names.length) }], 'template')) shape = null;
	}
</script>

<div class="mt-12">
	<h2>{w.lines.template}</h2>
	<div class="row mx-0 my-6 flex flex-wrap gap-8">
		{#each shapes as one}
			<Act
				kind="quiet"
				class="flex-col px-12 py-6"
				on={shape === one}
				aria-pressed={shape === one}
				onclick={() => (shape = shape === one ? null : one)}
			>
				<svg width="64" height="42" aria-hidden="true"
					><path
						d={one === 'L' ? 'M4 38H60V20H24V4H4Z' : drawn[one]}
						fill="var(--color-slab)"
						stroke="currentColor"
						stroke-width="2.4"
					/></svg
				>
				{w.lines.shapes[one]}
			</Act>
		{/each}
	</div>
	{#if shape}
		<div class="row mx-0 my-6 flex flex-wrap gap-8">
			{#each names as name, i}
				<label class="label w-110"
					>{name}<input
						{...lengthKeys(store.units)}
						class="well aria-[invalid=true]:border-flag"
						bind:value={sizes[i]}
						aria-invalid={wrongAt === i}
						onkeydown={(e) => e.key === 'Enter' && void layOut()}
					/></label
				>
			{/each}
		</div>
		{#if problem}<p class="wrong" role="alert">{problem.detail}</p>{/if}
		<Act kind="main" onclick={() => void layOut()}>{w.lines.layOut}</Act>
	{/if}
</div>
