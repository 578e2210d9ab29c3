<script lang="ts">
	/** Text with built fractions, as tspans inside an SVG text. */
	import { built } from './fraction';
	let { text }: { text: string } = $props();
</script>

{#each built(text) as bit}{#if typeof bit === 'string'}<tspan>{bit}</tspan>{:else}<tspan font-size="80%" dy="-.3em"
			>{'\u2009' + bit.over}</tspan
		><tspan dy=".24em">⁄</tspan><tspan font-size="80%" dy=".06em">{bit.under}</tspan>{/if}{/each}
