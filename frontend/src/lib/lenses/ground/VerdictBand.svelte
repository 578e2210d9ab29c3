<script lang="ts">
	/** The verdict of a reading in the largest type, with its mark and what to do. */
	import type { Snippet } from 'svelte';
	import type { RodAnswer } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import { ground as groundWords } from '../../words/ground';
	/** brief: only what to do under it, not which way the ground must move */
	let { said, brief = false, tail }: { said: NonNullable<RodAnswer['said']>; brief?: boolean; tail?: Snippet } = $props();
	const on = $derived(said.words === 'on grade');
	const size = $derived(said.words.replace(/^(down|up) /, ''));
	const act = $derived(
		said.verdict === 'high' ? groundWords.rakeOff : said.verdict === 'low' ? groundWords.fillPack : groundWords.right
	);
</script>

<svg width="34" height="34" viewBox="-17 -17 34 34" class="flex-none" aria-hidden="true">
	{#if on || said.verdict === 'inside'}<path d="M-10 -10l20 20m0-20l-20 20" class="stroke-paint stroke-4" />
	{:else}<path
			d={said.verdict === 'high' ? 'M0 -14l15 27h-30z' : 'M0 14l15-27h-30z'}
			class="fill-paint stroke-ink stroke-2"
		/>{/if}
</svg>
<p class="min-w-0">
	<b class="big block text-tally leading-[1.05] font-black whitespace-nowrap font-stretch-[90%]"
		>{#if on}{groundWords.on}{:else}<Frac text="{size} {said.off_mm > 0 ? groundWords.high : groundWords.low}" />{/if}</b
	>{#if tail}{@render tail()}{:else}<span class="font-label"
			><Frac text={on || brief ? act : `${said.words[0]?.toUpperCase()}${said.words.slice(1)}. ${act}`} />.</span
		>{/if}
</p>
