<script lang="ts">
	/** The laser stand-in: on, off, its battery, and how it misbehaves. */
	import { w } from '../../words/words';
	import type { Fault, LaserLink } from './laser.svelte';
	let { laser, connect }: { laser: LaserLink; connect: () => void } = $props();
	const faults: Fault[] = ['none', 'tilt', 'mud', 'bump', 'battery'];
</script>

<details class="mx-0 my-8" open={laser.on}>
	<summary class="min-h-32 cursor-pointer pt-5"
		><b>{w.ground.standIn}</b>
		{#if laser.on}<span class="label">{w.ground.battery(laser.battery)}</span>{/if}</summary
	>
	<p class="label">{w.ground.standInHow}</p>
	<div class="row mt-4 flex items-center gap-12">
		{#if laser.on}
			<button type="button" class="act quiet" onclick={() => laser.close()}>{w.ground.disconnect}</button>
			<label class="label"
				>{w.ground.faultName}<select
					class="plain-select"
					value={laser.fault}
					onchange={(e) => void laser.misbehave(e.currentTarget.value as Fault)}
					>{#each faults as one}<option value={one}>{w.ground.faults[one]}</option>{/each}</select
				></label
			>
		{:else}
			<button type="button" class="act quiet" onclick={connect}>{w.ground.connect}</button>
		{/if}
	</div>
</details>
