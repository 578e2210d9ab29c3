<script lang="ts">
	/** The cut a reading is of: the string over what is measured down to, the depth that is drawn and the one that was read. */
	import type { WalkRow } from '../../api/schema';
	import { shownLength } from '../../ui/typed';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	let { row, read, units }: { row: WalkRow; read: number | null; units: 'ft-in' | 'mm' } = $props();
	const least = $derived(row.least_mm ?? 100);
	const trench = $derived(row.id.endsWith('/deep'));
	const scale = $derived(92 / Math.max(least * 1.25, read ?? 0));
	const yOf = (mm: number) => 22 + mm * scale;
	const short = $derived(read !== null && read < least - 0.8);
	const base = $derived(yOf(read ?? least * 1.1));
</script>

<svg width="190" height="140" viewBox="0 0 190 140" aria-hidden="true">
	{#if trench}
		<path d="M10 22H86V{base}H128V22H180" class="fill-none stroke-soil stroke-[2.4px]" />
		<path d="M10 22H22V54H10Z" class="fill-board stroke-ink" />
	{:else}
		<rect x="10" y="22" width="12" height={base - 22} class="fill-board stroke-ink" />
		<path d="M22 {base}H180" class="stroke-soil stroke-[2.4px]" />
		<path d={[...Array(9).keys()].map((n) => `M${30 + n * 17} ${base + 2}l-7 9`).join('')} class="stroke-soil stroke-[1.4px]" />
	{/if}
	<path d="M10 22H180" class="stroke-chalk stroke-2" />
	<path d="M22 {yOf(least)}H180" class="stroke-ink2 [stroke-dasharray:5_4]" />
	<path
		d="M107 22V{base}M101 30l6-8 6 8M101 {base - 8}l6 8 6-8"
		class={['fill-none stroke-2', short ? 'stroke-flag' : 'stroke-ink']}
	/>
	{#if read !== null}<text x="118" y={(22 + base) / 2 + 6} class={['text-size font-heavy', short ? 'fill-flag' : 'fill-ink']}
			><SvgFrac text={shownLength(read, units)} /></text
		>{/if}
</svg>
