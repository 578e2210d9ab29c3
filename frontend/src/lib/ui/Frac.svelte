<script lang="ts">
	/** Text with built fractions, for HTML: seen as built, spoken and copied as 1/2. */
	import { built } from './fraction';
	let { text }: { text: string } = $props();
</script>

{#each built(text) as bit}{#if typeof bit === 'string'}{bit}{:else}<span class="relative ml-[0.14em] whitespace-nowrap"
			><span class="sr-only">{` ${bit.over}/${bit.under}`}</span><span class="select-none" aria-hidden="true"
				><span class="relative top-[-0.34em] text-[0.8em] leading-[0]">{bit.over}</span><span
					class="mx-[0.03em] my-0 font-sans not-italic">⁄</span
				><span class="relative top-[0.06em] text-[0.8em] leading-[0]">{bit.under}</span></span
			></span
		>{/if}{/each}
