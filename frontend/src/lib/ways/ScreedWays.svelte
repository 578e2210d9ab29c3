<script lang="ts">
	/** How the crew screeds: boards on the truck, what they ride on, how far concrete is brought, and the schools. */
	import type { Ways } from '../api/schema';
	import Field from '../ui/Field.svelte';
	import { screed as words } from '../words/screed';
	import { clean, long, problemOf } from './both';
	import { boardsOf, boardsText } from './boards';
	import SchoolRows from './SchoolRows.svelte';
	import WaysSection from './WaysSection.svelte';
	import type { WaysStore } from './ways.svelte';
	let { store, ways }: { store: WaysStore; ways: Ways } = $props();
	const own = $derived(ways.screed);
	const owned = [
		['boards_mm', words.boardsOwned],
		['vibrating_mm', words.vibrating]
	] as const;
	const lengths = [
		'on_form_mm', 'on_wet_mm', 'on_edge_mm', 'pad_less_mm', 'pad_high_mm', 'chute_mm', 'hose_mm', 'barrow_mm'
	] as const; // prettier-ignore
	const numbers = ['limit_min', 'rate_m2_h'] as const;
	const problem = (at: string) => problemOf(store, at);
	const EDGES = { 'with the strip': 'With the strip', 'edges first': 'Edges first' };
</script>

<WaysSection>
	<h2>{words.waysTitle}</h2>
	<p class="label">{words.boardsHow}</p>
	<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8">
		{#each owned as [key, label] (key)}<Field
				{label}
				value={boardsText(own[key])}
				problem={problem(`s-${key}`)}
				keep={(typed) => store.keep((x) => ((x.screed[key] as unknown) = boardsOf(typed)), `s-${key}`)}
			/>{/each}
		{#each lengths as key (key)}<Field
				label={words.waysKeys[key]}
				value={long(own[key])}
				problem={problem(`s-${key}`)}
				keep={(typed) => store.keep((x) => ((x.screed[key] as unknown) = clean(typed)), `s-${key}`)}
			/>{/each}
		{#each numbers as key (key)}<Field
				label={words.waysKeys[key]}
				mode="decimal"
				value={`${own[key]}`}
				problem={problem(`s-${key}`)}
				keep={(typed) => store.keep((x) => ((x.screed[key] as unknown) = Number(typed)), `s-${key}`)}
			/>{/each}
	</div>
	<h3>{words.ridesName}</h3>
	<SchoolRows
		school="screed-rides"
		labels={words.rides}
		value={own.rides}
		pick={(now) => void store.keep((x) => ((x.screed.rides as string) = now), 'screed-rides')}
	/>
	<h3>{words.edgesName}</h3>
	<SchoolRows
		school="screed-edges"
		labels={EDGES}
		value={own.edges_first ? 'edges first' : 'with the strip'}
		pick={(now) => void store.keep((x) => (x.screed.edges_first = now === 'edges first'), 'screed-edges')}
	/>
</WaysSection>
