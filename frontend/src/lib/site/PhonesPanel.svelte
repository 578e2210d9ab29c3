<script lang="ts">
	/** The square, the number to read out, and who has joined. */
	import { api } from '../api/api';
	import { clockText } from '../ui/days';
	import Act from '../ui/Act.svelte';
	import Verdict from '../ui/Verdict.svelte';
	import { siteWords as words } from '../words/site';
	import DeviceLine from './DeviceLine.svelte';
	import LookLink from './LookLink.svelte';
	import { shownNumber, squareOf } from './number';
	import type { SiteData } from './site.svelte';
	let { data }: { data: SiteData } = $props();
	const site = $derived(data.state);
	const until = $derived(clockText(Date.now() + data.left_s * 1000));
	const inside = $derived((site?.devices ?? []).filter((row) => !row.thrown_at));
	const gone = $derived((site?.devices ?? []).filter((row) => row.thrown_at).slice(-4));
</script>

{#if site && !site.open}
	<Verdict text={words.notOpen} under={words.notOpenUnder} />
	<p class="mt-14">
		<Act kind="main" disabled={data.busy === 'open'} onclick={() => void data.act('open', () => api.siteAct('open'))}
			>{words.openIt}</Act
		>
	</p>
{:else if site}
	<div class="mt-10 grid grid-cols-[minmax(150px,250px)_1fr] gap-x-24 gap-y-8 max-phone:grid-cols-1">
		<img
			class="aspect-square w-full border-2 border-ink bg-[#fff] max-phone:max-w-220"
			src={squareOf(site.square)}
			alt={words.squareTitle}
			data-square
		/>
		<div class="min-w-0">
			{#if data.left_s > 0}
				<p class="text-key font-mid">{words.point}</p>
				<p class="my-4 text-[clamp(58px,7.4vw,112px)] leading-[1] font-black whitespace-nowrap font-stretch-[94%]" data-number>
					{shownNumber(site.number)}
				</p>
				<p class="text-read font-mid">{words.once(until, data.left_s)} {site.wrong ? words.wrong(site.wrong) : ''}</p>
			{:else}
				<p class="text-verdict leading-[1.06] font-black">{words.noNumber}</p>
				<p class={['text-read font-label', site.ended_by_tries && 'text-flag']}>
					{site.ended_by_tries ? words.tooMany : words.noNumberUnder}
				</p>
			{/if}
			<p class="mt-8 text-body">
				{words.noCamera}
				{#each site.addresses as address}<b
						class="mr-6 inline-block border-[1.5px] border-ink bg-well px-12 py-4 text-key font-strong select-all"
						>{address.typed}</b
					>{/each}
			</p>
			<div class="mt-10 grid grid-cols-3 gap-8 max-phone:grid-cols-1 print:hidden">
				<Act kind="main" onclick={() => void data.act('number', () => api.siteAct('number'))}>{words.newNumber}</Act>
				<Act onclick={() => window.print()}>{words.print}</Act>
				<Act disabled={data.left_s <= 0} onclick={() => void data.act('shut', () => api.siteAct('shut'))}>{words.shut}</Act>
			</div>
		</div>
	</div>
	<p class="mt-6 border-b-2 border-ink pb-8 text-body text-ink2">{words.squareOnly}</p>
{/if}
{#if data.trouble}<p class="wrong" role="alert">{data.trouble.words}</p>{/if}
{#if site}
	<h2 class="sr-only">{words.joined}</h2>
	<div
		class="grid grid-cols-[minmax(130px,1.2fr)_120px_minmax(120px,1fr)_58px_minmax(90px,.8fr)_112px] gap-x-12 py-6 text-body max-mid:hidden"
		aria-hidden="true"
	>
		<b class="font-strong">{words.joined}</b>{#each Object.values(words.columns) as column}<span class="text-ink2">{column}</span
			>{/each}
	</div>
	<ul>
		{#each inside as row (row.id)}<DeviceLine {row} {data} />{/each}
		{#each gone as row (row.id)}<DeviceLine {row} {data} />{/each}
	</ul>
	{#if !inside.length}<p class="py-10 text-read text-ink2">{words.nobody}</p>{/if}
	{#if site.open}<LookLink {data} />{/if}
{/if}
