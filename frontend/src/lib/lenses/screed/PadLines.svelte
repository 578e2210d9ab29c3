<script lang="ts">
	/** Pad lines: where each runs, what boards ride on there, and out with it. */
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { screed as words } from '../../words/screed';
	import type { StripsData } from './strips.svelte';
	let { data }: { data: StripsData } = $props();
	const rides = Object.entries(words.rides).map(([value, label]) => ({ value, label }));
</script>

{#if data.runs.length}
	<h2 class="panel-head">{words.lines}</h2>
	<ul>
		{#each data.runs as run (run.key)}
			<li class="flex min-h-48 flex-wrap items-center justify-between gap-8 border-b border-hair py-4" data-pad-line={run.letter}>
				<span class="min-w-180 flex-1"
					><b class="text-key text-paint">{run.letter}</b>
					<Frac text={run.drawn ? run.chalk : words.fall} />
					<span class="label"><Frac text={run.length_text} />{run.out_by ? `, ${words.outBy(run.out_by)}` : ''}</span></span
				>
				{#if run.drawn}
					<Choose
						name={`${words.ridesName}, ${words.line(run.letter)}`}
						rows={rides}
						value={run.rides}
						pick={(now) => void data.keep({ op: 'set_pad_line', pad: run.key, rides: now })}
					/>
					<Act
						kind="quiet"
						aria-label="{words.out}, {words.line(run.letter)}"
						onclick={() => void data.keep({ op: 'take_out_pad_line', pad: run.key })}>{words.out}</Act
					>
				{/if}
			</li>
		{/each}
	</ul>
{/if}
