<script lang="ts">
	/** The laser stand-in: on, off, its battery, and how it misbehaves. */
	import { ground as groundWords } from '../../words/ground';
	import type { Fault, LaserLink } from './laser.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Act from '../../ui/Act.svelte';
	let { laser, connect }: { laser: LaserLink; connect: () => void } = $props();
	const faults: Fault[] = ['none', 'tilt', 'mud', 'bump', 'battery'];
</script>

<Fold class="my-8" name={groundWords.standIn} aside={laser.on ? groundWords.battery(laser.battery) : ''} open={laser.on}>
	<p class="label">{groundWords.standInHow}</p>
	<div class="row mt-4 flex items-center gap-12">
		{#if laser.on}
			<Act kind="quiet" onclick={() => laser.close()}>{groundWords.disconnect}</Act>
			<Choose
				label
				name={groundWords.faultName}
				rows={faults.map((one) => ({ value: one, label: groundWords.faults[one] }))}
				value={laser.fault}
				pick={(fault) => void laser.misbehave(fault)}
			/>
		{:else}
			<Act kind="quiet" onclick={connect}>{groundWords.connect}</Act>
		{/if}
	</div>
</Fold>
