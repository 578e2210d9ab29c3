<script lang="ts">
	/** What sets when, zone by zone: float, second pass, set, saw; a footprint corrects it. */
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { pourWords } from '../../words/pour';
	import type { PourData } from './pour.svelte';
	import ActWho from './ActWho.svelte';
	import CutList from './CutList.svelte';
	import ZoneRibbons from './ZoneRibbons.svelte';
	let { data }: { data: PourData } = $props();
	const words = pourWords.finish;
	const now = $derived(data.told?.now_min ?? 0);
	const rows = $derived([...(data.told?.zones ?? [])].sort((a, b) => (a.float_min ?? 1e9) - (b.float_min ?? 1e9)));
	const act = $derived(data.acts.find((one) => ['float', 'second', 'saw', 'cover'].includes(one.kind)) ?? null);
	const first = $derived(rows.find((row) => row.float_min !== null && row.float_min > now) ?? null);
	let held = $state('');
	const zone = $derived(
		rows.find((row) => row.zone === held) ?? rows.find((row) => row.float_min !== null && !row.printed) ?? rows[0] ?? null
	);
	const print = (seen: string) => zone && data.say('footprint', { seen, zone: zone.zone });
</script>

<Verdict
	text={act ? `${act.title}, ${act.at_text}` : first ? words.verdict(first.name, first.float_text) : words.none}
	under={words.under}
	is={act && act.at_min <= now ? 'bad' : 'plain'}
/>
<ZoneRibbons {data} {rows} />
<ul>
	{#each rows as row (row.zone)}
		<li class="grid grid-cols-[minmax(0,1fr)_auto] gap-x-10 border-b border-hair py-8" data-zone={row.name}>
			<p class="flex flex-wrap items-baseline gap-x-14 self-start">
				<b class="min-w-120 text-ask font-heavy">{row.name}</b>
				{#if row.float_text}<span>{words.float} <b>{row.float_text}</b></span>{/if}
				{#if row.second_text}<span>{words.second} <b>{row.second_text}</b></span>{/if}
				{#if row.final_text}<span>{words.set} <b>{row.final_text}</b></span>{/if}
				{#if row.saw_text}<span
						>{words.saw} <b>{row.saw_text}</b>{row.saw_until_text ? ` ${words.until(row.saw_until_text)}` : ''}</span
					>{/if}
				{#if row.sun_text}<span class={['text-note', row.sunny && 'font-heavy']}>{row.sun_text}</span>{/if}
				{#if row.printed}<span class="label">{words.printed}</span>{/if}
				{#if !row.full}<span class="label">{words.notYet}</span>{/if}
			</p>
			<span
				>{#if row.float_text}<ActWho {data} act="float/{row.zone}" to={row.to} name={words.whoFloats(row.name)} />{/if}</span
			>
			{#if row.dries_text}<p class="col-span-2 text-read font-heavy text-flag">{words.dries(row.dries_text, row.sunny)}</p>{/if}
			{#if row.full && row.saw_left_min !== null}<p class="col-span-2 text-note">{words.left(row.saw_left_min)}</p>{/if}
		</li>
	{/each}
</ul>
{#if zone}
	<h2 class="panel-head">{words.press}</h2>
	<div class="flex flex-wrap gap-8">
		{#each rows as row (row.zone)}<Act kind="quiet" on={row.zone === zone.zone} onclick={() => (held = row.zone)}
				><Frac text={row.name} /></Act
			>{/each}
	</div>
	<div class="mt-8 grid grid-cols-3 gap-8 max-phone:grid-cols-1">
		{#each ['print', 'soft', 'none'] as const as seen (seen)}<Act
				class="min-h-60"
				kind={seen === 'print' ? 'main' : 'plain'}
				disabled={!zone.full}
				aria-label="{words.prints[seen]}, {zone.name}"
				onclick={() => void print(seen)}>{words.prints[seen]}</Act
			>{/each}
	</div>
{/if}
<CutList {data} />
