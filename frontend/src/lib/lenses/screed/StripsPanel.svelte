<script lang="ts">
	/** Strips: what boards are pulled to, each cut across, what mends a short one, a plan by rule, pad lines. */
	import type { XY } from '../../drawing/viewport';
	import { onTab } from '../../state/findings';
	import type { Edit } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { screed as words } from '../../words/screed';
	import CallBox from '../CallBox.svelte';
	import ByRule from './ByRule.svelte';
	import PadLines from './PadLines.svelte';
	import StripHeld from './StripHeld.svelte';
	import StripRow from './StripRow.svelte';
	import type { StripsData } from './strips.svelte';
	let { data }: { data: StripsData } = $props();
	const store = $derived(data.store);
	const found = $derived(data.found);
	const doubts = $derived(onTab(data.findings, 'strips'));
	const wrong = $derived(doubts.filter((row) => row.severity !== 'note'));
	const boards = $derived((found?.boards ?? []).map((row) => (row.vibrates ? words.vib(row.text) : row.text)).join(', '));
	const first = $derived(data.strips.find((row) => row.remedy && row.wrong.length) ?? null);
	/* one scale for all cuts: the longest board or strip fills three quarters of the room */
	const scale = $derived(190 / Math.max(1, ...data.strips.flatMap((row) => [row.board_mm, row.needed_mm])));
	const letter = $derived(String.fromCharCode(97 + (data.runs.filter((run) => run.drawn).length % 26)));
</script>

<Verdict
	text={!found ? words.none : wrong[0] ? wrong[0].words : words.good(data.strips.length, found.pads.length)}
	under={!found ? words.noneUnder : wrong[0] ? wrong[0].remedy : words.under(boards)}
	is={found ? (wrong.length ? 'bad' : 'good') : 'plain'}
/>
{#if first?.remedy}
	<div class="mt-8 flex flex-wrap items-center gap-8">
		<Act kind="main" onclick={() => void data.keep({ op: 'lay_pad_line', ends: first.remedy?.ends })}>{words.remedy(letter)}</Act>
		<span class="text-note"><Frac text={first.remedy.words} /></span>
	</div>
{/if}
{#if data.strips.length}
	<ol class="mt-6">
		{#each data.strips as row (row.id)}<StripRow
				strip={row}
				{scale}
				on={data.strip?.id === row.id}
				press={() => data.hold(row.id)}
			/>{/each}
	</ol>
{/if}
{#if data.strip}{#key data.strip.id}<StripHeld {data} strip={data.strip} />{/key}{/if}
{#if store.problemFor('screed')}<p class="wrong mt-4" role="alert">{store.problemFor('screed')?.detail}</p>{/if}
<FindingList findings={found ? doubts.filter((row) => row !== wrong[0]) : doubts} />
<CallBox
	{store}
	at="screed-call"
	name={words.call}
	hint={words.hint[store.units]}
	heardName={words.heard}
	edit={(text) => ({ op: 'call_screed', text }) as Edit}
	done={() => data.load()}
/>
<ByRule {data} outline={(store.document?.outline ?? []) as XY[]} />
<PadLines {data} />
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
