<script lang="ts">
	/** On site: who is where and what came in; the square and the number; keeping it safe. */
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import OutboxStrip from '../outbox/OutboxStrip.svelte';
	import { outbox } from '../outbox/outbox.svelte';
	import Choose from '../ui/Choose.svelte';
	import Frac from '../ui/Frac.svelte';
	import Turns from '../ui/Turns.svelte';
	import { clockText } from '../ui/days';
	import { outboxWords } from '../words/outbox';
	import { siteWords as words } from '../words/site';
	import { w } from '../words/words';
	import { events } from './events.svelte';
	import LaptopPanel from './LaptopPanel.svelte';
	import PhonesPanel from './PhonesPanel.svelte';
	import SafePanel from './SafePanel.svelte';
	import { SiteData } from './site.svelte';
	import SitePlan from './SitePlan.svelte';
	import { who } from './who.svelte';
	const TABS = ['phones', 'laptop', 'safe'] as const;
	const data = new SiteData();
	const tab = $derived(TABS.find((one) => one === page.url.searchParams.get('tab')) ?? 'phones');
	const wanted = $derived(page.url.searchParams.get('job') ?? who.rows.find((row) => !row.own && row.job)?.job ?? '');
	const job = $derived(data.jobs.find((row) => row.id === wanted) ?? data.jobs[0] ?? null);
	const rows = TABS.map((value) => ({ value, label: words.tabs[value] }));
	$effect(() => {
		void data.load();
		void data.yard();
		void who.load();
		who.say({ job: '', lens: '', tab: '', part: '', spot_mm: null, waits: outbox.rows.length });
		const clock = setInterval(() => data.tick(), 1000);
		const heard = ['site', 'here', 'job'].map((kind) => events.on(kind, () => void data.load()));
		return () => {
			clearInterval(clock);
			for (const stop of heard) stop();
		};
	});
	function to(key: string, value: string) {
		const asked = Object.entries({ tab, job: job?.id ?? '', [key]: value }).filter(([, one]) => one);
		void goto(`?${asked.map(([name, one]) => `${name}=${encodeURIComponent(one)}`).join('&')}`, { reset: false });
	}
</script>

<div class="flex h-[100dvh] flex-col max-fold:h-auto max-fold:min-h-[100dvh] print:h-auto">
	<header class="flex min-h-64 items-center gap-16 border-b-3 border-ink bg-ground px-20 py-8 print:hidden">
		<a href="/" class="relative text-body font-[600] text-ink2 after:absolute after:-inset-12">‹ {w.yardTitle}</a>
		<p class="text-title leading-[1] font-black">{words.title}</p>
	</header>
	<OutboxStrip rows={outbox.rows} named />
	<div class="grid min-h-0 flex-1 grid-cols-[minmax(320px,35%)_1fr] max-fold:grid-cols-1">
		<section
			aria-label={words.where}
			class="overflow-auto bg-sheet px-20 py-14 max-fold:order-2 max-fold:border-t-3 max-fold:border-ink print:hidden"
		>
			<div class="flex items-end justify-between gap-10">
				<h2>{words.where}</h2>
				{#if data.jobs.length > 1}<Choose
						name={words.pickJob}
						rows={data.jobs.map((row) => ({ value: row.id, label: row.name }))}
						value={job?.id ?? ''}
						pick={(id) => to('job', id)}
					/>{/if}
			</div>
			<p class="text-body text-ink2">{words.whereUnder}</p>
			<SitePlan {job} />
			<h2 class="mt-14 border-t-2 border-ink pt-10">{words.came}</h2>
			<ol>
				{#each data.state?.came ?? [] as row}
					<li class="relative grid grid-cols-[26px_46px_minmax(60px,auto)_1fr] items-baseline gap-x-8 py-5 text-body">
						<span class="absolute top-0 bottom-0 left-9 w-3 bg-chalk" aria-hidden="true"></span>
						<span class="relative size-15 translate-x-3 translate-y-2 rounded-full bg-chalk" aria-hidden="true"></span>
						<span class="text-ink2">{clockText(row.at)}</span><b class="font-strong wrap-anywhere" dir="auto"
							>{row.who || w.who.none}</b
						><span class="min-w-0 wrap-anywhere"
							><Frac text={[row.kind && (outboxWords.record[row.kind] ?? row.kind), row.what].filter(Boolean).join(', ')} /></span
						>
					</li>
				{:else}<li class="py-5 text-body text-ink2">{words.cameNone}</li>{/each}
			</ol>
		</section>
		<main class="overflow-auto border-l-3 border-ink bg-bench px-20 pt-14 pb-20 max-fold:border-l-0 max-phone:px-14">
			<h1>{words.question}</h1>
			{#if data.problem}<p class="wrong" role="alert">{data.problem}</p>{/if}
			<Turns {rows} here={tab} turn={(key) => to('tab', key)} name={words.tabsName} tight={false}>
				{#if tab === 'phones'}<PhonesPanel {data} />{:else if tab === 'laptop'}<LaptopPanel {data} />{:else}<SafePanel />{/if}
			</Turns>
		</main>
	</div>
</div>
