<script lang="ts">
	/** Where it goes deeper: what the beams and pads come to, and the rack of kinds; they are laid by calls on the plan. */
	import { onTab } from '../../state/findings';
	import { remember } from '../../state/remember.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { edges as edgeWords } from '../../words/edges';
	import type { CallHere } from './call_here.svelte';
	import CallSheet from './CallSheet.svelte';
	import type { EdgesData } from './edges.svelte';
	import KindRack from './KindRack.svelte';
	let {
		store,
		data,
		call,
		showCut,
		boxed
	}: { store: JobStore; data: EdgesData; call: CallHere; showCut: () => void; boxed: boolean } = $props();
	const deeper = $derived(store.figure?.deeper ?? null);
	const had = $derived(store.kept?.figure.deeper ?? null);
	const more = $derived(store.draft && deeper && had ? edgeWords.more(deeper.beams - had.beams, deeper.pads - had.pads) : '');
	const orders = $derived([store.kept?.figure.concrete?.ordered.text ?? '', store.figure?.concrete?.ordered.text ?? '']);
	const why = $derived(
		store.draft ? `${deeper?.why ?? ''} ${edgeWords.orderWould(orders[0] ?? '', orders[1] ?? '')}` : (deeper?.why ?? '')
	);
	let kind = $state('');
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/kind`,
		() => kind,
		(old) => (kind = old)
	);
	async function add() {
		const said = kind;
		if (said.trim() && (await store.keep([{ op: 'call_kind', text: said, mark: null }], 'call-kind')) && kind === said) kind = '';
	}
	const problem = $derived(store.problemFor('call-kind'));
	const doubts = $derived(onTab(store.figure?.findings, 'grid'));
</script>

{#if deeper}
	<Verdict text={more || deeper.verdict} under={why} />
	{#if boxed}<CallSheet {call} {data} tab="grid" {showCut} />{/if}
	{#if deeper.kinds.length}<KindRack {store} {data} {call} {showCut} kinds={deeper.kinds} />{/if}
	<div class="mt-8 flex items-end justify-between gap-12">
		<label class="text-note font-[700]" for="kind-call">{edgeWords.newKind}</label>
		{#if deeper.kinds.length}<span class="text-note text-ink2 max-phone:text-read">{edgeWords.oneScale}</span>{/if}
	</div>
	<input
		id="kind-call"
		class="mt-3 block h-48 w-full border-x-2 border-t-2 border-b-5 border-ink bg-well px-12 font-pencil text-call font-[520]"
		autocomplete="off"
		autocapitalize="off"
		spellcheck="false"
		placeholder={deeper.kinds.some((one) => one.kind === 'beam')
			? edgeWords.padHint(store.units === 'mm')
			: edgeWords.beamHint(store.units === 'mm')}
		bind:value={kind}
		onkeydown={(event) => event.key === 'Enter' && void add()}
	/>
	{#if problem}<p class="wrong" role="alert"><Frac text={problem.detail} /></p>{/if}
{/if}
<FindingList findings={doubts} />
