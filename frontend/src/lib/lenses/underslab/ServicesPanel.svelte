<script lang="ts">
	/** What is buried: clashes with their acts, the run that is held along its length, the next call, and risers. */
	import { onTab } from '../../state/findings';
	import Choice from '../../ui/Choice.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { underslab as words } from '../../words/underslab';
	import ClashLines from './ClashLines.svelte';
	import { profileView } from './profile_view';
	import RiserRows from './RiserRows.svelte';
	import RunCall from './RunCall.svelte';
	import RunFields from './RunFields.svelte';
	import RunProfile from './RunProfile.svelte';
	import type { UnderslabData } from './underslab.svelte';
	let { data }: { data: UnderslabData } = $props();
	const store = $derived(data.store);
	const buried = $derived(data.buried);
	const run = $derived(data.run);
	const clashes = $derived(data.clashes.length);
	const rest = $derived(clashes > 0 && data.runs.length + data.risers.length > clashes);
	const gravel = $derived(buried?.bedding_text ? words.gravel(buried.bedding_text) : '');
	const guesses = $derived(onTab(buried?.findings, 'services').filter((row) => row.code === 'service-guessed'));
</script>

<Verdict
	text={!buried ? words.none : clashes ? words.clash(clashes) : words.clear}
	is={clashes ? 'bad' : 'plain'}
	under={buried
		? [words.counts(data.runs.length, data.risers.length, buried.sleeves, rest), gravel].filter(Boolean).join(' ')
		: words.noneUnder}
/>
{#if clashes}<ClashLines {data} most={3} />{/if}
{#if run}
	{#if data.runs.length > 1}<Choice
			name={words.held}
			rows={data.runs.map((one) => ({ value: one.id, label: one.name }))}
			value={run.id}
			pick={(now) => now && data.hold('run', now)}
		/>{/if}
	<div class="mt-8 flex flex-wrap items-baseline justify-between gap-x-14">
		<h2 class="text-key font-[800]">
			<Frac
				text="{run.name} {run.size_text} {run.kind_text}, {run.length_text}, {run.fall
					? words.falls(run.fall_text)
					: words.level}"
			/>
		</h2>
		<span class="label">{words.drawn(profileView(run, 520).times)}</span>
	</div>
	<RunProfile {run} clashes={data.clashes} />
	{#if !run.stations.some((one) => one.rod_text)}<p class="label">{words.noLaser}</p>{/if}
	{#if run.bedding}<p class="mt-4">
			{store.units === 'mm' ? words.beddingMm : words.bedding}
			<b class="text-key"><Num working={run.bedding} text={run.bedding.text} /></b>
		</p>{/if}
	{#key run.id}<RunFields {store} {run} />{/key}
{/if}
<FindingList findings={guesses} />
<RunCall {data} />
{#if data.risers.length}<RiserRows {data} />{/if}
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
