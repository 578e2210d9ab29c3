<script lang="ts">
	/** Footings on the plan: their strips, the wider trench dashed, and grade pegs with their numbers. */
	import type { Footings } from '../../api/schema';
	import type { Viewport } from '../../drawing/viewport';
	let { view, found, picked, pick }: { view: Viewport; found: Footings; picked: number | null; pick: (number: number) => void } =
		$props();
	const few = $derived(found.pegs.length <= 60);
	/* a name and its pegs want room between them */
	const every = $derived(Math.max(1, Math.ceil(found.pegs.length / 24)));
</script>

{#each found.drawn as row (row.footing)}
	{#if row.dug.length}<path
			d={view.path(row.dug, true)}
			class="pointer-events-none fill-none stroke-soil stroke-[1.8px] [stroke-dasharray:5_4]"
			fill-rule="evenodd"
		/>{/if}
	<path
		d={view.path(row.rings, true)}
		class="pointer-events-none fill-water/55 stroke-ink stroke-[1.8px]"
		fill-rule="evenodd"
		data-footing={row.name}
	/>
	<path d={view.path([row.line], false)} class="pointer-events-none fill-none stroke-ink2 stroke-1 [stroke-dasharray:10_3_2_3]" />
{/each}
{#each found.pegs as peg (peg.number)}
	{@const [x, y] = view.px(peg.at)}
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the list of pegs does the same by keyboard) -->
	<g class="cursor-pointer" onclick={() => pick(peg.number)} data-peg={peg.number}>
		<path
			d="M{x - 5} {y - 8}h10v10l-5 7-5-7z"
			class={[
				'stroke-[1.5px]',
				peg.number === picked
					? 'fill-chalk stroke-chalk'
					: peg.over_mm === null
						? 'fill-board stroke-ink'
						: 'fill-well stroke-ink'
			]}
		/>
		{#if few && (peg.number === picked || (peg.number - 1) % every === 0)}<text
				x={x + 8}
				y={y - 2}
				class={[
					'stroke-sheet stroke-4 text-note [paint-order:stroke]',
					peg.number === picked ? 'fill-chalk font-black' : 'fill-ink font-mid'
				]}>{peg.number}</text
			>{/if}
	</g>
{/each}
