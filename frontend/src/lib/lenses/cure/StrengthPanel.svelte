<script lang="ts">
	/** When it may be built on: ribbons, the working of a room, alarms, probes, cylinders. */
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { cureWords } from '../../words/cure';
	import AlarmRows from './AlarmRows.svelte';
	import type { CureData } from './cure.svelte';
	import Cylinders from './Cylinders.svelte';
	import Probes from './Probes.svelte';
	import StrengthTape from './StrengthTape.svelte';
	let { data }: { data: CureData } = $props();
	const words = cureWords.strength;
	const told = $derived(data.told);
	const zone = $derived(data.held);
</script>

{#if told}
	<div class="mt-6 flex flex-wrap items-baseline justify-between gap-x-16" data-verdict-is={zone?.froze_text ? 'bad' : 'plain'}>
		<p class="text-[44px] leading-none font-black font-stretch-[90%] max-phone:text-title">
			{#if told.was_text}<s class="text-ink2">{told.was_text}</s>{/if}
			{told.verdict}
		</p>
		<p class="text-read font-heavy">{told.why_text || words.under(told.age_text)}</p>
	</div>
	<StrengthTape {data} />
	<AlarmRows {data} />
	{#if zone}
		<section class="mt-12 border-t-2 border-ink pt-8" aria-label={words.why(zone.name)} data-room-working={zone.name}>
			<h2 class="text-key font-heavy">{words.why(zone.name)}</h2>
			{#if zone.froze_text}<p class="text-read font-heavy text-flag">{zone.froze_text}</p>{/if}
			<p class="text-read"><b>{zone.strength_text}</b> {zone.temp_text} {zone.by}. {zone.cover_text}.</p>
			<ul>
				{#each zone.events as one (one.key)}<li
						class="grid grid-cols-[84px_minmax(0,1fr)] gap-x-10 border-b border-hair py-6"
						data-event={one.key}
					>
						<b class={['text-key', one.key === 'build' && 'text-chalk']}>{one.name}</b>
						<span class="text-read"
							><span class={one.passed ? 'font-heavy' : ''}>{one.text}</span>
							<span class="block text-note text-ink2"><Frac text="{one.mpa_text}. {one.rule}" /></span></span
						>
					</li>{/each}
			</ul>
			{#each zone.why as one (one)}<p class="mt-4 text-note">{one}</p>{/each}
			{#if zone.other_text}<p class="mt-4 text-note">{words.other(zone.other_text)}</p>{/if}
		</section>
		<Probes {data} {zone} />
	{/if}
	<Cylinders {data} />
{/if}
<FindingList findings={data.findings('strength')} />
