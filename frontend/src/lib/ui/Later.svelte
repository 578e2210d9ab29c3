<script lang="ts">
	/** A part that is fetched when it is first wanted, and says so where it cannot be. */
	import type { Component } from 'svelte';
	import { w } from '../words/words';
	let { load }: { load: () => Promise<{ default: Component }> } = $props();
</script>

{#await load() then { default: Part }}<Part />{:catch}<p role="alert" class="wrong">{w.notices.noPart}</p>{/await}
