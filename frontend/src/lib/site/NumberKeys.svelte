<script lang="ts">
	/** Keys for a number, under a wet thumb; a keyboard types it too. */
	import { siteWords as words } from '../words/site';
	import { typedDigits } from './number';
	let { digits = $bindable(''), why }: { digits?: string; why: () => void } = $props();
	const add = (key: string) => (digits = typedDigits(digits + key));
	const key =
		'grid min-h-48 place-items-center border-2 border-ink bg-well text-title font-heavy active:bg-ink active:text-sheet';
	function typed(event: KeyboardEvent) {
		if (event.target instanceof HTMLInputElement || event.ctrlKey || event.metaKey) return;
		if (/^\d$/.test(event.key)) add(event.key);
		if (event.key === 'Backspace') digits = digits.slice(0, -1);
	}
</script>

<svelte:window onkeydown={typed} />
<div class="mt-8 grid grid-cols-3 gap-4">
	{#each ['1', '2', '3', '4', '5', '6', '7', '8', '9'] as one}
		<button type="button" class={key} onclick={() => add(one)}>{one}</button>
	{/each}
	<button type="button" class={[key, 'text-read']} onclick={() => (digits = digits.slice(0, -1))}>{words.inBack}</button>
	<button type="button" class={key} onclick={() => add('0')}>0</button>
	<button type="button" class={[key, 'text-read']} onclick={why}>{words.inWhy}</button>
</div>
