<script lang="ts">
	/** What the marks over the strips mean. */
	import { screed as words } from '../../words/screed';
	let { tab }: { tab: string } = $props();
</script>

<p class="label flex items-center gap-14 max-phone:hidden side:hidden">
	<span class="flex items-center gap-5"
		><svg width="16" height="16" aria-hidden="true"><path d="M3 3l10 10m0-10l-10 10" class="stroke-paint stroke-[3px]" /></svg
		>{words.keys.struck}</span
	>
	<span class="flex items-center gap-5"
		><svg width="16" height="16" aria-hidden="true"
			><circle cx="8" cy="8" r="6" class="fill-none stroke-paint stroke-[2.2px] [stroke-dasharray:3_2.4]" /></svg
		>{words.keys.open}</span
	>
	{#if tab !== 'pads'}<span class="flex items-center gap-5"
			><svg width="34" height="12" aria-hidden="true"
				><rect x="1" y="2" width="32" height="8" class="fill-well stroke-ink stroke-[1.5px]" /></svg
			>{words.keys.board}</span
		>{/if}
	{#if tab === 'order'}<span class="flex items-center gap-5"
			><svg width="34" height="12" aria-hidden="true"
				><path d="M0 6h34" class="stroke-ink2 stroke-[1.4px] [stroke-dasharray:10_6]" /></svg
			>{words.keys.reach}</span
		>{/if}
</p>
