<script lang="ts">
	/** Takes what is typed while the finder is on its way. */
	import { w } from '../words/words';
	import { finder } from './finder.svelte';
	const focus = (node: HTMLInputElement) => node.focus();
</script>

<input
	class="well h-48 w-full"
	aria-label={w.finder.name}
	use:focus
	bind:value={() => finder.asked, (text) => finder.ask(text)}
	onkeydown={(event) => {
		if (event.key === 'Enter') finder.entered = true;
		if (event.key !== 'Escape') return;
		event.stopPropagation();
		finder.close();
	}}
/>
