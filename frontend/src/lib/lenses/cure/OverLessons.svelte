<script lang="ts">
	/** Where the concrete went: the letter of each lesson at its place on the plan; those without a place stand beside it. */
	import type { Viewport, XY } from '../../drawing/viewport';
	import type { AfterData } from './after.svelte';
	let { view, data, rings }: { view: Viewport; data: AfterData; rings: { id: string; rings: XY[][] }[] } = $props();
	const rows = $derived(data.lessons.filter((one) => one.group === 'volume'));
	const corner = $derived.by((): [number, number] => {
		const points = rings.flatMap((row) => row.rings).flatMap((ring) => ring.map((one) => view.px(one)));
		return points.length
			? [Math.max(...points.map((one) => one[0])) - 8, Math.min(...points.map((one) => one[1])) - 4]
			: [40, 40];
	});
	const place = (n: number, at: XY | null | undefined): [number, number] => {
		if (at) return view.px(at) as [number, number];
		const loose = rows.slice(0, n).filter((one) => !one.at).length;
		return [corner[0] - loose * 34, corner[1] + 24];
	};
</script>

<g class="pointer-events-none">
	{#each rings as row (row.id)}<path
			d={view.path(row.rings)}
			fill-rule="evenodd"
			class="fill-none stroke-ink stroke-[1px]"
		/>{/each}
</g>
{#each rows as one, n (one.key)}
	{@const at = place(n, one.at as XY | null)}
	<g
		class="cursor-pointer"
		role="button"
		tabindex="0"
		aria-label="{one.letter}, {one.name}"
		aria-pressed={data.lesson === one.key}
		onclick={() => (data.lesson = one.key)}
		onkeydown={(event) => event.key === 'Enter' && (event.stopPropagation(), (data.lesson = one.key))}
		data-letter={one.letter}
	>
		<circle cx={at[0]} cy={at[1]} r="22" class="fill-transparent" />
		<circle
			cx={at[0]}
			cy={at[1]}
			r="13"
			class={['fill-sheet stroke-2', data.lesson === one.key ? 'stroke-chalk' : 'stroke-ink']}
		/>
		<text x={at[0]} y={at[1] + 5} text-anchor="middle" class="fill-ink text-read font-heavy">{one.letter}</text>
	</g>
{/each}
