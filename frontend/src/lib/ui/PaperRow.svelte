<script lang="ts">
	/** A sheet to take along, on either paper. name: what the sheet is, in front of the sizes. */
	import { w } from '../words/words';
	import Act from './Act.svelte';
	let { href, name = '', also = '' }: { href: string; name?: string; also?: string } = $props();
	const PAPERS = ['letter', 'a4'] as const;
</script>

<p class="my-6 flex flex-wrap items-center gap-4">
	{#if name}<span class="mr-4 font-mid">{name}</span>{/if}
	{#each PAPERS as paper (paper)}<Act
			kind="quiet"
			href="{href}?paper={paper}{also}"
			aria-label="{name} {w.lines.paper[paper]}"
			download>{w.lines.paper[paper]}</Act
		>{/each}
</p>
