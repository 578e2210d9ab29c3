<script lang="ts">
	/** Typing over a side's size on the drawing; the presser chooses which end moves. */
	import { tick, untrack } from 'svelte';
	import { note, restored } from '../state/remember.svelte';
	import type { JobStore } from '../state/job.svelte';
	import { w } from '../words/words';
	import { cornerName, type Pick } from './pick.svelte';
	import Act from '../ui/Act.svelte';
	import { lengthKeys } from '../ui/typed';
	let { store, pick, x, y }: { store: JobStore; pick: Pick; x: number; y: number } = $props();
	const side = $derived(pick.side ?? 0);
	const sides = $derived(store.figure?.outline?.sides ?? []);
	let typed = $state('');
	let box: HTMLInputElement | undefined = $state();
	let was = '';
	const key = (at: number) => `${store.id}/size/${store.cornerId(at)}`;
	$effect(() => {
		const at = side;
		untrack(() => {
			was = (sides[at]?.text ?? '').replace(' mm', '');
			typed = restored<string>(key(at)) ?? was;
		});
		void tick().then(() => {
			box?.focus();
			box?.select();
		});
	});
	const problem = $derived(store.problemFor('size'));
	function close(at: number) {
		note(key(at), '');
		if (pick.side !== at) return;
		pick.typing = false;
		document.querySelector<SVGElement>('.sheet > svg')?.focus();
	}
	async function keep(moves: 'start' | 'end', length = typed) {
		const at = side;
		if (await store.keep([{ op: 'set_side', side: store.cornerId(at), length, moves }], 'size')) close(at);
	}
	/** Going elsewhere with a size typed keeps it; what cannot be kept waits here for the next time. */
	function leave(event: FocusEvent) {
		const inside =
			event.relatedTarget instanceof Node &&
			event.currentTarget instanceof HTMLElement &&
			event.currentTarget.contains(event.relatedTarget);
		if (inside || !pick.typing || typed.trim() === was) return;
		note(key(side), typed);
		void keep('end');
	}
</script>

<div
	class="absolute z-4 w-250 [translate:-50%_-50%] border-x-2 border-t-2 border-b-5 border-ink bg-sheet p-6"
	style:left="{x}px"
	style:top="{y}px"
	onfocusout={leave}
>
	<input
		{...lengthKeys(store.units)}
		bind:this={box}
		bind:value={typed}
		class="well border-0 font-pencil text-act"
		aria-label={sides[side]?.name}
		onkeydown={(event) => {
			event.stopPropagation();
			if (event.key === 'Enter') void keep(event.shiftKey ? 'start' : 'end');
			if (event.key === 'Escape') close(side);
		}}
	/>
	<div class="row mt-4 flex gap-4">
		<Act kind="quiet" class="flex-1 px-7 py-0" onclick={() => void keep('start')}>{w.lines.moves(cornerName(side))}</Act>
		<Act kind="quiet" class="flex-1 px-7 py-0" onclick={() => void keep('end')}
			>{w.lines.moves(cornerName((side + 1) % sides.length))}</Act
		>
		<Act kind="quiet" class="flex-1 px-7 py-0" aria-label={w.slip.close} onclick={() => close(side)}>×</Act>
	</div>
	{#if problem}
		<p class="wrong" role="alert">
			{problem.detail}
			{#each problem.choices ?? [] as choice}<Act kind="quiet" onclick={() => void keep('end', choice.text)}>{choice.label}</Act
				>{/each}
		</p>
	{/if}
</div>
