<script lang="ts">
	/** The yard: all slabs to one scale, what each needs, what changed last. */
	import { goto } from '$app/navigation';
	import { boundsOf } from '../drawing/viewport';
	import { inBox } from '../shell/keys';
	import { outbox } from '../outbox/outbox.svelte';
	import OutboxStrip from '../outbox/OutboxStrip.svelte';
	import Who from '../shell/Who.svelte';
	import { session } from '../state/session.svelte';
	import ReadingBar from '../ui/ReadingBar.svelte';
	import { w } from '../words/words';
	import StartSlab from './StartSlab.svelte';
	import { YardState } from './yard.svelte';
	import YardRow from './YardRow.svelte';
	const yard = new YardState();
	let starting = $state(false);
	let files: HTMLInputElement | undefined = $state();
	$effect(() => void yard.load());
	const live = $derived((yard.jobs ?? []).filter((job) => !job.archived));
	const aside = $derived((yard.jobs ?? []).filter((job) => job.archived));
	const scale = $derived.by(() => {
		const boxes = (yard.jobs ?? []).flatMap((job) => (job.outline ? [boundsOf(job.outline)] : []));
		const wide = Math.max(6000, ...boxes.map((box) => box.x1 - box.x0));
		const high = Math.max(4000, ...boxes.map((box) => box.y1 - box.y0));
		return Math.min(148 / wide, 96 / high);
	});
	const m3 = $derived(live.reduce((sum, job) => sum + job.order_m3, 0));
	const metric = $derived(session.ways?.reading.new_job_units === 'mm');
	const total = $derived(metric ? `${m3.toFixed(1)} m³` : `${(m3 / 0.764554857984).toFixed(1)} yd`);
	const trucks = $derived(live.reduce((sum, job) => sum + job.trucks, 0));
	async function bring() {
		const file = files?.files?.[0];
		if (!file) return;
		const id = await yard.bringIn(file);
		if (files) files.value = '';
		if (id) await goto(`/job/${id}/lines`);
	}
	function keys(event: KeyboardEvent) {
		if (event.key.toLowerCase() === 'n' && session.letters && !inBox(event) && !event.ctrlKey && !event.metaKey) {
			event.preventDefault();
			starting = true;
		}
		if (event.key.toLowerCase() === 'd' && session.letters && !inBox(event) && !event.ctrlKey) session.toggleDim();
	}
</script>

