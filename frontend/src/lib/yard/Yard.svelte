<script lang="ts">
	/** The yard: all slabs to one scale, what each needs, what changed last. */
	import { goto } from '$app/navigation';
	import { boundsOf } from '../drawing/viewport';
	import FinderSoon from '../finder/FinderSoon.svelte';
	import { finder } from '../finder/finder.svelte';
	import { help } from '../shell/help.svelte';
	import { finderPanel, keysSheet } from '../shell/parts';
	import { dayText, today, whenText } from '../ui/days';
	import { shownVolume } from '../ui/typed';
	import Later from '../ui/Later.svelte';
	import { inBox } from '../shell/keys';
	import { outbox } from '../outbox/outbox.svelte';
	import OutboxStrip from '../outbox/OutboxStrip.svelte';
	import Who from '../shell/Who.svelte';
	import { session } from '../state/session.svelte';
	import ReadingBar from '../ui/ReadingBar.svelte';
	import { rules as ruleWords } from '../words/rules';
	import { w } from '../words/words';
	import { practiceWords } from '../words/practice';
	import { yardWords } from '../words/yard';
	import MorningLine from '../practice/MorningLine.svelte';
	import { api } from '../api/api';
	import { events } from '../site/events.svelte';
	import { self } from '../site/me.svelte';
	import { who } from '../site/who.svelte';
	import { Resource } from '../state/resource.svelte';
	import { siteWords } from '../words/site';
	import StartSlab from './StartSlab.svelte';
	import { YardState } from './yard.svelte';
	import { byPour, firstDay, together, weekOf } from './dates';
	import YardDays from './YardDays.svelte';
	import YardRow from './YardRow.svelte';
	import Act from '../ui/Act.svelte';
	import FileIn from '../ui/FileIn.svelte';
	const yard = new YardState();
	let starting = $state(false);
	$effect(() => {
		void yard.load();
		let rest: ReturnType<typeof setTimeout> | undefined;
		const news = () => {
			clearTimeout(rest);
			rest = setTimeout(() => void yard.load(), 250);
		};
		const heard = ['job', 'yard', 'hello', 'back'].map((kind) => events.on(kind, news));
		who.say({ job: '', lens: '', tab: '', part: '', spot_mm: null, waits: outbox.rows.length });
		return () => heard.forEach((stop) => stop());
	});
	const copies = new Resource(() => api.copies());
	$effect(() => {
		if (self.me?.line === 'own') void copies.load();
	});
	const copied = $derived(copies.value?.copies.reduce((best, row) => (row.at > best ? row.at : best), '') ?? '');
	const inside = $derived(who.rows.filter((row) => row.reach).length);
	const live = $derived(
		byPour(
			(yard.jobs ?? []).filter((job) => !job.archived),
			today()
		)
	);
	const from = $derived(firstDay(live, today()));
	const near = $derived(together(live));
	const week = $derived(weekOf(live, from));
	const next = $derived(live.find((job) => job.pour_at && job.pour_at.slice(0, 10) >= today()) ?? null);
	let wide = $state(400);
	const aside = $derived((yard.jobs ?? []).filter((job) => job.archived));
	const scale = $derived.by(() => {
		const boxes = (yard.jobs ?? []).flatMap((job) => (job.outline ? [boundsOf(job.outline)] : []));
		const wide = Math.max(6000, ...boxes.map((box) => box.x1 - box.x0));
		const high = Math.max(4000, ...boxes.map((box) => box.y1 - box.y0));
		return Math.min(126 / wide, 92 / high);
	});
	const m3 = $derived(live.reduce((sum, job) => sum + job.order_m3, 0));
	const metric = $derived(session.ways?.reading.new_job_units === 'mm');
	const total = $derived(shownVolume(m3, metric ? 'mm' : 'ft-in').replace('yd³', 'yd'));
	const trucks = $derived(live.reduce((sum, job) => sum + job.trucks, 0));
	const volume = (rows: typeof live) =>
		shownVolume(
			rows.reduce((sum, job) => sum + job.order_m3, 0),
			metric ? 'mm' : 'ft-in'
		).replace('yd³', 'yd');
	const cells = $derived([
		{ name: yardWords.trucks, text: `${trucks}` },
		{ name: yardWords.week(dayText(from)), text: week.length ? volume(week) : yardWords.noPour },
		...(next?.pour_at ? [{ name: yardWords.next(next.name), text: whenText(next.pour_at) }] : []),
		...(inside > 1 ? [{ name: siteWords.yardOnJob, text: siteWords.with(inside) }] : []),
		...(copied
			? [
					{
						name: copies.value?.trouble ? siteWords.yardSecondWrong : siteWords.yardCopy,
						text: siteWords.ago((Date.now() - Date.parse(copied)) / 60_000)
					}
				]
			: [])
	]);
	async function bring(file: File) {
		const id = await yard.bringIn(file);
		if (id) await goto(`/job/${id}/lines`);
	}
	function keys(event: KeyboardEvent) {
		if (event.key.toLowerCase() === 'n' && session.letters && !inBox(event) && !event.ctrlKey && !event.metaKey) {
			event.preventDefault();
			starting = true;
		}
		if (event.key === '/' && session.letters && !inBox(event)) {
			event.preventDefault();
			finder.show(null);
		}
		if (event.key === '?' && !inBox(event)) help.show();
		if (event.key.toLowerCase() === 'd' && session.letters && !inBox(event) && !event.ctrlKey) session.toggleDim();
	}
