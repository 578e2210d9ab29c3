<script lang="ts">
	/** The slab that the laptop shows, so that a phone knows it is at the right one. */
	import type { Me } from '../api/schema';
	import { boundsOf, Viewport, type XY } from '../drawing/viewport';
	import { siteWords as words } from '../words/site';
	import { self } from './me.svelte';
	let { me }: { me: Me } = $props();
	const ring = $derived((me.outline ?? []) as XY[]);
	const view = $derived(Viewport.fit(boundsOf(ring.length ? ring : [[0, 0]]), 170, 112, { x: 8, top: 8, bottom: 8 }));
</script>

{#if me.showing}
	<div class="-mx-8 flex gap-12 border-b-3 border-ink bg-sheet px-8 py-6">
		<svg width="170" height="112" class="flex-none" aria-hidden="true">
			<path d={view.path([ring])} fill="none" stroke="var(--color-ink)" stroke-width="7" />
			<path d={view.path([ring])} fill="none" stroke="var(--color-board)" stroke-width="4.6" />
			<path d={view.path([ring])} fill="var(--color-slab)" stroke="var(--color-ink)" stroke-width="1.8" />
		</svg>
		<div class="flex min-w-0 flex-1 flex-col">
			<p class="text-read leading-[1.1] font-heavy wrap-anywhere" dir="auto">{me.showing}</p>
			<p class="mt-2 text-note leading-16 text-ink2">{words.inShows}</p>
			<p class="mt-auto text-right text-note">
				{words.inNotIt}
				<button type="button" class="min-h-44 pl-4 text-read font-mid underline" onclick={() => void self.load()}
					>{words.inAgain}</button
				>
			</p>
		</div>
	</div>
{/if}
