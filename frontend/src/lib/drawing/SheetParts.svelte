<script lang="ts">
	/** Recesses, kerbs on top, pads beside, pile heads: each with its own hatch, named where there is room. */
	import type { Outlined } from '../api/schema';
	import { boundsOf, type Viewport } from './viewport';
	let { view, things }: { view: Viewport; things: Outlined[] } = $props();
	const room = (thing: Outlined) => {
		const box = boundsOf(thing.rings.flat());
		return { wide: (box.x1 - box.x0) * view.scale, tall: (box.y1 - box.y0) * view.scale };
	};
</script>

{#each things as thing}
	{@const [x, y] = view.px(thing.at)}
	{@const size = room(thing)}
	{#if thing.kind === 'pile'}
		<path d={view.path(thing.rings)} fill="none" stroke="var(--color-ink)" stroke-width="1.6" stroke-dasharray="3 3" />
	{:else if thing.kind === 'recess'}
		<path d={view.path(thing.rings)} fill="var(--color-sheet)" fill-opacity=".85" stroke="var(--color-ink)" stroke-width="1.8" />
		{#each thing.rings as ring}{#if ring.length === 4}<path
					d={view.path(
						[
							[ring[0] ?? [0, 0], ring[2] ?? [0, 0]],
							[ring[1] ?? [0, 0], ring[3] ?? [0, 0]]
						],
						false
					)}
					stroke="var(--color-line)"
					stroke-width="1"
				/>{/if}{/each}
	{:else if thing.kind === 'foam'}
		<path d={view.path(thing.rings)} fill="var(--color-well)" fill-rule="evenodd" />
		<path d={view.path(thing.rings)} fill="url(#zig)" fill-rule="evenodd" stroke="var(--color-ink)" stroke-width="1.2" />
	{:else if thing.kind === 'kerb'}
		<path
			d={view.path(thing.rings)}
			fill="var(--color-ink2)"
			fill-opacity=".75"
			fill-rule="evenodd"
			stroke="var(--color-ink)"
			stroke-width="1.4"
		/>
	{:else}
		<path d={view.path(thing.rings)} fill="var(--color-slab)" fill-rule="evenodd" stroke="var(--color-ink)" stroke-width="2" />
		<path d={view.path(thing.rings)} fill="url(#conc)" fill-rule="evenodd" />
	{/if}
	{#if thing.kind !== 'pile' && thing.kind !== 'kerb' && thing.kind !== 'foam' && size.wide > thing.name.length * 6.6 && size.tall > 18}
		<text class="fill-ink2 stroke-sheet stroke-4 text-label font-[620] [paint-order:stroke]" {x} y={y + 5} text-anchor="middle"
			>{thing.name}</text
		>
	{/if}
{/each}
