<script lang="ts">
	/** Dowels along a side: where each hole is drilled, how wide and deep, how much epoxy. */
	import { onTab } from '../../state/findings';
	import type { Edit } from '../../state/job.svelte';
	import { cornerName } from '../../drawing/pick.svelte';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { steel as words } from '../../words/steel';
	import MarkRows from './MarkRows.svelte';
	import SteelCall from './SteelCall.svelte';
	import type { SteelData } from './steel.svelte';
	let { data }: { data: SteelData } = $props();
	const store = $derived(data.store);
	const rows = $derived(data.laid?.dowels ?? []);
	const ids = $derived(store.document?.corner_ids ?? []);
	const sides = $derived(ids.map((id, i) => ({ value: id, label: `${cornerName(i)} to ${cornerName((i + 1) % ids.length)}` })));
	let picked = $state('');
	const side = $derived(ids.includes(picked) ? picked : (ids[rows[0]?.side ?? 0] ?? ''));
	const here = $derived(rows.find((row) => ids[row.side] === side));
	const count = $derived(rows.reduce((sum, row) => sum + row.count, 0));
	const out = (id: string) =>
		void store.keep([{ op: 'take_out_dowels', dowels: id } as Edit], 'dowels-out').then(() => data.load());
</script>

<Verdict text={words.dowelVerdict(count)} under={words.dowelUnder(data.laid?.epoxy_ml ?? 0, data.laid?.cartridges ?? 0)} />
<FindingList findings={onTab(data.findings, 'dowels')} />
{#each rows as row (row.id)}
	<section class="border-b border-hair py-10" data-dowels={row.name}>
		<div class="flex items-start justify-between gap-10">
			<h2 class="text-key font-[800]">{row.name}: {row.count}, {words.into(row.against)}</h2>
			<Act kind="quiet" onclick={() => out(row.id)}>{words.out}</Act>
		</div>
		<p class="font-mid"><Frac text={words.hole(row.hole_text, row.deep_text, row.out_text)} /></p>
		<p><Frac text={row.words} /></p>
		<ol class="mt-4 flex flex-wrap gap-x-14 gap-y-2 text-note">
			{#each row.at as at, i}<li><b>{i + 1}</b> <Frac text={at} /></li>{/each}{#if row.count > row.at.length}<li>…</li>{/if}
		</ol>
	</section>
{/each}
{#each data.keys as row (row.id)}
	<section class="flex items-start justify-between gap-10 border-b border-hair py-10" data-key={row.name}>
		<div>
			<h2 class="text-key font-[800]">{row.name}</h2>
			<p><Frac text={row.words} /></p>
		</div>
		<Act
			kind="quiet"
			onclick={() => void store.keep([{ op: 'take_out_key', key: row.id } as Edit], 'dowels-out').then(() => data.load())}
			>{words.out}</Act
		>
	</section>
{/each}
{#if sides.length}
	<div class="mt-12 grid grid-cols-[200px] items-end">
		<Choose label name={words.side('')} rows={sides} value={side} pick={(now) => (picked = now)} />
	</div>
	{#key side}<SteelCall
			{data}
			of={{ kind: 'dowels', mark: side, dowels: here?.id }}
			name={words.side(sides.find((row) => row.value === side)?.label ?? '')}
		/>{/key}
{/if}
<MarkRows {data} rows={data.marks.filter((row) => row.key.startsWith('dowels') || row.key === 'starter')} />
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.cold} {words.caution}</p>
