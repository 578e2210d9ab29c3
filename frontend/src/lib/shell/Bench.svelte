<script lang="ts">
	/** The bench: one question, its instrument, and the working slip at its foot. */
	import type { Snippet } from 'svelte';
	import WorkingSlip from './WorkingSlip.svelte';
	let { question, jobId, children }: { question: string; jobId: string; children: Snippet } = $props();
</script>

<section class="bench" aria-label={question}>
	<div class="pad">
		<h2>{question}</h2>
		{@render children()}
	</div>
	<WorkingSlip {jobId} />
</section>

<style>
	.bench {
		background: var(--color-bench);
		border-left: 3px solid var(--color-ink);
		overflow: auto;
		display: flex;
		flex-direction: column;
		min-width: 0;
	}
	.pad {
		padding: 14px 20px 16px;
		flex: none;
	}
	@media (max-width: 1100px) {
		.bench {
			border-left: 0;
			border-top: 3px solid var(--color-ink);
			overflow: visible;
		}
	}
	@media (max-width: 600px) {
		.pad {
			padding: 12px 14px;
		}
	}
	@media print {
		.bench {
			border: 0;
			background: #fff;
			overflow: visible;
		}
	}
</style>
