<script lang="ts">
	/** The bench: one question, its instrument, and the working slip at its foot. */
	import type { Snippet } from 'svelte';
	import WorkingSlip from './WorkingSlip.svelte';
	let { question, jobId, children }: { question: string; jobId: string; children: Snippet } = $props();
</script>

<section
	class={[
		'bench flex min-w-0 flex-col overflow-auto border-l-3 border-ink bg-bench max-fold:border-t-3',
		'max-fold:overflow-visible max-fold:border-l-0 max-fold:border-ink print:border-0 print:bg-white',
		'print:overflow-visible'
	]}
	aria-label={question}
>
	<div class="flex-none px-20 pt-14 pb-16 max-phone:px-14 max-phone:py-12">
		<h2>{question}</h2>
		{@render children()}
	</div>
	<WorkingSlip {jobId} />
</section>
