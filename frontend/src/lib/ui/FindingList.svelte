<script lang="ts">
	/** Findings as the program lists them for a tab: what is wrong, and the way out. */
	import Frac from './Frac.svelte';
	let { findings }: { findings: readonly { code: string; words: string; remedy: string; severity?: string }[] } = $props();
</script>

{#each findings as one, i (`${one.code} ${one.words} ${i}`)}
	<p class={one.severity === 'note' ? 'label' : 'wrong'} role="status" data-finding={one.code}>
		<Frac text={one.words} />
		<Frac text={one.remedy} />
	</p>
{/each}
