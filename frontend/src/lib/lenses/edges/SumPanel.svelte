<script lang="ts">
	/** Every part by mark, planned and as dug; a pressed row lights up on plan and cut. */
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import type { JobStore } from '../../state/job.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import Num from '../../ui/Num.svelte';
	import Table from '../../ui/Table.svelte';
	import { edges as edgeWords } from '../../words/edges';
	import { orderWords } from '../../words/order';
	import type { EdgesData } from './edges.svelte';
	let {
		store,
		data,
		dug
	}: { store: JobStore; data: EdgesData; dug: { part: string; as_dug_m3: number | null; dug_text: string }[] } = $props();
	const concrete = $derived(store.figure?.concrete ?? null);
	const pours = $derived(store.figure?.second_pours ?? []);
	const unit = $derived(store.units === 'mm' ? 'm³' : 'yd³');
	const doc = $derived(store.document);
	let open = $state('');
	let led = '';
	function press(letter: string, kind: string, numbers: number[]) {
		open = open === letter ? '' : letter;
		void data.light(open ? numbers : []);
		if (!open || !doc) return;
		const first = numbers[0] ?? 0;
		const edges = doc.edges.length;
		if (kind === 'edge') {
			const edge = doc.edges[first];
			if (edge?.along) data.choose('along', first);
			else data.choose('side', edge?.sides?.[0] ?? 0);
		} else if (kind === 'beam') data.choose('beam', first - edges);
		else if (kind === 'pad') data.choose('pad', first - edges - doc.beams.length);
		else if (kind === 'recess') data.choose('recess', first - edges - doc.beams.length - doc.pads.length);
	}
	$effect(() => {
		const [kind, letter] = (page.url.searchParams.get('at') ?? '').split('.');
		const part = kind === 'part' ? concrete?.parts.find((one) => one.letter === letter) : undefined;
		if (part) untrack(() => led !== page.url.search && press(part.letter, part.kind, part.numbers));
		led = page.url.search;
	});
	const dugOf = (part: string) => dug.find((row) => row.part === part && row.as_dug_m3 !== null)?.dug_text ?? '';
	const any = $derived(dug.some((row) => row.as_dug_m3 !== null));
	const NUMBER = 'pl-12 text-right! font-[740]! whitespace-nowrap';
	const heads = $derived([
		'',
		'',
		{ says: '', class: 'max-phone:hidden' },
		{ says: `${edgeWords.planned} ${unit}`, class: NUMBER },
		...(any ? [{ says: edgeWords.asDug, class: NUMBER }] : [])
	]);
</script>

{#if concrete}
	<Verdict
		text="{concrete.net_text} {unit}"
		under={concrete.second_way_text
			? `${edgeWords.both(concrete.net_text, concrete.second_way_text)} ${concrete.agree}`
			: store.counting === null
				? concrete.agree
				: orderWords.counting(store.counting)}
	/>
	<p class="label">{edgeWords.pressPart}</p>
	<Table {heads}>
		{#each concrete.parts as part}
			<tr class:on={open === part.letter} data-part={part.letter}>
				<th scope="row"
					><button
						class="min-h-30 min-w-30 border-[1.5px] border-ink bg-well font-[800] max-phone:min-h-46 max-phone:min-w-46"
						type="button"
						aria-expanded={open === part.letter}
						aria-label={part.part}
						onclick={() => press(part.letter, part.kind, part.numbers)}>{part.letter}</button
					></th
				>
				<td
					><button
						type="button"
						class="name min-h-30 text-left max-phone:min-h-46"
						onclick={() => press(part.letter, part.kind, part.numbers)}>{part.part}</button
					>{#if open === part.letter && data.alone}<span class="label ml-8">{data.alone.text} {edgeWords.alone}</span>{/if}</td
				>
				<td class="text-note text-ink2 max-phone:hidden"><Frac text={part.how} /></td>
				<td class="text-right font-[740] whitespace-nowrap"><Num working={part.working} text={part.text} /></td>
				{#if any}<td class="text-right font-[740] whitespace-nowrap">{dugOf(part.part)}</td>{/if}
			</tr>
		{/each}
		<tr
			><td class="border-t-2 border-ink text-key font-[800]"></td><td class="border-t-2 border-ink text-key font-[800]"
				>{orderWords.drawn}</td
			><td class="border-t-2 border-ink text-key font-[800] text-ink2 max-phone:hidden"></td><td
				class="border-t-2 border-ink text-right text-key font-[800] whitespace-nowrap"
				><Num working={concrete.net} text={concrete.net_text} /></td
			>{#if any}<td class="border-t-2 border-ink text-key font-[800]"></td>{/if}</tr
		>
	</Table>
	{#if pours.length}
		<h2 class="panel-head">{edgeWords.secondPours}</h2>
		<Table>
			{#each pours as pour}<tr
					><th scope="row"
						>{pour.name}{#if pour.with_slab}<span class="label ml-6">{edgeWords.withSlab}</span>{/if}</th
					><td class="text-note text-ink2 max-phone:hidden"><Frac text={pour.how} /></td><td
						class="text-right font-[740] whitespace-nowrap"><Num working={pour.working} text={pour.text} /></td
					></tr
				>{/each}
		</Table>
	{/if}
{/if}
