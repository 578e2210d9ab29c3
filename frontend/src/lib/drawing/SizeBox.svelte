<script lang="ts">
	/** Typing over a side's size on the drawing; the presser chooses which end moves. */
	import { tick, untrack } from 'svelte';
	import { note, restored } from '../state/remember.svelte';
	import type { JobStore } from '../state/job.svelte';
	import { w } from '../words/words';
	import { cornerName, type Pick } from './pick.svelte';
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
		if (pick.side === at) pick.typing = false;
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

<div class="box" style:left="{x}px" style:top="{y}px" onfocusout={leave}>
	<input
		bind:this={box}
		bind:value={typed}
		class="well pen-in"
		aria-label={sides[side]?.name}
		onkeydown={(event) => {
			event.stopPropagation();
			if (event.key === 'Enter') void keep(event.shiftKey ? 'start' : 'end');
			if (event.key === 'Escape') close(side);
		}}
	/>
	<div class="row">
		<button type="button" class="act quiet" onclick={() => void keep('start')}>{w.lines.moves(cornerName(side))}</button>
		<button type="button" class="act quiet" onclick={() => void keep('end')}
			>{w.lines.moves(cornerName((side + 1) % sides.length))}</button
		>
		<button type="button" class="act quiet" aria-label={w.slip.close} onclick={() => close(side)}>×</button>
	</div>
	{#if problem}
		<p class="wrong" role="alert">
			{problem.detail}
			{#each problem.choices ?? [] as choice}<button type="button" class="act quiet" onclick={() => void keep('end', choice.text)}
					>{choice.label}</button
				>{/each}
		</p>
	{/if}
</div>

<style>
	.box {
		position: absolute;
		translate: -50% -50%;
		width: 250px;
		background: var(--color-sheet);
		border: 2px solid var(--color-ink);
		border-bottom-width: 5px;
		padding: 6px;
		z-index: 4;
	}
	.pen-in {
		font-family: var(--font-pencil);
		font-size: 20px;
		border-width: 0;
	}
	.row {
		display: flex;
		gap: 4px;
		margin-top: 4px;
	}
	.row .act {
		padding: 0 7px;
		flex: 1;
	}
</style>
