<script lang="ts">
	/** The held strip: its board, which way it is pulled, sooner or later, what is worked round by hand. */
	import type { StripTold } from '../../api/schema';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { screed as words } from '../../words/screed';
	import type { StripsData } from './strips.svelte';
	let { data, strip }: { data: StripsData; strip: StripTold } = $props();
	const boards = $derived([
		{ value: '', label: words.bestBoard },
		...(data.found?.boards ?? []).map((row) => ({ value: `${row.mm}`, label: row.vibrates ? words.vib(row.text) : row.text }))
	]);
	const ways = [{ value: '', label: words.bestWay }, ...Object.entries(words.ways).map(([value, label]) => ({ value, label }))];
	const own = $derived((data.store.document?.screed?.strips ?? []).find((row) => row.id === strip.id));
	const near = $derived(boards.find((row) => row.value && Math.abs(Number(row.value) - (own?.board_mm ?? -99)) < 2)?.value);
</script>

<section class="mt-10 border-2 border-ink bg-well p-10" data-held-strip={strip.n}>
	<h2 class="text-key font-[800]">
		{words.strip(strip.n)}, {strip.name}: <Frac text={words.wants(strip.wide_text, strip.needed_text)} />
	</h2>
	{#if strip.hand.length}<p class="mt-2">{words.hand(strip.hand)}</p>{/if}
	<div class="mt-8 flex flex-wrap items-end gap-10">
		<Choose
			name={words.board}
			label
			rows={boards}
			value={near ?? ''}
			pick={(mm) => void data.keep({ op: 'set_strip', strip: strip.id, board_mm: mm ? Number(mm) : null })}
		/>
		<Choose
			name={words.toward}
			label
			rows={ways}
			value={own?.toward_deg === null || own?.toward_deg === undefined ? '' : `${own.toward_deg}`}
			none={strip.toward}
			pick={(deg) => void data.keep({ op: 'set_strip', strip: strip.id, toward_deg: deg ? Number(deg) : null })}
		/>
		<Act kind="quiet" disabled={strip.n === 1 || !strip.named} onclick={() => void data.move(strip.id, -1)}>{words.earlier}</Act>
		<Act kind="quiet" disabled={strip.n === data.strips.length || !strip.named} onclick={() => void data.move(strip.id, 1)}
			>{words.later}</Act
		>
	</div>
</section>
