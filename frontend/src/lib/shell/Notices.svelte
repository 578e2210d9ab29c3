<script lang="ts">
	/** Offline, clashes and problems that belong to no field: said plainly, with the way out. */
	import type { JobDesk } from '../state/job.svelte';
	import { w } from '../words/words';
	let { desk }: { desk: JobDesk } = $props();
	const orphan = $derived(desk.problem && ['', 'board', 'sheet', 'waiting', 'clash', 'units'].includes(desk.problemAt) ? desk.problem : null);
	const faults = $derived((desk.figure?.findings ?? []).filter((one) => one.code === 'cannot-compute'));
</script>

{#if desk.waiting.length}
	<p class="notice" role="status">{w.notices.offline(desk.waiting.length)}</p>
{/if}
{#if desk.clash}
	<div class="notice" role="alert">
		<span>{desk.clash.words}</span>
		<button type="button" class="act quiet" onclick={() => void desk.reapply()}>{w.notices.reapply}</button>
		<button type="button" class="act quiet" onclick={() => desk.takeTheirs()}>{w.notices.theirs}</button>
	</div>
{/if}
{#each faults as fault}
	<p class="notice" role="alert" data-fault={fault.where}>{fault.words} {fault.remedy}</p>
{/each}
{#if orphan}
	<div class="notice" role="alert">
		<span>{orphan.detail}</span>
		<button type="button" class="act quiet" onclick={() => desk.clearProblem()}>{w.shim.close}</button>
	</div>
{/if}

<style>
	.notice {
		background: var(--well);
		border-bottom: 3px solid var(--flag);
		color: var(--ink);
		font-weight: 640;
		padding: 6px 20px;
		display: flex;
		flex-wrap: wrap;
		gap: 6px 12px;
		align-items: center;
	}
</style>
