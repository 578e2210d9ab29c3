<script lang="ts">
	/** The list of keys. */
	import { Dialog } from 'bits-ui';
	import { session } from '../state/session.svelte';
	import { w } from '../words/words';
	let { open = $bindable(false) }: { open?: boolean } = $props();
</script>

<Dialog.Root bind:open>
	<Dialog.Portal>
		<Dialog.Overlay class="veil" />
		<Dialog.Content class="slip" aria-describedby={undefined}>
			<Dialog.Title class="slip-title">{w.keysTitle}</Dialog.Title>
			<dl class="mb-14 grid grid-cols-[max-content_1fr] gap-x-18 gap-y-4">
				{#each w.keys as [key, does]}
					<dt class="font-strong">{key}</dt>
					<dd>{does}</dd>
				{/each}
			</dl>
			<button type="button" class="act quiet" onclick={() => session.toggleLetters()}
				>{session.letters ? w.keysOff : w.keysOn}</button
			>
			<Dialog.Close class="act quiet">{w.slip.close}</Dialog.Close>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>

<style>
	:global(.veil) {
		position: fixed;
		inset: 0;
		background: color-mix(in srgb, var(--color-ink) 45%, transparent);
		z-index: 20;
	}
	:global(.slip) {
		position: fixed;
		z-index: 21;
		left: 50%;
		top: 50%;
		translate: -50% -50%;
		width: min(560px, 94vw);
		max-height: 92vh;
		overflow: auto;
		background: var(--color-sheet);
		color: var(--color-ink);
		border: 3px solid var(--color-ink);
		padding: 20px;
	}
	:global(.slip-title) {
		font-size: 22px;
		font-weight: 800;
		margin-bottom: 10px;
	}
</style>
