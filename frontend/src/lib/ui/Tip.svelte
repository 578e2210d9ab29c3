<script lang="ts">
	/** What a button would do, said when a mouse or the focus stays on it. Never the only place where something is said. */
	import { Tooltip } from 'bits-ui';
	import type { Snippet } from 'svelte';
	let { says, children }: { says: string; children: Snippet<[Record<string, unknown>]> } = $props();
</script>

<Tooltip.Provider delayDuration={450} disableHoverableContent>
	<Tooltip.Root disabled={!says}>
		<Tooltip.Trigger>
			{#snippet child({ props })}{@render children(props)}{/snippet}
		</Tooltip.Trigger>
		<Tooltip.Portal>
			<Tooltip.Content class="z-30 max-w-320 bg-ink px-12 py-8 text-body font-[620] text-sheet" sideOffset={6}
				>{says}</Tooltip.Content
			>
		</Tooltip.Portal>
	</Tooltip.Root>
</Tooltip.Provider>
