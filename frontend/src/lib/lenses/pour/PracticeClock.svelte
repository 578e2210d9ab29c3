<script lang="ts">
	/** The minute that is written down where it is not the day of the pour. */
	import Act from '../../ui/Act.svelte';
	import { pourWords as words } from '../../words/pour';
	import { clockOf } from './minutes';
	import type { PourData } from './pour.svelte';
	let { data }: { data: PourData } = $props();
</script>

<div class="mt-14 flex flex-wrap items-center gap-8 border-t border-hair pt-8" data-practice>
	<p class="text-note">{words.practice} <b class="text-key">{clockOf(data.at)}</b></p>
	{#each [1, 5, 15] as minutes (minutes)}<Act kind="quiet" aria-label="{words.later} {minutes}" onclick={() => data.move(minutes)}
			>+ {minutes}</Act
		>{/each}
	{#if data.shift}<Act kind="quiet" onclick={() => data.move(-data.shift)}>{words.back}</Act>{/if}
</div>
