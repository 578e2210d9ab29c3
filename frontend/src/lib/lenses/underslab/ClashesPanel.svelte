<script lang="ts">
	/** Every clash in one list, each a press away on plan and cut. */
	import FindingList from '../../ui/FindingList.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { underslab as words } from '../../words/underslab';
	import ClashLines from './ClashLines.svelte';
	import RunProfile from './RunProfile.svelte';
	import type { UnderslabData } from './underslab.svelte';
	let { data }: { data: UnderslabData } = $props();
	const n = $derived(data.clashes.length);
	const run = $derived(n ? data.run : null);
</script>

<Verdict
	text={n ? words.clash(n) : words.noClash}
	is={n ? 'bad' : 'plain'}
	under={n ? '' : data.buried ? words.cleared : words.noneUnder}
/>
{#if n}<ClashLines {data} />{/if}
<FindingList findings={data.bites} />
{#if run}
	<h2 class="mt-14 text-key font-[800]">{words.profile(run.name)}</h2>
	<RunProfile {run} clashes={data.clashes} stations={false} />
{/if}
{#if data.displaced}<p class="mt-10 font-mid">{data.displaced}</p>{/if}
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
