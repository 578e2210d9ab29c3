<script lang="ts">
	/** What lies on the plan: slabs, strips, steps, openings, the form board round it. */
	import type { Figure, Plan } from '../api/schema';
	import SheetParts from './SheetParts.svelte';
	import type { Viewport, XY } from './viewport';
	interface Props {
		view: Viewport;
		plan: Plan;
		figure: Figure;
		ring: XY[];
		strips: boolean;
		flat: boolean;
		/** the outline is ahead of the drawing, which is then cut to it here */
		moving: boolean;
	}
	let { view, plan, figure, ring, strips, flat, moving }: Props = $props();
	const drawing = $derived(figure.drawing);
</script>

<path d={view.path([ring])} fill="none" stroke="var(--color-ink)" stroke-width="12.5" stroke-linejoin="miter" />
<path d={view.path([ring])} fill="none" stroke="var(--color-board)" stroke-width="10" stroke-linejoin="miter" />
<path d={view.path([ring, ...plan.openings])} fill="var(--color-slab)" fill-rule="evenodd" />
{#if !flat}<path d={view.path([ring, ...plan.openings])} fill="url(#conc)" fill-rule="evenodd" />{/if}
{#if moving}<clipPath id="moving-ring"><path d={view.path([ring, ...plan.openings])} clip-rule="evenodd" /></clipPath>{/if}
{#if drawing}
	<g clip-path={moving ? 'url(#moving-ring)' : undefined}>
		{#if strips}
			{#each drawing.strips as strip}
				{#if strip.face === 'full'}
					<path d={view.path(strip.rings)} fill="url(#deep)" stroke="url(#deep)" stroke-width=".8" />
					<path
						d={view.path(strip.borders, false)}
						fill="none"
						stroke="var(--color-ink2)"
						stroke-width="1.3"
						stroke-dasharray="6 4"
					/>
				{:else}
					<path
						d={view.path(strip.rings)}
						class={[
							'fill-[color-mix(in_srgb,_var(--color-water)_42%,_var(--color-slab))]',
							'stroke-[color-mix(in_srgb,_var(--color-water)_42%,_var(--color-slab))] stroke-[0.8px]'
						]}
					/>
					<path
						d={view.path(strip.borders, false)}
						fill="none"
						stroke="var(--color-line)"
						stroke-width="1.2"
						stroke-dasharray="2 4"
					/>
				{/if}
			{/each}
		{/if}
		{#if strips || flat}<SheetParts {view} things={drawing.outlined} />{/if}
		{#if drawing.zones.length > 1}
			{#each drawing.zones as zone}
				<path d={view.path(zone.rings)} fill="none" stroke="var(--color-ink2)" stroke-width="1.2" />
			{/each}
		{/if}
		{#each drawing.steps as step}
			<path d={view.path([step], false)} fill="none" stroke="var(--color-ink)" stroke-width="5" />
		{/each}
	</g>
{/if}
{#each plan.openings as hole}
	{@const p = hole.map((spot) => view.px(spot))}
	<path d={view.path([hole])} fill="var(--color-sheet)" stroke="var(--color-ink)" stroke-width="2" />
	{#if p.length === 4}<path d="M{p[0]}L{p[2]}M{p[1]}L{p[3]}" stroke="var(--color-line)" stroke-width="1" />{/if}
{/each}
<path d={view.path([ring])} fill="none" stroke="var(--color-ink)" stroke-width="2.6" />
