<script lang="ts">
	/** The cut plan of one size: bars cut alike as one row, drops hatched, keepers dashed, the held mark in chalk. */
	import type { SizeCutTold } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import { steel as words } from '../../words/steel';
	let { size, held }: { size: SizeCutTold; held: string } = $props();
	const longest = $derived(Math.max(1, ...size.rows.map((row) => row.stock_mm)));
</script>

<h2 class="panel-head">
	{words.cutTitle(size.bars, size.bar)} <span class="label">{size.problem || words.cutLeast(size.least)}</span>
</h2>
<ul class="mt-4 grid gap-5">
	{#each size.rows as row}
		<li class="grid grid-cols-[44px_1fr_92px] items-center gap-8">
			<b class="text-right"
				>{row.count} ×{#if row.on_hand}<span class="block text-note font-normal">{words.yours}</span>{/if}</b
			>
			<div class="flex h-30 border-[1.5px] border-ink text-note font-mid" style:width="{(row.stock_mm / longest) * 100}%">
				{#each row.pieces as [mark, text, share]}<span
						class={[
							'@container grid place-items-center overflow-hidden border-r-[1.5px] border-ink whitespace-nowrap',
							held && mark.split('/').includes(held) ? 'bg-chalk-tint text-chalk' : 'bg-well'
						]}
						style:width="{share * 100}%"
						title="{mark} {text}"
						><span class="hidden @min-[70px]:inline">{mark} <Frac {text} /></span><span
							class="hidden @min-[18px]:inline @min-[70px]:hidden">{mark}</span
						></span
					>{/each}
				<span class={['flex-1', row.keep ? 'border-dashed bg-bench' : 'hatched']}></span>
			</div>
			<span class="text-note"
				>{#if row.left_text}<Frac text={row.keep ? words.keep(row.left_text) : words.drop(row.left_text)} />{/if}</span
			>
		</li>
	{/each}
</ul>

<style>
	/* a drop is drawn as waste: hatched */
	.hatched {
		background: repeating-linear-gradient(135deg, var(--color-bench) 0 4px, var(--color-line) 4px 5px);
	}
</style>
