<script lang="ts">
	/** A matter of the crew's ways: two stand side by side, on a narrow screen one under the other. */
	import type { Snippet } from 'svelte';
	let { children }: { children: Snippet } = $props();
</script>

<section
	class={[
		'grid content-start gap-10 border-t-3 border-ink px-20 pt-16 pb-30 first:border-t-0 nth-2:border-t-0',
		'even:border-l-3 max-mid:even:border-l-0 max-mid:nth-2:border-t-3'
	]}
>
	{@render children()}
</section>
