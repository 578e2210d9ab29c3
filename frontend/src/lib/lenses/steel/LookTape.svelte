<script lang="ts">
	/** A tape under what is measured: what it must reach flagged, what was taped blacked. */
	import type { Look } from '../../api/schema';
	import { taped } from './tape';
	let { look, text, units }: { look: Look; text: string; units: 'ft-in' | 'mm' } = $props();
	const need = $derived(look.need_mm ?? 0);
	const got = $derived(taped(text, units) ?? need);
	const wide = 560;
	const longest = $derived(Math.max(need, got, 1) * 1.18);
	const x = (mm: number) => 12 + (mm / longest) * (wide - 24);
	const unit = $derived(units === 'mm' ? (longest > 600 ? 100 : 10) : longest > 900 ? 152.4 : longest > 150 ? 25.4 : 6.35);
	const ticks = $derived(Array.from({ length: Math.floor(longest / unit) + 1 }, (_, i) => i * unit));
	const short = $derived(look.bound === 'most' ? got > need + 0.8 : got < need - 0.8);
</script>

<svg viewBox="0 0 {wide} 74" class="mt-6 w-full" role="img" aria-label={look.ask}>
	<path d="M{x(0)} 20H{x(got)}" class={['stroke-[10px]', short ? 'stroke-flag' : 'stroke-rust']} />
	{#if short && look.bound !== 'most'}<rect
			x={x(got)}
			y="15"
			width={x(need) - x(got)}
			height="10"
			class="fill-none stroke-flag stroke-[1.5px] [stroke-dasharray:4_3]"
		/>{/if}
	<rect x="8" y="36" width={wide - 16} height="26" class="fill-well stroke-ink stroke-[1.6px]" />
	{#each ticks as mm, i}<path d="M{x(mm)} 36v{i % 4 ? 7 : 13}" class="stroke-ink stroke-[1.2px]" />{/each}
	<path d="M{x(need)} 62V28" class="stroke-flag stroke-2" /><path d="M{x(need) - 7} 28h14l-7 9z" class="fill-flag" />
	<path d="M{x(got)} 62v-18" class="stroke-ink stroke-4" />
</svg>
