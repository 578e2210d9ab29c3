<script lang="ts">
	/** What the slab meets: an old floor and its levels, kerbs and knee walls on top, pads beside, piles below. */
	import { onTab } from '../../state/findings';
	import type { JobStore } from '../../state/job.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import { shownLength } from '../../ui/typed';
	import Verdict from '../../ui/Verdict.svelte';
	import { edges as edgeWords } from '../../words/edges';
	import type { EdgesData } from './edges.svelte';
	import KerbRows from './KerbRows.svelte';
	import OldFloor from './OldFloor.svelte';
	import PileRows from './PileRows.svelte';
	import SidePads from './SidePads.svelte';
	let { store, data }: { store: JobStore; data: EdgesData } = $props();
	const worst = $derived([...(data.state?.matches ?? [])].sort((a, b) => Math.abs(b.worst_mm) - Math.abs(a.worst_mm))[0]);
	const off = (mm: number) => `${shownLength(Math.abs(mm), store.units)}${store.units === 'mm' ? ' mm' : ''}`;
	const own = $derived(onTab(store.figure?.findings, 'meets'));
	/* said above and beside its profile */
	const said = (code: string) => code === 'match-off';
</script>

<Verdict
	text={worst
		? edgeWords.offOld(off(worst.worst_mm), worst.against)
		: store.document?.existing.length
			? edgeWords.oldNotRead
			: edgeWords.noOld}
	is={own.some((one) => said(one.code)) ? 'bad' : worst ? 'good' : 'plain'}
/>
<OldFloor {store} {data} />
<KerbRows {store} />
<SidePads {store} />
<PileRows {store} />
<FindingList findings={own.filter((one) => !said(one.code))} />
