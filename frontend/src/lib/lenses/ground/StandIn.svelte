<script lang="ts">
	/** The laser stand-in: on, off, its battery, and how it misbehaves. */
	import { w } from '../../words/words';
	import type { Fault, LaserLink } from './laser.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Act from '../../ui/Act.svelte';
	let { laser, connect }: { laser: LaserLink; connect: () => void } = $props();
	const faults: Fault[] = ['none', 'tilt', 'mud', 'bump', 'battery'];
</script>

<Fold class="my-8" name={w.ground.standIn} aside={laser.on ? w.ground.battery(laser.battery) : ''} open={laser.on}>
	<p class="label">{w.ground.standInHow}</p>
	<div class="row mt-4 flex items-center gap-12">
		{#if laser.on}
			<Act kind="quiet" onclick={() => laser.close()}>{w.ground.disconnect}</Act>
			<Choose
				label
				name={w.ground.faultName}
				rows={faults.map((one) => ({ value: one, label: w.ground.faults[one] }))}
				value={laser.fault}
				pick={(fault) => void laser.misbehave(fault)}
			/>
		{:else}
			<Act kind="quiet" onclick={connect}>{w.ground.connect}</Act>
		{/if}
	</div>
</Fold>
