<script lang="ts">
	/** Text with built fractions, for HTML. */
	import { built } from './fraction';
	let { text }: { text: string } = $props();
</script>

{#each built(text) as bit}{#if typeof bit === 'string'}{bit}{:else}<span class="fr"
			><span class="over">{bit.over}</span><span class="bar">⁄</span><span class="under">{bit.under}</span></span
		>{/if}{/each}

<style>
	.fr {
		white-space: nowrap;
		margin-left: 0.14em;
	}
	.over,
	.under {
		font-size: 0.8em;
		line-height: 0;
		position: relative;
	}
	.over {
		top: -0.34em;
	}
	.under {
		top: 0.06em;
	}
	.bar {
		font-family: var(--font-sans);
		font-style: normal;
		margin: 0 0.03em;
	}
</style>
