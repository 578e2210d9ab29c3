<script lang="ts">
	/** One bent mark at the scale of all: its legs out to out, what it is cut from. */
	import type { MarkTold } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { steel as words } from '../../words/steel';
	import Tag from './Tag.svelte';
	let { row, scale, on, press }: { row: MarkTold; scale: number; on: boolean; press: () => void } = $props();
	const HIGH = 118;
	const [a, b] = $derived([(row.legs_mm[0] ?? 0) * scale, (row.legs_mm[1] ?? 0) * scale]);
	const turn = $derived(((row.turns[0] ?? 90) * Math.PI) / 180);
	const stroke = $derived(Math.max(3, row.d_mm * scale));
	/** a bend as its two legs: the first stands up, the second leaves it by its turn */
	const legs = $derived.by(() => {
		const foot = [62, HIGH - 12] as const;
		return {
			foot,
			up: [foot[0], foot[1] - a] as const,
			out: [foot[0] + b * Math.sin(turn), foot[1] - b * Math.cos(Math.PI - turn) * -1] as const
		};
	});
</script>

<button
	class={['grid min-w-132 content-start border-l border-hair px-10 text-left', on && 'bg-chalk-tint']}
	aria-pressed={on}
	onclick={press}
	data-bend={row.mark}
>
	<span class="flex items-center gap-6"><Tag mark={row.mark} {on} /><b>{row.count} × {row.bar}</b></span>
	<svg width="166" height={HIGH} viewBox="0 0 166 {HIGH}" aria-hidden="true">
		{#if row.shape === 'stirrup'}
			<rect
				x="62"
				y={HIGH - 12 - b}
				width={a}
				height={b}
				rx="5"
				stroke-width={stroke}
				class={['fill-none', on ? 'stroke-chalk' : 'stroke-rust']}
			/>
			<path d="M68 {HIGH - 8 - b}l8 8M66 {HIGH - 4 - b}l8 8" class="stroke-rust stroke-2" />
			<g class="fill-ink text-note font-[760]">
				<text x={62 + a / 2} y={HIGH - 18 - b} text-anchor="middle"><SvgFrac text={row.legs[0] ?? ''} /></text>
				<text x="56" y={HIGH - 8 - b / 2} text-anchor="end"><SvgFrac text={row.legs[1] ?? ''} /></text>
			</g>
		{:else}
			<path
				d="M{legs.up}L{legs.foot}L{legs.out}"
				stroke-width={stroke}
				class={['fill-none [stroke-linejoin:round]', on ? 'stroke-chalk' : 'stroke-rust']}
			/>
			<g class="fill-ink text-note font-[760]">
				<text x="56" y={HIGH - 12 - a / 2} text-anchor="end"><SvgFrac text={row.legs[0] ?? ''} /></text>
				<text x={68 + b / 2} y={HIGH - 18} text-anchor="middle"><SvgFrac text={row.legs[1] ?? ''} /></text>
			</g>
		{/if}
	</svg>
	{#if row.shape === 'stirrup'}<span class="block text-note">{words.hooks(row.turns[0] ?? 135)}</span>{/if}
	<span class="block">{words.cut} <b><Frac text={row.cuts[0]?.[0] ?? ''} /></b></span>
</button>
