<script lang="ts">
	/** How the crew's trades follow one another: boards before or after the stone, days of the week, notices, what a day brings, weather. */
	import type { Ways } from '../api/schema';
	import Field from '../ui/Field.svelte';
	import Switch from '../ui/Switch.svelte';
	import { scheduleWays as words } from '../words/schedule_ways';
	import { clean, problemOf } from './both';
	import SchoolRows from './SchoolRows.svelte';
	import WaysSection from './WaysSection.svelte';
	import type { WaysStore } from './ways.svelte';
	let { store, ways }: { store: WaysStore; ways: Ways } = $props();
	type Key = keyof typeof words.keys;
	const keys = Object.entries(words.keys) as [Key, string][];
	const shown = (key: Key) => `${+(ways.schedule[key] as number).toFixed(2)}`;
	function read(typed: string): unknown {
		const text = clean(typed);
		const number = Number(text.replace(',', '.'));
		return text === '' || !Number.isFinite(number) ? text : number;
	}
	/** One day of the week on or off; the last one stays. */
	function turn(key: 'workdays' | 'visit_weekdays', day: number) {
		const on = ways.schedule[key];
		const now = on.includes(day) ? on.filter((one) => one !== day) : [...on, day].sort();
		if (now.length) void store.keep((x) => (x.schedule[key] = now), `schedule-${key}`);
	}
</script>

<WaysSection>
	<h2>{words.title}</h2>
	<p class="label">{words.how}</p>
	<h3>{words.forms}</h3>
	<SchoolRows
		school="forms-when"
		labels={words.orders}
		value={ways.schedule.forms_when}
		pick={(now) => void store.keep((x) => ((x.schedule.forms_when as string) = now), 'forms-when')}
	/>
	{#each ['workdays', 'visit_weekdays'] as const as key (key)}
		<h3>{words[key]}</h3>
		<div class="flex flex-wrap gap-6" role="group" aria-label={words[key]}>
			{#each words.days as name, day (name)}<Switch on={ways.schedule[key].includes(day)} set={() => turn(key, day)}
					>{name}</Switch
				>{/each}
		</div>
	{/each}
	<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8">
		{#each keys as [key, label] (key)}<Field
				{label}
				value={shown(key)}
				mode="decimal"
				problem={problemOf(store, `schedule-${key}`)}
				keep={(typed) => store.keep((now) => ((now.schedule as Record<string, unknown>)[key] = read(typed)), `schedule-${key}`)}
			/>{/each}
	</div>
</WaysSection>
