<script lang="ts">
	/** Walls on the plan: their stretches, lighter where the top is set down, with how far; the pressed one in chalk. */
	import type { Walls } from '../../api/schema';
	import type { Viewport } from '../../drawing/viewport';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	let { view, found, picked, pick }: { view: Viewport; found: Walls; picked: number; pick: (wall: number) => void } = $props();
	/** the first stretch of a set-down says how far */
	const told = (downs: readonly string[], i: number) => downs[i] && downs[i] !== downs[i - 1];
	const middle = (ring: readonly (readonly number[])[]) => {
		const [x, y] = [0, 1].map((k) => ring.reduce((sum, p) => sum + (p[k] ?? 0), 0) / ring.length);
		return view.px([x ?? 0, y ?? 0]);
	};
</script>

{#each found.drawn as row (row.wall)}
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the bench lists the walls) -->
	<g class="cursor-pointer" onclick={() => pick(row.wall)} data-wall={row.name}>
		{#each row.rings as ring, i (i)}<path
				d={view.path([ring], true)}
				class={[
					'stroke-[1.5px]',
					row.wall === picked ? 'stroke-chalk' : 'stroke-ink',
					row.downs[i] ? 'fill-sheet' : row.kind === 'block' ? 'fill-soil' : 'fill-ink2'
				]}
			/>{/each}
		{#each row.rings as ring, i (i)}
			{#if told(row.downs, i)}
				{@const [x, y] = middle(ring)}
				<text {x} y={y - 10} text-anchor="middle" class="fill-ink stroke-sheet stroke-4 text-note font-black [paint-order:stroke]"
					><SvgFrac text="down {row.downs[i]}" /></text
				>
			{/if}
		{/each}
	</g>
{/each}
