<script lang="ts">
	/** Boards in the yard: used before any is bought. */
	import type { Ways } from '../api/schema';
	import { remember } from '../state/remember.svelte';
	import { waysWords } from '../words/ways';
	import type { WaysStore } from './ways.svelte';
	import Choose from '../ui/Choose.svelte';
	import Act from '../ui/Act.svelte';
	let { store, ways }: { store: WaysStore; ways: Ways } = $props();
	let board = $state('2x6');
	let length = $state('');
	let count = $state('');
	remember(
		'ways/on-hand',
		() => ({ length, count }),
		(old) => ({ length, count } = old)
	);
	const said = (mm: number) => `${+(mm / 304.8).toFixed(2)}′ (${Math.round(mm)} mm)`;
	async function add() {
		const row = { board, length_mm: length as unknown as number, count: Number(count) || 1 };
		if (await store.keep((x) => x.forms.on_hand.push(row), 'on-hand')) length = count = '';
	}
</script>

<ul>
	{#each ways.forms.on_hand as row, i}
		<li class="grid grid-cols-[1fr_1fr_auto] items-center border-t border-hair px-0 py-3">
			<b>{row.count} of {row.board}</b><span>{said(row.length_mm)}</span>
			<Act
				kind="quiet"
				aria-label="{waysWords.remove} {row.board} {said(row.length_mm)}"
				onclick={() => void store.keep((x) => x.forms.on_hand.splice(i, 1), 'on-hand')}>{waysWords.remove}</Act
			>
		</li>
	{/each}
</ul>
<div class="flex flex-wrap items-end gap-8">
	<Choose
		label
		class="w-112"
		name={waysWords.boardMark}
		rows={ways.forms.boards.map((one) => ({ value: one.mark, label: one.mark }))}
		value={board}
		pick={(mark) => (board = mark)}
	/>
	<label class="label w-112">{waysWords.length}<input class="well" bind:value={length} placeholder="16' 0&quot;" /></label>
	<label class="label w-112">{waysWords.count}<input class="well" bind:value={count} placeholder="1" inputmode="numeric" /></label
	>
	<Act kind="quiet" disabled={!length.trim()} onclick={() => void add()}>{waysWords.addBoards}</Act>
</div>
{#if store.problem && store.problemAt === 'on-hand'}<p class="wrong" role="alert">{store.problem}</p>{/if}
