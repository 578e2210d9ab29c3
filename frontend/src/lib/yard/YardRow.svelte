<script lang="ts">
	/** One slab in the yard. */
	import type { YardJob } from '../api/schema';
	import Frac from '../ui/Frac.svelte';
	import { w } from '../words/words';
	import MiniSlab from './MiniSlab.svelte';
	import type { YardState } from './yard.svelte';
	let { yard, job, scale }: { yard: YardState; job: YardJob; scale: number } = $props();
	let renaming = $state(false);
	let open = $state(false);
	let name = $state('');
	const when = $derived(
		new Date(job.at).toLocaleString('en-GB', {
			weekday: 'short',
			day: 'numeric',
			month: 'short',
			hour: 'numeric',
			minute: '2-digit'
		})
	);
	async function rename() {
		if (name.trim() && name !== job.name) await yard.rename(job, name.trim());
		renaming = false;
	}
</script>

<li class="row" data-job={job.name} data-fault={job.fault}>
	<a class="slab" href={job.fault ? undefined : `/job/${job.id}/lines`} tabindex="-1" aria-hidden="true"
		><MiniSlab {job} {scale} width={170} height={112} /></a
	>
	<div class="what">
		{#if renaming}
			<!-- svelte-ignore a11y_autofocus (the person just pressed Rename) -->
			<input
				class="well"
				bind:value={name}
				autofocus
				aria-label={w.yard.rename}
				onblur={rename}
				onkeydown={(e) => {
					if (e.key === 'Enter') void rename();
					if (e.key === 'Escape') renaming = false;
				}}
			/>
		{:else if job.fault}
			<p class="name">{job.name}</p>
		{:else}
			<a class="name" href="/job/{job.id}/lines">{job.name}</a>
		{/if}
		<p class="label">
			{job.area ?? (job.fault || job.counting ? '' : w.yard.nothing)}{job.area || !(job.fault || job.counting)
				? ' · '
				: ''}{job.units === 'mm' ? w.yard.mm : w.yard.ftin}
		</p>
	</div>
	<p class="yards">
		{#if job.order}<b><Frac text={job.order} /></b>
			{job.order_unit}<span class="label">{job.trucks} {job.trucks === 1 ? 'truck' : 'trucks'}</span>{:else}<span class="label"
				>{job.counting ? w.yard.counting : w.notSet}</span
			>{/if}
	</p>
	<p class="last"><b>{job.summary}</b><span class="label">{job.author ? `${job.author}, ` : ''}{when}</span></p>
	<p class="stops">{job.stops}</p>
	<div class="acts">
		<button type="button" class="act quiet" aria-expanded={open} onclick={() => (open = !open)}>{w.yard.more}</button>
	</div>
	{#if open}
		<div class="more">
			{#if !job.fault}
				<button
					type="button"
					class="act quiet"
					onclick={() => {
						name = job.name;
						renaming = true;
						open = false;
					}}>{w.yard.rename}</button
				>
				<button type="button" class="act quiet" onclick={() => void yard.copy(job)}>{w.yard.copy}</button>
			{/if}
			<a class="act quiet" href="/api/jobs/{job.id}/file" download>{w.yard.export}</a>
			<button type="button" class="act quiet" onclick={() => void yard.aside(job)}
				>{job.archived ? w.yard.restore : w.yard.archive}</button
			>
			<button type="button" class="act quiet" onclick={() => void yard.delete(job)}>{w.yard.delete}</button>
		</div>
	{/if}
</li>

<style>
	.row {
		display: grid;
		grid-template-columns: 180px minmax(200px, 1.3fr) 150px minmax(170px, 1.1fr) minmax(150px, 1fr) 66px;
		gap: 0 18px;
		align-items: center;
		border-bottom: 1.5px solid var(--color-line);
		padding: 4px 20px;
		min-height: 118px;
	}
	.name {
		font-size: 19px;
		font-weight: 780;
		font-stretch: 90%;
		line-height: 1.1;
		display: inline-block;
		padding: 6px 0;
		overflow-wrap: anywhere;
	}
	.yards b {
		font-size: 30px;
		font-weight: 780;
		font-stretch: 90%;
	}
	.yards .label,
	.last .label {
		display: block;
	}
	.last b {
		font-weight: 620;
	}
	.stops {
		font-weight: 640;
		overflow-wrap: anywhere;
	}
	[data-fault='true'] .stops {
		color: var(--color-flag);
	}
	.more {
		grid-column: 2 / -1;
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		padding-bottom: 8px;
	}
	@media (max-width: 1100px) {
		.row {
			grid-template-columns: 120px 1fr auto;
			padding: 10px 14px;
			gap: 4px 12px;
		}
		.slab {
			grid-row: span 2;
			width: 120px;
			overflow: hidden;
		}
		.last,
		.stops {
			display: none;
		}
		[data-fault='true'] .stops {
			display: block;
			grid-column: 1 / -1;
		}
		.yards {
			grid-column: 2;
		}
		.acts {
			grid-column: 3;
			grid-row: 1 / span 2;
		}
		.more {
			grid-column: 1 / -1;
		}
	}
</style>
