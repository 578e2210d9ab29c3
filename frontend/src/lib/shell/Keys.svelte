<script lang="ts">
	/** The keys, and beside them what the marks mean. */
	import { session } from '../state/session.svelte';
	import Act from '../ui/Act.svelte';
	import Frac from '../ui/Frac.svelte';
	import RodMark from '../ui/RodMark.svelte';
	import Slip from '../ui/Slip.svelte';
	import { helpWords } from '../words/help';
	import { help } from './help.svelte';
	import Knot from './Knot.svelte';
	const { marks, sample } = helpWords;
	const drawn = ['pencil', 'worked', 'boxed', 'struck', 'tight', 'loop', 'flagged', 'board', 'high', 'low', 'inside'] as const;
</script>

<Slip bind:open={help.open} title={helpWords.title} wide>
	<div class="grid grid-cols-[1.2fr_1fr] gap-x-28 gap-y-14 max-mid:grid-cols-1">
		<section class="max-mid:order-2">
			<h3 class="mb-6">{helpWords.keysTitle}</h3>
			<dl class="grid grid-cols-[max-content_1fr] gap-x-18 gap-y-4">
				{#each helpWords.keys as [key, does]}
					<dt class="font-strong whitespace-nowrap">{key}</dt>
					<dd><Frac text={does} /></dd>
				{/each}
			</dl>
			<p class="mt-10 flex flex-wrap items-center gap-10">
				<Act kind="quiet" onclick={() => session.toggleLetters()}
					>{session.letters ? helpWords.lettersOn : helpWords.lettersOff}</Act
				><span class="label">{helpWords.letters}</span>
			</p>
		</section>
		<section>
			<h3 class="mb-6">{helpWords.marksTitle}</h3>
			<dl class="grid grid-cols-[84px_1fr] items-center gap-x-14 gap-y-8">
				{#each drawn as mark}
					<dt class="text-act">
						{#if mark === 'pencil'}<span class="pen">{sample.pencil}</span>
						{:else if mark === 'worked'}<span class="wk font-heavy"><Frac text={sample.worked} /></span>
						{:else if mark === 'boxed'}<span class="boxed">{sample.boxed}</span>
						{:else if mark === 'struck'}<s>{sample.was}</s> <b><Frac text={sample.now} /></b>
						{:else if mark === 'board'}<i class="block h-22 w-60 border-2 border-ink bg-board"></i>
						{:else if mark === 'high' || mark === 'low' || mark === 'inside'}<RodMark is={mark} size={20} />
						{:else}<svg width="34" height="38" viewBox="-17 52 34 38" aria-hidden="true"
								><path d="M-17 63h34" stroke="var(--color-ink2)" stroke-width="2" /><Knot
									state={mark}
									ground="var(--color-sheet)"
								/></svg
							>{/if}
					</dt>
					<dd>{marks[mark]}</dd>
				{/each}
			</dl>
		</section>
	</div>
	<div class="mt-14"></div>
</Slip>
