<script lang="ts">
	/** Changes as pencilled clouds at their places; a press on the plan says where the next one is. */
	import type { Viewport, XY } from '../../drawing/viewport';
	import type { GateData } from './holds.svelte';
	let { view, data }: { view: Viewport; data: GateData } = $props();
	const rows = $derived((data.state?.changes ?? []).filter((row) => row.spot));
	const cloud = (x: number, y: number, r: number) =>
		[...Array(9).keys()]
			.map((n) => {
				const at = (k: number): XY => [x + r * Math.cos((k * 2 * Math.PI) / 9), y + r * Math.sin((k * 2 * Math.PI) / 9)];
				const [a, b] = [at(n), at(n + 1)];
				return `${n ? '' : `M${a[0]} ${a[1]}`}A${r * 0.4} ${r * 0.4} 0 0 1 ${b[0]} ${b[1]}`;
			})
			.join('');
	function press(event: MouseEvent) {
		const box = (event.currentTarget as SVGElement).ownerSVGElement!.getBoundingClientRect();
		data.spot = view.mm(event.clientX - box.left, event.clientY - box.top).map((one) => Math.round(one)) as XY;
	}
</script>

<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (a place can be left out) -->
<rect x="0" y="60" width="4000" height="4000" class="fill-transparent" onclick={press} data-changes={rows.length} />
{#each rows as row (row.record)}
	{@const [x, y] = view.px(row.spot as XY)}
	<g class="pointer-events-none" data-change={row.n}>
		<path d={cloud(x, y, 26)} class={['fill-none stroke-[2.4px]', row.agreed_by ? 'stroke-pencil' : 'stroke-flag']} /><text
			{x}
			y={y + 6}
			text-anchor="middle"
			class="fill-pencil text-size font-heavy">{row.n}</text
		>
	</g>
{/each}
{#if data.spot}
	{@const [x, y] = view.px(data.spot)}
	<path d={cloud(x, y, 26)} class="pointer-events-none fill-none stroke-chalk stroke-[2.4px] [stroke-dasharray:5_4]" />
{/if}
