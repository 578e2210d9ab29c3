<script lang="ts">
	/** A worked number: press, or W when focused, and its working unfolds. */
	import type { Working } from '../api/schema';
	import { workingSlip } from '../state/working_slip.svelte';
	import Frac from './Frac.svelte';
	let { working, text = working.text }: { working: Working; text?: string } = $props();
	const open = $derived(workingSlip.open?.name === working.name);
</script>

<button
	type="button"
	class="wk num [font-weight:inherit] text-inherit aria-expanded:bg-chalk-tint"
	aria-expanded={open}
	data-working={working.name}
	title={working.name}
	onclick={(event) => workingSlip.show(working, event.detail === 0)}
	onkeydown={(event) => {
		if (event.key === 'w' || event.key === 'W') {
			event.stopPropagation();
			workingSlip.show(working, true);
		}
	}}><Frac {text} /></button
>

<style>
	.num {
		font: inherit;
	}
</style>
