<script lang="ts">
	/** Each line before it is covered: in which order it is filled and capped, what it must hold, and how it held. */
	import { onTab } from '../../state/findings';
	import Choice from '../../ui/Choice.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { cover } from '../../words/underslab_cover';
	import PhotoStrip from '../../photos/PhotoStrip.svelte';
	import TestClock from './TestClock.svelte';
	import type { UnderslabData } from './underslab.svelte';
	let { data }: { data: UnderslabData } = $props();
	const words = cover.tests;
	const lines = $derived(data.tested?.lines ?? []);
	const line = $derived(data.line);
	const leaks = $derived(lines.filter((one) => one.told?.state === 'failed').length);
	const open = $derived(data.tested?.open ?? 0);
	const mark = { passed: ' ✓', failed: ' ✗', standing: ' …', short: ' ?', old: ' ?' } as const;
</script>

<Verdict
	text={!lines.length ? words.none : leaks ? words.leaks(leaks) : open ? words.open(open) : words.all}
	is={leaks ? 'bad' : lines.length && !open ? 'good' : 'plain'}
	under={lines.length ? words.under(lines.length - open, lines.length) : words.noneUnder}
/>
{#if line}
	{#if lines.length > 1}<div class="mt-8">
			<Choice
				name={words.lines}
				rows={lines.map((one) => ({ value: one.id, label: one.name + (one.told ? mark[one.told.state] : '') }))}
				value={line.id}
				pick={(now) => now && data.holdLine(now)}
			/>
		</div>{/if}
	{#if line.steps.length}
		<h2 class="panel-head">{words.fill}</h2>
		<p>{line.fill}</p>
		<ol class="mt-4">
			{#each line.steps as step, i (step.riser)}
				<li class="grid min-h-40 grid-cols-[34px_1fr] items-center border-b border-hair">
					<b
						class={[
							'grid size-26 place-items-center rounded-full text-sheet',
							i === line.steps.length - 1 ? 'bg-chalk' : 'bg-ink'
						]}>{i + 1}</b
					>
					<span class="font-mid"><Frac text={step.words} /></span>
				</li>
			{/each}
		</ol>
	{/if}
	{#key line.id}<TestClock {data} {line} />{/key}
	<PhotoStrip store={data.store} of="underslab/test/{line.id}" title={line.name} />
{/if}
<FindingList findings={onTab(data.tested?.findings, 'tests').filter((row) => row.code === 'test-air')} />
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
