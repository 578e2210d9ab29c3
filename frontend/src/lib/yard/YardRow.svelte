<script lang="ts">
	/** One slab in the yard. */
	import type { YardJob } from '../api/schema';
	import Frac from '../ui/Frac.svelte';
	import { whenText } from '../ui/days';
	import { w } from '../words/words';
	import { yardWords } from '../words/yard';
	import MiniSlab from './MiniSlab.svelte';
	import YardString from './YardString.svelte';
	import type { YardState } from './yard.svelte';
	import Act from '../ui/Act.svelte';
	let { yard, job, scale, from, clash }: { yard: YardState; job: YardJob; scale: number; from: string; clash: boolean } =
		$props();
	let wide = $state(400);
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

<li
	class={[
		'row group grid gap-x-18 gap-y-0 border-b-[1.5px] border-line px-20 py-4',
		'grid-cols-[150px_minmax(190px,230px)_minmax(320px,1fr)_minmax(190px,250px)_66px] items-center',
		'min-h-118 max-fold:gap-x-12 max-fold:gap-y-4 max-fold:px-14 max-fold:py-10',
		'max-fold:grid-cols-[120px_1fr_auto]'
	]}
	data-job={job.name}
	data-fault={job.fault}
>
	<a
		class="slab max-fold:row-[span_2] max-fold:w-120 max-fold:overflow-hidden"
		href={job.fault ? undefined : `/job/${job.id}/lines`}
		tabindex="-1"
		aria-hidden="true"><MiniSlab {job} {scale} width={140} height={104} /></a
	>
	<div class="what">
		{#if renaming}
			<!-- svelte-ignore a11y_autofocus (the person just pressed Rename) -->
			<input
				class="well"
				bind:value={name}
				autofocus
				aria-label={yardWords.rename}
				onblur={rename}
				onkeydown={(e) => {
					if (e.key === 'Enter') void rename();
					if (e.key === 'Escape') renaming = false;
				}}
			/>
		{:else if job.fault}
			<p class="name inline-block px-0 py-6 text-act leading-[1.1] font-heavy wrap-anywhere font-stretch-[90%]">{job.name}</p>
		{:else}
			<a
				class="name inline-block px-0 py-6 text-act leading-[1.1] font-heavy wrap-anywhere font-stretch-[90%]"
				href="/job/{job.id}/lines">{job.name}</a
			>
		{/if}
		<p class="label">
			{job.area ?? (job.fault || job.counting ? '' : yardWords.nothing)}{job.area || !(job.fault || job.counting)
				? ' · '
				: ''}{job.units === 'mm' ? yardWords.mm : yardWords.ftin}
		</p>
		<p class="yards mt-2">
			{#if job.order}<b class="text-call font-heavy font-stretch-[90%]"><Frac text={job.order} /></b>
				{job.order_unit}<span class="label block">{job.trucks} {job.trucks === 1 ? 'truck' : 'trucks'}</span
				>{#each job.also ?? [] as pour (pour)}<span class="label block">+ <Frac text={pour} /></span>{/each}{:else}<span
					class="label block">{job.counting ? yardWords.counting : w.notSet}</span
				>{/if}
		</p>
	</div>
	<div class="min-w-0 max-fold:hidden" bind:clientWidth={wide}>
		{#if !job.fault && !job.counting}<YardString {job} {from} width={wide} {clash} />{/if}
	</div>
	<div class={['wrap-anywhere max-fold:col-[2]', 'max-fold:group-data-[fault=true]:col-span-full']}>
		{#if job.pour_at}<p class={['hidden font-heavy max-fold:block', clash && 'text-flag']}>{whenText(job.pour_at)}</p>{/if}
		{#if job.fault || !job.holds}<p class={['font-mid', job.fault ? 'text-flag' : job.pour_at ? 'text-chalk' : '']}>
				{job.pour_at && !job.fault && !job.counting ? yardWords.ready : job.stops}
			</p>
		{:else}
			<p class="font-heavy text-flag">{yardWords.holds(job.holds)}</p>
			<p class="text-note"><Frac text={job.next_act} />: {job.next_who}</p>
		{/if}
		<p class="label max-phone:hidden">{job.summary}, {job.author ? `${job.author}, ` : ''}{when}</p>
	</div>
	<div class="max-fold:col-[3] max-fold:row-[1_/_span_2]">
		<Act kind="quiet" aria-expanded={open} onclick={() => (open = !open)}>{yardWords.more}</Act>
	</div>
	{#if open}
		<div class="col-[2_/_-1] flex flex-wrap gap-6 pb-8 max-fold:col-span-full">
			{#if !job.fault}
				<Act
					kind="quiet"
					onclick={() => {
						name = job.name;
						renaming = true;
						open = false;
					}}>{yardWords.rename}</Act
				>
				<Act kind="quiet" onclick={() => void yard.copy(job)}>{yardWords.copy}</Act>
			{/if}
			<Act kind="quiet" href="/api/jobs/{job.id}/file" download>{yardWords.export}</Act>
			<Act kind="quiet" onclick={() => void yard.aside(job)}>{job.archived ? yardWords.restore : yardWords.archive}</Act>
			<Act kind="quiet" onclick={() => void yard.delete(job)}>{yardWords.delete}</Act>
		</div>
	{/if}
</li>
