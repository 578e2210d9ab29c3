<script lang="ts">
	/** Keys under a call box where a finger types: with them the number pad is enough; abc brings the letters. */
	import { w } from '../words/words';
	import { pressed, ROWS, type CallKey } from './call_keys';
	let {
		box,
		letters = $bindable(false),
		type
	}: { box: HTMLInputElement | undefined; letters?: boolean; type: (text: string) => void } = $props();
	function press(key: CallKey) {
		if (!box) return;
		if (key === 'abc') return void (letters = !letters);
		const { text, caret } = pressed(box.value, box.selectionStart ?? box.value.length, box.selectionEnd ?? box.value.length, key);
		box.value = text;
		box.setSelectionRange(caret, caret);
		type(text);
	}
	const says = (key: CallKey) => w.callKeys[key as keyof typeof w.callKeys] ?? key;
</script>

<div class="mt-4 grid grid-cols-7 gap-4" role="group" aria-label={w.callKeys.name}>
	{#each ROWS as row}{#each row as key}
			<button
				type="button"
				class={[
					'min-h-44 border-[1.5px] border-ink text-key font-[700] active:bg-ink active:text-sheet',
					key === 'abc' && letters ? 'bg-ink text-sheet' : 'bg-well'
				]}
				aria-label={says(key)}
				aria-pressed={key === 'abc' ? letters : undefined}
				onpointerdown={(event) => event.preventDefault()}
				onclick={() => press(key)}
				>{key === 'back' ? '⌫' : key === ' ' ? '␣' : key === "'" ? '′' : key === '"' ? '″' : key}</button
			>
		{/each}{/each}
</div>
