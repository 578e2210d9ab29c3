<script lang="ts">
	/** Where the top changes: from high to low, a core of every zone, pits and set-downs; they are set by calls on the plan. */
	import { onTab } from '../../state/findings';
	import { remember } from '../../state/remember.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import Table from '../../ui/Table.svelte';
	import { EXAMPLES } from '../../words/examples';
	import { edges as edgeWords } from '../../words/edges';
	import type { CallHere } from './call_here.svelte';
	import CallSheet from './CallSheet.svelte';
	import type { EdgesData } from './edges.svelte';
	import PitRack from './PitRack.svelte';
	import { nextMark } from './section_edits';
	import ZoneCores from './ZoneCores.svelte';
	import { lengthKeys } from '../../ui/typed';
	let {
		store,
		data,
		call,
		showCut,
		boxed
	}: { store: JobStore; data: EdgesData; call: CallHere; showCut: () => void; boxed: boolean } = $props();
	const top = $derived(store.figure?.top ?? null);
	const levels = $derived(store.figure?.levels ?? []);
	const zones = $derived([...new Set(levels.map((row) => row.zone))]);
	const doubts = $derived(onTab(store.figure?.findings, 'top'));
	const next = $derived(
		nextMark(
			'S',
			(store.document?.slab_types ?? []).map((one) => one.mark)
		)
	);
	const problem = $derived(store.problemFor('new-slab'));
	let slab = $state('');
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/new-slab`,
		() => slab,
		(old) => (slab = old)
	);
	async function add() {
		const said = slab;
		const edit = { op: 'set_slab_type' as const, mark: next, thickness: said };
		if (said.trim() && (await store.keep([edit], 'new-slab')) && slab === said) slab = '';
	}
</script>

{#if top}
	<Verdict text={store.draft ? `${top.verdict}?` : top.verdict} under={top.why} />
	{#if boxed}<CallSheet {call} {data} tab="top" {showCut} />{/if}
	<div class="mt-4 mb-2 flex items-center justify-between gap-12">
		<h2>{edgeWords.hung}</h2>
		<label class="flex items-center gap-8 text-note whitespace-nowrap max-phone:text-read"
			>{edgeWords.slabCall(next)}<input
				{...lengthKeys(store.units)}
				class="well call min-h-34 w-74 max-phone:min-h-46"
				placeholder={EXAMPLES[store.units].slab}
				autocomplete="off"
				bind:value={slab}
				onkeydown={(event) => event.key === 'Enter' && void add()}
			/></label
		>
	</div>
	{#if problem}<p class="wrong" role="alert"><Frac text={problem.detail} /></p>{/if}
	<ZoneCores {store} {call} zones={top.zones} />
	{#if top.pits.length}
		<h2 class="panel-head">{edgeWords.recesses}</h2>
		<PitRack {store} {data} {call} pits={top.pits} />
	{:else}<p class="mt-8 border-t-2 border-ink pt-6 text-note max-phone:text-read">
			{edgeWords.noPits(store.units === 'mm')}
		</p>{/if}
	<FindingList findings={doubts} />
	<Fold name={edgeWords.levels}>
		<Table>
			{#each zones as zone}
				<tr
					><th scope="row">{zone}</th><td class="flex h-auto flex-wrap gap-x-14 gap-y-2 px-0 py-4"
						>{#each levels.filter((row) => row.zone === zone) as row}<span
								><b class="font-[800]">{row.corner}</b> <Frac text={row.text} /></span
							>{/each}</td
					></tr
				>
			{/each}
		</Table>
	</Fold>
{/if}
