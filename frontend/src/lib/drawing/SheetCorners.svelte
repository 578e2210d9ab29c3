<script lang="ts">
	/** Corner letters, and the handles that are dragged. */
	import { outward } from './corner_drag';
	import { cornerName, type Pick } from './pick.svelte';
	import type { Viewport, XY } from './viewport';
	interface Props {
		view: Viewport;
		ring: XY[];
		pick: Pick;
		editable: boolean;
		grab: (corner: number, event: PointerEvent) => void;
	}
	let { view, ring, pick, editable, grab }: Props = $props();
	const spots = $derived(ring.map((p) => view.px(p)));
	/** a letter that would lie on one before it stands farther out */
	const rows = $derived.by(() => {
		const placed: { p: XY; at: XY }[] = [];
		const n = spots.length;
		spots.forEach((p, i) => {
			const out = outward(spots[(i + n - 1) % n] ?? p, p, spots[(i + 1) % n] ?? p);
			let away = 21;
			const at = (): XY => [p[0] + out[0] * away, p[1] + out[1] * away];
			const meets = () => placed.some((one) => Math.abs(one.at[0] - at()[0]) < 21 && Math.abs(one.at[1] - at()[1]) < 21);
			while (meets() && away < 64) away += 7;
			placed.push({ p, at: at() });
		});
		return placed;
	});
	const small = $derived(ring.length > 16);
</script>

{#each rows as { p, at }, i}
	<g transform="translate({at})" class:on={pick.corner === i}>
		<rect
			class={['stroke-[1.6px]', pick.corner === i ? 'fill-chalk stroke-chalk' : 'fill-well stroke-ink']}
			x={small ? -9 : -11}
			y={small ? -9 : -11}
			width={small ? 18 : 22}
			height={small ? 18 : 22}
		/>
		<text
			class={['font-heavy', pick.corner === i ? 'fill-on-chalk' : 'fill-ink']}
			text-anchor="middle"
			y="5.5"
			font-size={small ? 13 : 15}>{cornerName(i)}</text
		>
	</g>
	{#if editable}
		<!-- svelte-ignore a11y_no_static_element_interactions (the sheet is one tab stop and takes the keys) -->
		<circle
			cx={p[0]}
			cy={p[1]}
			r="16"
			class="cursor-grab touch-none fill-transparent"
			data-corner={i}
			onpointerdown={(event) => grab(i, event)}
		/>
		<circle
			cx={p[0]}
			cy={p[1]}
			r={pick.corner === i ? 7 : 5}
			class={['pointer-events-none stroke-chalk stroke-[2.4px]', pick.corner === i ? 'fill-chalk' : 'fill-well']}
			class:on={pick.corner === i}
		/>
	{/if}
{/each}
