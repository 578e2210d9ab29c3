<script lang="ts">
	/** What is seldom needed, under its name: a press unfolds it. */
	import { Collapsible } from 'bits-ui';
	import type { Snippet } from 'svelte';
	let {
		open = $bindable(false),
		name,
		aside = '',
		children,
		class: more = ''
	}: { open?: boolean; name: string; aside?: string; children: Snippet; class?: string } = $props();
</script>

<Collapsible.Root bind:open class={more}>
	<Collapsible.Trigger class="group flex min-h-44 w-full items-center gap-8 text-left font-[760]">
		<svg width="12" height="12" class="flex-none fill-ink group-data-[state=open]:rotate-90" aria-hidden="true"
			><path d="M2 0l9 6-9 6z" /></svg
		>
		<span>{name}</span>{#if aside}<span class="label">{aside}</span>{/if}
	</Collapsible.Trigger>
	<Collapsible.Content>{@render children()}</Collapsible.Content>
</Collapsible.Root>
