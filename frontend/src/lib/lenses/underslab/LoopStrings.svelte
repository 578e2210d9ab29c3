<script lang="ts">
	/** Loops as strings of true relative length between two stakes: the far stake is the longest that the tube carries. */
	import type { TubeLoop, TubingLaid } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import { tubing as words } from '../../words/tubing';
	let { laid, loop, hold }: { laid: TubingLaid; loop: TubeLoop; hold: (n: number) => void } = $props();
	const most = $derived(Math.max(laid.longest_mm, ...laid.loops.map((one) => one.length_mm)));
	const part = (mm: number) => `${((mm / most) * 100).toFixed(2)}%`;
</script>

<p class="label mt-10">{words.strings}</p>
<div class="relative mt-4 mr-12 border-l-10 border-board py-4" role="group" aria-label={words.strings}>
	<i class="absolute inset-y-0 w-10 border-[1.5px] border-ink bg-board" style:left={part(laid.longest_mm)}></i>
	{#each laid.loops as one (one.id)}
		{@const on = one.n === loop.n}
		<button
			type="button"
			class={['relative flex min-h-44 w-full items-center text-left', on ? 'text-chalk' : one.over ? 'text-flag' : 'text-ink']}
			aria-pressed={on}
			data-loop={one.n}
			onclick={() => hold(one.n)}
		>
			<i class="h-0 border-t-3 border-dashed border-current" style:width={part(one.leader_mm)}></i>
			<i class="h-0 border-t-3 border-current" style:width={part(one.length_mm - one.leader_mm)}></i>
			<b class="ml-6 grid size-24 flex-none place-items-center rounded-full bg-current"
				><span class="text-note font-black text-sheet">{one.n}</span></b
			>
			<b class="ml-8 bg-bench px-2 text-key font-[780] whitespace-nowrap"><Frac text={one.text} /></b>
		</button>
	{/each}
</div>
<p class="label flex justify-between"><span>{words.leader}</span><span><Frac text={words.most(laid.longest_text)} /></span></p>
