<script lang="ts">
	/** How each slab type is held together: the ways with a sentence for and one against, or as the drawing says it. */
	import { onTab } from '../../state/findings';
	import type { Edit } from '../../state/job.svelte';
	import Choose from '../../ui/Choose.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { session } from '../../state/session.svelte';
	import { steel as words } from '../../words/steel';
	import SteelCall from './SteelCall.svelte';
	import type { SteelData } from './steel.svelte';
	let { data }: { data: SteelData } = $props();
	let picked = $state('');
	const store = $derived(data.store);
	const ways = $derived(data.laid?.ways ?? []);
	const slabs = $derived([...data.unsaid, ...ways.map((row) => row.slab)].sort());
	/** the slab that is called: the one that was pressed, else one that nobody said, else the first */
	const here = $derived(slabs.includes(picked) ? picked : (data.unsaid[0] ?? slabs[0] ?? ''));
	const schools = $derived(session.schools['steel'] ?? []);
	const rows = $derived(schools.map((row) => ({ value: row.key, label: words.ways[row.key] ?? row.key })));
	const zonesOf = (mark: string) =>
		(store.document?.zones ?? [])
			.filter((zone) => zone.slab === mark)
			.map((zone) => zone.name)
			.join(', ');
	const thickOf = (mark: string) => ways.find((row) => row.slab === mark)?.thick_text ?? '';
	const choose = (slab: string, way: string) =>
		way &&
		((picked = slab), true) &&
		void store.keep([{ op: 'set_slab_steel', slab, way, changes: {} } as Edit], `steel-way-${slab}`).then(() => data.load());
</script>

<Verdict text={words.wayVerdict(slabs.length, slabs.length - data.unsaid.length)} under={words.plain} />
<FindingList findings={onTab(data.findings, 'way')} />
{#each slabs as slab (slab)}
	{@const own = ways.find((row) => row.slab === slab)}
	{@const school = schools.find((row) => row.key === own?.way)}
	<section class="border-b border-hair py-10" data-steel-way={slab}>
		<div class="grid grid-cols-[1fr_210px] items-end gap-12 max-phone:grid-cols-1">
			<h2>
				<button
					class="min-h-44 text-left text-key leading-[1.15] font-[800] underline decoration-hair underline-offset-4"
					aria-expanded={slab === here}
					onclick={() => (picked = slab)}><Frac text={words.slab(slab, zonesOf(slab), thickOf(slab))} /></button
				>
			</h2>
			<Choose
				name={words.how(slab)}
				rows={[{ value: '', label: words.bare }, ...rows]}
				value={own?.way ?? ''}
				pick={(way) => choose(slab, way)}
			/>
		</div>
		{#if own?.steel}<p class="mt-4 font-mid">
				<Frac text={own.steel} />.{#if own.drawn}
					<span class="text-ink2">{words.asDrawn}</span>{/if}
			</p>{/if}
		{#if school && slab === here}<p class="mt-2 text-note">
				<b>{words.pro}</b>
				{school.pro} <b>{words.con}</b>
				{school.con}
			</p>{/if}
		{#if own?.way === 'bars' && slab === here}<p class="mt-2 text-note text-ink2">
				<Frac text={words.least(own.shrinkage_text)} />
				<Frac text={words.drag(own.drag_text)} />
			</p>{/if}
		{#if slab === here}<SteelCall {data} of={{ kind: 'slab', mark: slab }} name={words.call(slab)} />{/if}
	</section>
{/each}
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
