<script lang="ts">
	/** The walk as a string round the slab: a knot a place, tight where both ends are tied, dashed to what is open. */
	import type { PlaceTold } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	import { holdWords as words } from '../../words/holds';
	import type { GateData } from './holds.svelte';
	import { tied } from './walk';
	let { view, data }: { view: Viewport; data: GateData } = $props();
	/** smaller in the hand, where the slab is */
	const small = $derived(view.scale < 0.03);
	const r = $derived(small ? 11 : 14);
	const APART = $derived(small ? 23 : 30);
	/** places on the plan, moved aside where two would lie on one another */
	const spots = $derived.by(() => {
		const placed: { place: PlaceTold; at: XY }[] = [];
		for (const place of data.places) {
			if (!place.at) continue;
			let [x, y] = view.px(place.at as XY);
			for (let turn = 0; turn < 8 && placed.some(({ at }) => Math.hypot(at[0] - x, at[1] - y) < APART); turn++) {
				const angle = (turn * Math.PI) / 4;
				const [px, py] = view.px(place.at as XY);
				[x, y] = [px + APART * Math.cos(angle), py + APART * Math.sin(angle)];
			}
			placed.push({ place, at: [x, y] });
		}
		return placed;
	});
	const picked = $derived(data.place?.id ?? '');
	function look(place: PlaceTold) {
		data.picked = (place.rows.find((row) => !tied(row.state)) ?? place.rows[0])?.id ?? '';
	}
</script>

{#each spots.slice(1) as { place, at }, i (place.id)}
	{@const before = spots[i]!}
	{@const both = tied(before.place.state) && tied(place.state)}
	<path
		d="M{before.at[0]} {before.at[1]}L{at[0]} {at[1]}"
		class={both ? 'stroke-chalk stroke-[2.6px]' : 'stroke-ink2 stroke-[1.8px] [stroke-dasharray:6_5]'}
	/>
{/each}
{#each spots as { place, at } (place.id)}
	{@const flag = place.state === 'mend'}
	{@const done = tied(place.state)}
	<g
		transform="translate({at[0]} {at[1]})"
		class="cursor-pointer"
		role="button"
		tabindex="-1"
		aria-label="{place.n} {place.name}, {words.walk.states[place.state]}"
		onclick={() => look(place)}
		onkeydown={(event) => event.key === 'Enter' && look(place)}
		data-place={place.name}
		data-state={place.state}
	>
		<rect x="-22" y="-22" width="44" height="44" class="fill-transparent" />
		{#if picked === place.id}<circle r={r + 5} class="fill-none stroke-ink stroke-[3px]" />{/if}
		{#if flag}
			<path d="M-8 8l-5 18 7-4 4 5 3-17zM8 8l5 18-7-4-4 5-3-17z" class="fill-flag stroke-ink" />
			<rect x="-13" y="-13" width="26" height="26" class="fill-flag stroke-ink stroke-[1.6px]" />
		{:else}
			<circle
				{r}
				class={[
					'stroke-2',
					done ? 'fill-chalk stroke-sheet' : place.state === 'second' ? 'fill-chalk-tint stroke-chalk' : 'fill-sheet stroke-ink'
				]}
			/>
		{/if}
		<text
			text-anchor="middle"
			y="5"
			class={[
				small ? 'text-label' : 'text-body',
				'font-heavy',
				flag ? 'fill-sheet dim:fill-ground' : done ? 'fill-on-chalk' : 'fill-ink'
			]}>{place.n}</text
		>
	</g>
{/each}
