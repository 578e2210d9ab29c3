<script lang="ts">
	/** On or off, said by its own words. */
	import { Toggle } from 'bits-ui';
	import type { Snippet } from 'svelte';
	import { act } from './act';
	let { on, set, children, ...rest }: { on: boolean; set: (on: boolean) => void; children: Snippet; title?: string } = $props();
</script>

<Toggle.Root class={act('quiet')} bind:pressed={() => on, set} {...rest}>{@render children()}</Toggle.Root>
