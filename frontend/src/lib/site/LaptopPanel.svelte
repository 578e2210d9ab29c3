<script lang="ts">
	/** This laptop: its addresses, the mark of its certificates, closing. */
	import { api } from '../api/api';
	import Act from '../ui/Act.svelte';
	import Verdict from '../ui/Verdict.svelte';
	import { siteWords as words } from '../words/site';
	import type { SiteData } from './site.svelte';
	let { data }: { data: SiteData } = $props();
	const site = $derived(data.state);
</script>

{#if site}
	<Verdict
		text={site.open ? (site.addresses[0]?.typed ?? '') : words.notOpen}
		under={site.open ? words.addresses : words.notOpenUnder}
	/>
	{#if site.moved}
		<p class="mt-8 flex flex-wrap items-center gap-12 border-l-6 border-flag pl-10 font-mid" role="alert">
			{words.moved}
			<Act onclick={() => void data.act('open', () => api.siteAct('open'))}>{words.again}</Act>
		</p>
	{/if}
	{#if data.trouble}<p class="wrong" role="alert">{data.trouble.words}</p>{/if}
	{#if site.open}
		<table class="mt-10 w-full text-left text-read">
			<thead class="text-note text-ink2"><tr><th>{words.lines['plain']}</th><th>{words.lines['locked']}</th></tr></thead>
			<tbody>
				{#each site.addresses as address (address.typed)}
					<tr class="border-t border-hair"
						><td class="py-8 font-strong select-all">{address.plain_url}</td><td class="py-8 font-strong select-all"
							>{address.locked_url}</td
						></tr
					>
				{/each}
			</tbody>
		</table>
		{#if site.mark}
			<h2 class="panel-head">{words.mark}</h2>
			<p class="text-tally font-black" data-mark>{site.mark}</p>
			<p class="text-body text-ink2">{words.markUnder}</p>
		{/if}
		<p class="mt-14 flex flex-wrap items-center gap-12">
			<Act disabled={data.busy === 'close'} onclick={() => void data.act('close', () => api.siteAct('close'))}
				>{words.closeIt}</Act
			>
			<span class="text-body text-ink2">{words.closeUnder}</span>
		</p>
	{:else}
		<p class="mt-14">
			<Act kind="main" disabled={data.busy === 'open'} onclick={() => void data.act('open', () => api.siteAct('open'))}
				>{words.openIt}</Act
			>
		</p>
	{/if}
	<h2 class="panel-head">{words.plainTitle}</h2>
	<p class="text-read">{words.plain}</p>
	<p class="mt-8 text-read">{words.firewall}</p>
{/if}