<svelte:window onkeydown={keys} />
<div class="app">
	<header>
		<svg width="66" height="40" aria-hidden="true"
			><path d="M3 30h60v7H3z" fill="var(--color-ink2)" /><path
				d="M24 20v10M42 20v10"
				stroke="var(--color-ink)"
				stroke-width="5"
			/><rect
				x="12"
				y="5"
				width="42"
				height="16"
				rx="8"
				fill="var(--color-board)"
				stroke="var(--color-ink)"
				stroke-width="2.4"
			/></svg
		>
		<div class="brand">
			<h1>{w.product}</h1>
			<p class="label">{w.yard.title}{yard.jobs ? `, ${w.yard.yardWord(live.length)}, ${w.yard.scale}` : ''}</p>
		</div>
		<nav>
			<Who />
			<a class="act quiet" href="/ways">{w.ways.title}</a>
			<a class="act quiet" href="/rules">{w.rules.title}</a>
			<button type="button" class="act quiet" onclick={() => files?.click()}>{w.yard.bring}</button>
			<input
				bind:this={files}
				type="file"
				accept=".json,application/json"
				class="sr-only"
				tabindex="-1"
				aria-label={w.yard.bring}
				onchange={() => void bring()}
			/>
			<button type="button" class="act on" onclick={() => (starting = true)}>{w.yard.start}</button>
		</nav>
	</header>
	<OutboxStrip rows={outbox.rows} named />
	<div class="px-20"><ReadingBar reading={yard.reading} /></div>
	{#if session.waysUnread}<p class="notice" role="alert">{session.waysUnread}</p>{/if}
	{#if yard.words}<p class="notice" role="alert">{yard.words}</p>{/if}
	{#if yard.jobs === null && !yard.words}<p class="px-20 py-16 font-[640] text-ink2" role="status">
			{w.yard.loading}
		</p>{/if}
	{#if yard.deleted}
		<p class="notice" role="status">
			{w.yard.deleted(yard.deleted.name)}
			<button type="button" class="act quiet" onclick={() => void yard.undelete()}>{w.yard.undo}</button>
		</p>
	{/if}
	<main>
		{#if starting}<StartSlab {yard} close={() => (starting = false)} />{/if}
		<div class="heads" aria-hidden="true">
			<span></span><span>{w.yard.slabs}</span><span>{w.board.order}</span><span>{w.yard.last}</span><span>{w.yard.stops}</span>
		</div>
		<ul>
			{#each live as job (job.id)}<YardRow {yard} {job} {scale} />{/each}
		</ul>
		{#if yard.jobs && !yard.jobs.length && !starting}<p class="empty">{w.yard.empty}</p>{/if}
		{#if aside.length}
			<h2 class="aside">{w.yard.aside}</h2>
			<ul>
				{#each aside as job (job.id)}<YardRow {yard} {job} {scale} />{/each}
			</ul>
		{/if}
	</main>
	<footer aria-label="Tally">
		<div>
			<p>{w.yard.total}</p>
			<b>{live.some((job) => job.order) ? total : w.notSet}</b>
		</div>
		<div>
			<p>{w.yard.trucks}</p>
			<b>{trucks}</b>
		</div>
		<button type="button" class="dim" onclick={() => session.toggleDim()}>{session.dim ? w.board.day : w.board.dim}</button>
	</footer>
</div>

<style>
	.app {
		height: 100dvh;
		display: flex;
		flex-direction: column;
	}
	header {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 8px 16px;
		padding: 12px 20px;
		border-bottom: 3px solid var(--color-ink);
		min-height: 84px;
	}
	h1 {
		font-size: 27px;
		font-weight: 840;
		line-height: 1;
	}
	.brand {
		flex: 1;
		min-width: 190px;
	}
	nav {
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
		align-items: center;
	}
	main {
		flex: 1;
		overflow: auto;
		background: var(--color-sheet);
	}
	.heads {
		display: grid;
		grid-template-columns: 180px minmax(200px, 1.3fr) 150px minmax(170px, 1.1fr) minmax(150px, 1fr) 66px;
		gap: 0 18px;
		padding: 8px 20px 6px;
		font-weight: 700;
		border-bottom: 1.5px solid var(--color-ink);
		background: var(--color-bench);
	}
	.notice {
		background: var(--color-well);
		border-bottom: 3px solid var(--color-flag);
		padding: 8px 20px;
		font-weight: 640;
	}
	.empty,
	.aside {
		padding: 24px 20px 8px;
		font-size: 19px;
	}
	footer {
		display: flex;
		min-height: 80px;
		border-top: 3px solid var(--color-ink);
		background:
			repeating-linear-gradient(
				178.6deg,
				transparent 0 9px,
				color-mix(in srgb, var(--color-grain) 34%, transparent) 9px 10px,
				transparent 10px 23px
			),
			var(--color-board);
		color: var(--color-board-ink);
	}
	footer div {
		padding: 6px 28px 0 20px;
		border-right: 1.5px solid var(--color-board-ink);
	}
	footer p {
		font-size: 13.5px;
		font-weight: 620;
		color: var(--color-board-ink2);
	}
	footer b {
		font-size: 30px;
		font-weight: 780;
		font-stretch: 90%;
		line-height: 1.2;
	}
	.dim {
		margin: auto 12px auto auto;
		height: 44px;
		padding: 0 10px;
		border: 1.5px solid var(--color-board-ink);
		font-weight: 680;
	}
	@media (max-width: 1100px) {
		.heads {
			display: none;
		}
	}
</style>
