<script lang="ts">
	/** Typing over a bay on the drawing: the beam at its end moves along the wall. */
	import { tick } from 'svelte';
	import { note, restored } from '../../state/remember.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { edges as edgeWords } from '../../words/edges';
	import { w } from '../../words/words';
	import { lengthKeys } from '../../ui/typed';
	interface Props {
		store: JobStore;
		bay: { beam: string; side: string; behind: boolean; text: string };
		x: number;
		y: number;
		close: () => void;
	}
	let { store, bay, x, y, close }: Props = $props();
	// svelte-ignore state_referenced_locally (a box for one bay)
	const key = `${store.id}/bay/${bay.side}-${bay.beam}-${bay.behind}`;
	// svelte-ignore state_referenced_locally
	let typed = $state(restored<string>(key) ?? bay.text);
	$effect(() => note(key, typed === bay.text ? '' : typed));
	const focus = (node: HTMLInputElement) => {
		void tick().then(() => {
			node.focus();
			node.select();
		});
	};
	async function keep(length = typed) {
		if (length.trim() === bay.text) return close();
		const edit = { op: 'set_bay' as const, side: bay.side, beam: bay.beam, bay: length, behind: bay.behind };
		if (!(await store.keep([edit], 'bay'))) return;
		note(key, '');
		close();
	}
	const problem = $derived(store.problemFor('bay'));
</script>

<div
	class="absolute z-4 w-190 [translate:-50%_-50%] border-x-2 border-t-2 border-b-5 border-ink bg-sheet p-6"
	style:left="{Math.max(110, x)}px"
	style:top="{y}px"
>
	<div class="flex gap-4">
		<input
			{...lengthKeys(store.units)}
			class="well min-w-0 border-0 font-pencil text-act"
			aria-label={edgeWords.bay(bay.text)}
			use:focus
			bind:value={typed}
			onkeydown={(event) => {
				event.stopPropagation();
				if (event.key === 'Enter') void keep();
				if (event.key === 'Escape') close();
			}}
		/>
		<Act kind="quiet" aria-label={w.slip.close} onclick={close}>×</Act>
	</div>
	{#if problem}<p class="wrong" role="alert">
			<Frac text={problem.detail} />
			{#each problem.choices ?? [] as choice}<Act kind="quiet" onclick={() => void keep(choice.text)}>{choice.label}</Act>{/each}
		</p>{/if}
</div>
