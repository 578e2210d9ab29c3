<script lang="ts">
	/** How the crew cures: what lies on a slab, how often it is wetted, when wheels may stand on it. */
	import type { Ways } from '../api/schema';
	import Field from '../ui/Field.svelte';
	import { cureWays as words } from '../words/cure_ways';
	import { clean, problemOf } from './both';
	import SchoolRows from './SchoolRows.svelte';
	import WaysSection from './WaysSection.svelte';
	import type { WaysStore } from './ways.svelte';
	let { store, ways }: { store: WaysStore; ways: Ways } = $props();
	type Key = keyof typeof words.keys;
	const keys = Object.entries(words.keys) as [Key, string][];
	function read(typed: string): unknown {
		const text = clean(typed);
		const number = Number(text.replace(',', '.'));
		return text === '' || !Number.isFinite(number) ? text : number;
	}
</script>

<WaysSection>
	<h2>{words.title}</h2>
	<p class="label">{words.how}</p>
	<h3>{words.cover}</h3>
	<SchoolRows
		school="cover"
		labels={words.covers}
		value={ways.cure.cover}
		pick={(now) => void store.keep((x) => ((x.cure.cover as string) = now), 'cover')}
	/>
	<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8">
		{#each keys as [key, label] (key)}<Field
				{label}
				value={`${+(ways.cure[key] as number).toFixed(2)}`}
				mode="decimal"
				problem={problemOf(store, `cure-${key}`)}
				keep={(typed) => store.keep((now) => ((now.cure as Record<string, unknown>)[key] = read(typed)), `cure-${key}`)}
			/>{/each}
	</div>
</WaysSection>
