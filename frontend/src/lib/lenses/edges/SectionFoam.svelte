<script lang="ts">
	/** Foam on the faces of a section: outside or inside of the outline, past the concrete's bottom, its top cut back. */
	import type { Section } from '../../api/schema';
	import type { SectionView } from './section_view';
	let { section, view }: { section: Section; view: SectionView } = $props();
	const faces = $derived(
		section.ends
			.filter((end) => end.foam_mm)
			.map((end) => {
				const way = end.outward < 0 ? -1 : 1;
				const [near, far] = end.foam_inside ? [-way * end.foam_mm, 0] : [0, way * end.foam_mm];
				const x = (mm: number) => view.x(end.s_mm + mm).toFixed(1);
				const [top, low] = [view.y(end.top_mm), view.y(end.bottom_mm - end.foam_past_mm)];
				const step = view.y(end.top_mm - end.cut_back_high_mm);
				const back = end.cut_back_high_mm ? near + way * end.cut_back_mm : near;
				return {
					foam: `M${x(back)} ${top}H${x(far)}V${low}H${x(near)}V${step}H${x(back)}Z`,
					concrete: back === near ? '' : `M${x(near)} ${top}H${x(back)}V${step}H${x(near)}Z`
				};
			})
	);
</script>

{#each faces as face}
	<path d={face.foam} fill="var(--color-well)" />
	<path d={face.foam} fill="url(#zig)" stroke="var(--color-ink)" stroke-width="1.6" />
	{#if face.concrete}<path d={face.concrete} fill="var(--color-slab)" />
		<path d={face.concrete} fill="url(#conc)" stroke="var(--color-ink)" stroke-width="1.6" />{/if}
{/each}
