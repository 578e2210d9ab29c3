<script lang="ts">
	/** How the crew reads a day: the formula of drying, the saw, what helps how much, hours of plant and crew, strengths. */
	import type { Ways } from '../api/schema';
	import Field from '../ui/Field.svelte';
	import { dayWays as words } from '../words/day_ways';
	import { clean, problemOf } from './both';
	import SchoolRows from './SchoolRows.svelte';
	import WaysSection from './WaysSection.svelte';
	import type { WaysStore } from './ways.svelte';
	let { store, ways }: { store: WaysStore; ways: Ways } = $props();
	type Key = keyof typeof words.keys;
	const keys = Object.entries(words.keys) as [Key, string][];
	const shown = (key: Key) => `${+((ways.day[key] as number) * (key.endsWith('_share') ? 100 : 1)).toFixed(2)}`;
	function read(key: Key, typed: string): unknown {
		const text = clean(typed);
		const number = Number(text.replace(',', '.'));
		if (text === '' || !Number.isFinite(number)) return text;
		return key.endsWith('_share') ? number / 100 : number;
	}
</script>

<WaysSection>
	<h2>{words.title}</h2>
	<p class="label">{words.how}</p>
	<h3>{words.dries}</h3>
	<SchoolRows
		school="dries_by"
		labels={words.formulas}
		value={ways.day.dries_by}
		pick={(now) => void store.keep((x) => ((x.day.dries_by as string) = now), 'dries')}
	/>
	<h3>{words.saw}</h3>
	<SchoolRows
		school="saw"
		labels={words.saws}
		value={ways.day.saw}
		pick={(now) => void store.keep((x) => ((x.day.saw as string) = now), 'saw')}
	/>
	<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8">
		{#each keys as [key, label] (key)}<Field
				{label}
				value={shown(key)}
				mode="decimal"
				problem={problemOf(store, `day-${key}`)}
				keep={(typed) => store.keep((now) => ((now.day as Record<string, unknown>)[key] = read(key, typed)), `day-${key}`)}
			/>{/each}
	</div>
</WaysSection>
