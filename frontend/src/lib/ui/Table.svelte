<script lang="ts">
	/** A table on a bench: one head, a row a thing. Up and down go to the same thing of the row above or below. */
	import type { Snippet } from 'svelte';
	import { rowsByKey } from './rows_by_key';
	type Head = string | { says: string; span?: number; class?: string };
	let {
		name,
		heads = [],
		class: more = '',
		children,
		...rest
	}: { name?: string; heads?: readonly Head[]; class?: string; children: Snippet; [data: `data-${string}`]: unknown } = $props();
	const of = (head: Head) => (typeof head === 'string' ? { says: head } : head);
</script>

<table class="panel-table {more}" aria-label={name} {...rest} {@attach rowsByKey}>
	{#if heads.length}<thead
			><tr
				>{#each heads.map(of) as head}{#if head.says}<th scope="col" colspan={head.span} class={head.class}>{head.says}</th
						>{:else}<td class={head.class}></td>{/if}{/each}</tr
			></thead
		>{/if}
	<tbody>{@render children()}</tbody>
</table>
