<script lang="ts">
	/** A bolt cut through: how far it stands up, how deep it goes, how far off the board. */
	import type { EmbedsTold, WallTold } from '../../api/schema';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { embeds as words } from '../../words/embeds';
	let { found, edge, plate }: { found: EmbedsTold; edge: string; plate: WallTold | null } = $props();
	const scale = $derived(120 / Math.max(120, found.embed_mm + found.stick_up_mm));
	const top = $derived(16 + found.stick_up_mm * scale);
	const foot = $derived(top + found.embed_mm * scale);
	const thick = $derived(found.plate_thick_mm * scale);
	const wide = $derived(Math.max(24, (plate?.plate_mm ?? 140) * scale * 0.8));
</script>

<svg
	viewBox="0 0 210 {foot + 44}"
	class="w-210"
	role="img"
	aria-label="{words.up(found.stick_up_text)}, {words.inside(found.embed_text)}"
>
	<rect x="12" y={top} width="120" height={foot - top + 22} class="fill-slab stroke-none" />
	<path d="M12 {top}H132" class="stroke-ink stroke-2" />
	<rect x="2" y={top - 4} width="10" height={foot - top + 26} class="fill-board stroke-ink stroke-[1.4px]" />
	<rect x={62 - wide / 2} y={top - thick} width={wide} height={thick} class="fill-well stroke-ink stroke-[1.4px]" />
	<path d="M62 16V{foot - 8}q0 8 8 8h16" class="fill-none stroke-ink2 stroke-[6px]" />
	<path d="M53 {top - thick - 4}h18" class="stroke-ink stroke-[5px]" />
	<path d="M132 16h10M132 {top}h10M132 {foot}h10M137 16V{foot}" class="stroke-ink stroke-[1.4px]" />
	<g class="fill-ink text-body font-[760]">
		<text x="148" y={(16 + top) / 2 + 5}><SvgFrac text={words.up(found.stick_up_text)} /></text>
		<text x="148" y={(top + foot) / 2 + 5}><SvgFrac text={words.inside(found.embed_text)} /></text>
		<text x="2" y={foot + 38} class="text-note"><SvgFrac text={words.off(edge)} /></text>
	</g>
</svg>
