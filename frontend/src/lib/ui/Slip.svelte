<script lang="ts">
	/** A slip over the page, with its title and a way to close it. The focus goes in and comes back. */
	import { Dialog } from 'bits-ui';
	import type { Snippet } from 'svelte';
	import { w } from '../words/words';
	import { act } from './act';
	let {
		open = $bindable(false),
		title,
		wide = false,
		children
	}: { open?: boolean; title: string; wide?: boolean; children: Snippet } = $props();
</script>

<Dialog.Root bind:open>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-20 bg-[color-mix(in_srgb,var(--color-ink)_45%,transparent)]" />
		<Dialog.Content
			aria-describedby={undefined}
			class={[
				'fixed top-1/2 left-1/2 z-21 max-h-[92vh] -translate-1/2 overflow-auto',
				wide ? 'w-[min(940px,96vw)]' : 'w-[min(560px,94vw)]',
				'border-3 border-ink bg-sheet p-20 text-ink'
			].join(' ')}
		>
			<Dialog.Title class="mb-10 text-ask font-[800]">{title}</Dialog.Title>
			{@render children()}
			<Dialog.Close class={act('quiet')}>{w.slip.close}</Dialog.Close>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
