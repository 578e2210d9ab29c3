<script lang="ts">
	/** The mark of a shot: low (fill), high (cut), or inside. Always beside its amount. */
	let { is, size = 14 }: { is: 'low' | 'high' | 'inside'; size?: number } = $props();
	const SHAPES = { low: 'M0 1H14L7 13Z', high: 'M7 1L14 13H0Z', inside: 'M1 1L13 13M13 1L1 13' };
</script>

<svg
	class={['inline-block flex-none', is === 'inside' ? 'fill-none stroke-paint stroke-3' : 'fill-paint']}
	width={size}
	height={size}
	viewBox="0 0 14 14"
	aria-hidden="true"><path d={SHAPES[is]} /></svg
>
