<script lang="ts">
	/** Every hour of the weather at the slab, with where it is from. */
	import type { DaySheet } from '../../api/schema';
	import { gateWords } from '../../words/gate';
	import { clock } from './tape';
	let { sheet }: { sheet: DaySheet } = $props();
	const words = gateWords.weather;
	const rows = $derived(sheet.hours.filter((one) => one.hour_h >= 4 && one.hour_h <= 24));
</script>

<h3 class="mt-10">{words.source}</h3>
<ul>
	{#each sheet.sources as one, i (i)}<li class={['text-note', one.old && 'font-strong text-flag']} data-source={one.name}>
			{clock(one.from_h, sheet.jumps)} – {clock(one.until_h, sheet.jumps)}: {one.text}
		</li>{/each}
</ul>
<ol class="mt-4 grid grid-cols-[repeat(auto-fill,minmax(88px,1fr))] gap-x-8">
	{#each rows as one (one.hour_h)}
		<li class={['border-b border-hair py-2 text-note', one.usual && 'italic']} data-hour={clock(one.hour_h, sheet.jumps)}>
			<b>{clock(one.hour_h, sheet.jumps)}</b>
			{one.air_text}<br /><span class="label">{one.humid_text}, {one.wind_text}{one.rain ? `, ${words.rain}` : ''}</span>
		</li>
	{/each}
</ol>
