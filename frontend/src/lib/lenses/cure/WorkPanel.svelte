<script lang="ts">
	/** What is sawn and stripped, joint by joint and side by side; the level round on the finished slab. */
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { cureWords } from '../../words/cure';
	import { pourWords } from '../../words/pour';
	import type { CureData } from './cure.svelte';
	import FoamRows from './FoamRows.svelte';
	import LevelRound from './LevelRound.svelte';
	import RackRows from './RackRows.svelte';
	let { data }: { data: CureData } = $props();
	const words = cureWords.work;
	const told = $derived(data.told);
	const cuts = $derived(told?.cuts ?? []);
	const sides = $derived(told?.sides ?? []);
</script>

{#if told}
	<Verdict
		text={words.verdict(cuts.filter((one) => !one.done_text).length, sides.filter((one) => one.state !== 'off').length)}
		under={words.under}
		is="plain"
	/>
	{#if sides.length}
		<h2 class="panel-head">{words.sides}</h2>
		<ol>
			{#each sides as one (one.side)}
				<li
					class="grid min-h-52 grid-cols-[minmax(0,1fr)_auto] items-center gap-8 border-b border-hair py-4"
					data-side-off={one.name}
					data-side-state={one.state}
				>
					<span>
						<b class={['block text-read', one.state === 'off' && 'line-through']}><Frac text="{one.name}, {one.boards}" /></b>
						<span class="text-note">{one.done_text ? words.wasOff(one.done_text, one.by) : words.from(one.from_text)}</span>
					</span>
					{#if one.state === 'off'}<Act
							kind="quiet"
							aria-label="{cureWords.takeBack}, {one.name}"
							onclick={() => void data.strike(one.record)}>{cureWords.takeBack}</Act
						>
					{:else}<Act
							class="min-h-48"
							kind={one.state === 'open' ? 'main' : 'plain'}
							aria-label="{words.off}, {one.name}"
							onclick={() => void data.say('stripped', { side: one.side })}>{words.off}</Act
						>{/if}
				</li>
			{/each}
		</ol>
	{/if}
	<RackRows store={data.store} at={() => data.at} off={sides.length > 0 && sides.every((one) => one.state === 'off')} />
	{#if cuts.length}
		<h2 class="panel-head">{pourWords.finish.cuts(cuts.filter((one) => !one.done_text).length, cuts.length)}</h2>
		<ol>
			{#each cuts as one (one.joint)}
				<li
					class="grid min-h-52 grid-cols-[34px_minmax(0,1fr)_auto] items-center gap-8 border-b border-hair py-4"
					data-cut={one.n}
				>
					<b class="text-key">{one.n}</b>
					<span
						><b class={['block text-read', one.done_text && 'line-through']}><Frac text="{one.where}, {one.length_text}" /></b>
						<span class="text-note"
							>{one.done_text
								? pourWords.finish.cutDone(one.state === 'cracked', one.done_text, one.by)
								: pourWords.finish.cutWhen(one.from_text, one.until_text, one.state, one.left_min)}</span
						></span
					>
					{#if one.done_text}<Act
							kind="quiet"
							aria-label="{cureWords.takeBack}, {one.n}"
							onclick={() => void data.strike(one.record)}>{cureWords.takeBack}</Act
						>
					{:else}<span class="flex gap-6"
							><Act
								class="min-h-48"
								aria-label="{pourWords.finish.sawn}, {one.n}"
								onclick={() => void data.say('sawn', { joint: one.joint })}>{pourWords.finish.sawn}</Act
							><Act
								kind="quiet"
								aria-label="{pourWords.finish.cracked}, {one.n}"
								onclick={() => void data.say('sawn', { joint: one.joint, cracked: true })}>{pourWords.finish.cracked}</Act
							></span
						>{/if}
				</li>
			{/each}
		</ol>
		<p class="text-note font-strong">{pourWords.finish.dust}</p>
	{/if}
	<FoamRows {data} />
	<LevelRound {data} />
{/if}
<FindingList findings={data.findings('work')} />