</script>

<svelte:window onkeydown={keys} />
{#if help.asked}<Later load={keysSheet} />{/if}
<div class="flex h-[100dvh] flex-col">
	<header class="flex min-h-84 flex-wrap items-center gap-x-16 gap-y-8 border-b-3 border-ink px-20 py-12">
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
		<div class="min-w-190 flex-1">
			<h1 class="text-title leading-[1] font-black">{w.product}</h1>
			<p class="label">{yardWords.title}{yard.jobs ? `, ${yardWords.yardWord(live.length)}, ${yardWords.scale}` : ''}</p>
		</div>
		<nav class="flex flex-wrap items-center gap-8">
			<Who />
			<Act kind="quiet" onclick={() => finder.show(null)}>{w.finder.open}</Act>
			<Act kind="quiet" href="/ways">{w.ways}</Act>
			{#if self.owns && !self.me?.device}<Act kind="quiet" href="/site">{siteWords.title}</Act>{/if}
			<Act kind="quiet" href="/rules">{ruleWords.title}</Act>
			<Act kind="quiet" href="/practice">{practiceWords.open}</Act>
			<FileIn kind="quiet" label={yardWords.bring} accept=".json,application/json" take={bring} />
			<Act kind="quiet" aria-label={w.help.title} onclick={help.show}>?</Act>
			<Act class="on" onclick={() => (starting = true)}>{yardWords.start}</Act>
		</nav>
	</header>
	<OutboxStrip rows={outbox.rows} named />
	<MorningLine />
	<div class="px-20"><ReadingBar reading={yard.reading} /></div>
	{#if session.waysUnread}<p class="border-b-3 border-flag bg-well px-20 py-8 font-mid" role="alert">{session.waysUnread}</p>{/if}
	{#if yard.words}<p class="border-b-3 border-flag bg-well px-20 py-8 font-mid" role="alert">{yard.words}</p>{/if}
	{#if yard.jobs === null && !yard.words}<p class="px-20 py-16 font-[640] text-ink2" role="status">
			{yardWords.loading}
		</p>{/if}
	{#if yard.deleted}
		<p class="border-b-3 border-flag bg-well px-20 py-8 font-mid" role="status">
			{yardWords.deleted(yard.deleted.name)}
			<Act kind="quiet" onclick={() => void yard.undelete()}>{yardWords.undo}</Act>
		</p>
	{/if}
	{#if finder.open}<div class="flex max-h-[60vh] flex-col border-b-3 border-ink bg-bench px-20">
			<Later load={finderPanel}>{#snippet soon()}<FinderSoon />{/snippet}</Later>
		</div>{/if}
	<main class="flex-1 overflow-auto bg-sheet">
		{#if starting}<StartSlab {yard} close={() => (starting = false)} />{/if}
		<div
			class={[
				'grid gap-x-18 gap-y-0 border-b-[1.5px] border-ink px-20 pt-8 pb-6',
				'grid-cols-[150px_minmax(190px,230px)_minmax(320px,1fr)_minmax(190px,250px)_66px] font-[700]',
				'bg-bench max-fold:hidden'
			]}
			aria-hidden="true"
		>
			<span></span><span class="self-end">{yardWords.slabs}</span>
			<div bind:clientWidth={wide}><YardDays {from} width={wide} /></div>
			<span class="self-end">{yardWords.stops}</span>
		</div>
		<ul>
			{#each live as job (job.id)}<YardRow {yard} {job} {scale} {from} clash={near.has(job.id)} />{/each}
		</ul>
		{#if yard.jobs && !yard.jobs.length && !starting}<p class="px-20 pt-24 pb-8 text-act">{yardWords.empty}</p>{/if}
		{#if aside.length}
			<h2 class="px-20 pt-24 pb-8 text-act">{yardWords.aside}</h2>
			<ul>
				{#each aside as job (job.id)}<YardRow {yard} {job} {scale} {from} clash={false} />{/each}
			</ul>
		{/if}
	</main>
	<footer class="planed flex min-h-80 border-t-3 border-ink text-board-ink" aria-label={w.board.tally}>
		<div class="border-r-[1.5px] border-board-ink pt-6 pr-28 pb-0 pl-20">
			<p class="text-note font-[620] text-board-ink2">{yardWords.total}</p>
			<b class="text-tally leading-[1.2] font-heavy font-stretch-[90%]">{live.some((job) => job.order) ? total : w.notSet}</b>
		</div>
		{#each cells as cell (cell.name)}<div
				class="border-r-[1.5px] border-board-ink pt-6 pr-28 pb-0 pl-20 max-phone:hidden"
				data-yard-cell={cell.name}
			>
				<p class="text-note font-[620] text-board-ink2">{cell.name}</p>
				<b class="text-tally leading-[1.2] font-heavy font-stretch-[90%]">{cell.text}</b>
			</div>{/each}
		<button
			type="button"
			class="my-auto mr-12 ml-auto h-44 border-[1.5px] border-board-ink px-10 py-0 font-[680]"
			onclick={() => session.toggleDim()}>{session.dim ? w.board.day : w.board.dim}</button
		>
	</footer>
</div>
