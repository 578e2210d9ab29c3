<script lang="ts" generics="P extends Record<string, unknown>">
	/** A part that is fetched when it is first wanted; `soon` stands there until it is here, and it says so where it cannot be. */
	import type { Component, Snippet } from 'svelte';
	import { w } from '../words/words';
	let { load, soon, given }: { load: () => Promise<{ default: Component<P> }>; soon?: Snippet; given?: P } = $props();
</script>

{#await load()}{@render soon?.()}{:then { default: Part }}<Part {...given ?? ({} as P)} />{:catch}<p role="alert" class="wrong">
		{w.notices.noPart}
	</p>{/await}
