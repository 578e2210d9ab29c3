<script lang="ts">
	/** Coils to buy as bars: which loops are cut from each, and what is left. */
	import type { TubingLaid } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import { tubing as words } from '../../words/tubing';
	let { laid, held }: { laid: TubingLaid; held: number } = $props();
	const longest = $derived(Math.max(1, ...laid.coils.map((coil) => coil.long_mm)));
	const textOf = (n: number) => laid.loops.find((one) => one.n === n)?.text ?? '';
</script>

{#each laid.coils as coil}
	<p class="mt-8 font-mid"><Frac text={words.coil(coil.text, laid.size_text)} /></p>
	<div
		class="flex h-34 border-[1.5px] border-dashed border-ink text-note font-mid"
		style:width="{(coil.long_mm / longest) * 100}%"
		role="group"
		aria-label={words.coil(coil.text, laid.size_text)}
	>
		{#each coil.loops as n, i}
			<span
				class={[
					'@container grid place-items-center overflow-hidden border-r-[1.5px] border-ink bg-well whitespace-nowrap',
					n === held && 'text-chalk'
				]}
				style:width="{((coil.cuts_mm[i] ?? 0) / coil.long_mm) * 100}%"
				><span class="hidden @min-[150px]:inline"><Frac text={words.loop(n, textOf(n))} /></span><span
					class="inline @min-[150px]:hidden">{n}</span
				></span
			>
		{/each}
		<span class="@container grid flex-1 place-items-center overflow-hidden whitespace-nowrap text-ink2"
			><span class="hidden @min-[84px]:inline"><Frac text={words.left(coil.left_text)} /></span></span
		>
	</div>
{/each}
