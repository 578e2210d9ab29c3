<script lang="ts">
	/** Rolls to buy as bars of one length: what is cut from each, and what is left. */
	import type { BarrierLaid } from '../../api/schema';
	import { shownLength } from '../../ui/typed';
	import Frac from '../../ui/Frac.svelte';
	import { cover as words } from '../../words/underslab_cover';
	let { laid, units }: { laid: BarrierLaid; units: 'ft-in' | 'mm' } = $props();
	const count = $derived(Math.max(laid.used_mm.length, Math.round(laid.rolls.value)));
	/** what stands on each roll: sheets first, then what goes down beside beams, where there is room */
	const bars = $derived.by(() => {
		let down = laid.dip_mm;
		return Array.from({ length: count }, (_, k) => {
			const cuts = laid.pieces
				.filter((piece) => piece.roll === k + 1)
				.map((piece) => ({
					text: words.barrier.sheet(piece.row, shownLength(piece.long_mm, units)),
					mm: piece.long_mm,
					dip: false
				}));
			const used = cuts.reduce((sum, one) => sum + one.mm, 0);
			const here = Math.min(down, laid.roll_long_mm - used);
			down -= here;
			if (here > 1)
				cuts.push({ text: words.barrier.dip(shownLength(Math.round(here / 25.4) * 25.4, units)), mm: here, dip: true });
			return { cuts, left: laid.roll_long_mm - used - Math.max(0, here) };
		});
	});
	const part = (mm: number) => (mm / laid.roll_long_mm) * 100;
	const short = (text: string) => text.split(', ')[1] ?? text;
</script>

{#each bars as bar, k}
	<p class="mt-8 font-mid">{words.barrier.rollTitle(k + 1, laid.roll_text)}</p>
	<div
		class="flex h-34 border-[1.5px] border-dashed border-ink text-note font-mid"
		role="group"
		aria-label={words.barrier.rollTitle(k + 1, laid.roll_text)}
	>
		{#each bar.cuts as cut}
			<span
				class={[
					'@container grid place-items-center overflow-hidden border-r-[1.5px] border-ink whitespace-nowrap',
					cut.dip ? 'bg-bench' : 'bg-well'
				]}
				style:width="{part(cut.mm)}%"
				title={cut.text}
				><span class="hidden @min-[150px]:inline"><Frac text={cut.text} /></span><span
					class="hidden @min-[52px]:inline @min-[150px]:hidden"><Frac text={short(cut.text)} /></span
				></span
			>
		{/each}
		<span class="@container grid flex-1 place-items-center overflow-hidden whitespace-nowrap text-ink2"
			><span class="hidden @min-[64px]:inline"
				><Frac text={words.barrier.left(shownLength(Math.round(bar.left / 304.8) * 304.8, units))} /></span
			></span
		>
	</div>
{/each}
