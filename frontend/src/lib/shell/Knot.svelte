<script lang="ts">
	/** The mark of a stage on its string: pulled tight, an open loop, or tied with a flag. */
	import type { Knot } from './knots';
	let { state, x = 0, ground = 'var(--color-ground)' }: { state: Knot['state']; x?: number; ground?: string } = $props();
</script>

{#if state === 'tight'}
	<g stroke={ground} stroke-width="1.6" fill="none">
		<ellipse cx={x} cy="63" rx="11" ry="8" fill="var(--color-chalk)" stroke="none" />
		<path d="M{x - 5} 56q5 7 0 14M{x + 1} 56q5 7 0 14" />
	</g>
{:else if state === 'loop'}
	<ellipse cx={x} cy="66" rx="7" ry="8" fill={ground} stroke="var(--color-ink)" stroke-width="2.2" />
{:else}
	<path
		d="M{x - 6} 57h12v12h-12zM{x - 5} 69l-6 16 6-4 4 4 2-16zM{x + 5} 69l6 16-6-4-4 4-2-16z"
		fill="var(--color-flag)"
		stroke="var(--color-ink)"
	/>
{/if}
