<script lang="ts">
	/** Rectangle, L and T by their sizes; usual kinds of job with their footing and wall in place. */
	import { goto } from '$app/navigation';
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
	const kinds = ['footing-first', 'over-block', 'frost-walls', 'raft-in-stem-wall'] as const;
	type Kind = (typeof kinds)[number];
	/** each kind cut through its edge: footing, wall, floor */
	const cuts: Record<Kind, string> = {
		'footing-first': 'M20 30H44V40H20Z',
		'over-block': 'M20 30H44V40H20ZM27 12H37V30H27ZM27 18H37M27 24H37M27 6H62V12H27Z',
		'frost-walls': 'M20 30H44V40H20ZM27 6H37V30H27ZM40 6H62V12H40Z',
		'raft-in-stem-wall': 'M20 30H44V40H20ZM27 6H35V30H27ZM35 6H39V30H35ZM39 6H62V15H39Z'
	};
	let shape = $state<Shape | Kind | null>(null);
	let sizes = $state(['', '', '', '']);
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/template`,
		() => ({ shape, sizes }),
		(old) => ({ shape, sizes } = old)
	);
	const isKind = (one: Shape | Kind | null): one is Kind => kinds.some((kind) => kind === one);
	const names = $derived(shape ? w.lines.sizes[isKind(shape) ? 'rectangle' : shape] : []);
	const problem = $derived(store.problemFor('template'));
	const wrongAt = $derived(Number(problem?.path.match(/sizes\[(\d)\]/)?.[1] ?? -1));
	async function layOut() {
		if (!shape) return;
		const said = sizes.slice(0, names.length);
		const edit = isKind(shape)
			? ({ op: 'start_kind', kind: shape, sizes: said } as const)
			: ({ op: 'template', shape, sizes: said } as const);
		if (await store.keep([edit], 'template')) {
			if (isKind(shape)) await goto(`/job/${store.id}/edges?tab=${shape === 'footing-first' ? 'footings' : 'walls'}`);
			shape = null;
		}
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
	<h2>{w.lines.fromKind}</h2>
	<div class="mx-0 my-6 flex flex-wrap gap-8">
		{#each kinds as one}
			<Act
				kind="quiet"
				class="flex-col px-8 py-6"
				on={shape === one}
				aria-pressed={shape === one}
				onclick={() => (shape = shape === one ? null : one)}
			>
				<svg width="64" height="42" aria-hidden="true"
					><path d={cuts[one]} fill="var(--color-slab)" stroke="currentColor" stroke-width="1.8" /></svg
				>
				{w.lines.kinds[one]}
			</Act>
		{/each}
	</div>
	{#if isKind(shape)}<p class="label">{w.lines.kindHow}</p>{/if}
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
