<script lang="ts">
	/** How the crew sets what sticks up: bolts, plates, straps, minutes, and the schools. */
	import type { Ways } from '../api/schema';
	import Field from '../ui/Field.svelte';
	import { embeds as words } from '../words/embeds';
	import { clean, long, problemOf } from './both';
	import SchoolRows from './SchoolRows.svelte';
	import WaysSection from './WaysSection.svelte';
	import type { WaysStore } from './ways.svelte';
	let { store, ways }: { store: WaysStore; ways: Ways } = $props();
	const own = $derived(ways.embeds);
	const lengths = [
		'bolt_mm', 'embed_mm', 'most_mm', 'end_min_mm', 'end_max_mm', 'end_like_mm', 'clear_mm', 'between_mm', 'plate_mm', 'plate_thick_mm',
		'stock_mm', 'stud_mm', 'washer_mm', 'nut_mm', 'past_mm', 'strap_in_mm', 'post_mm'
	] as const; // prettier-ignore
	const numbers = ['straps', 'wet_min', 'tied_min', 'drilled_min', 'spare'] as const;
	const problem = (at: string) => problemOf(store, at);
</script>

<WaysSection>
	<h2>{words.waysTitle}</h2>
	<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8">
		{#each lengths as key (key)}<Field
				label={words.waysKeys[key]}
				value={long(own[key])}
				problem={problem(`m-${key}`)}
				keep={(typed) => store.keep((x) => ((x.embeds[key] as unknown) = clean(typed)), `m-${key}`)}
			/>{/each}
		{#each numbers as key (key)}<Field
				label={words.waysKeys[key]}
				mode="decimal"
				value={`${own[key]}`}
				problem={problem(`m-${key}`)}
				keep={(typed) => store.keep((x) => ((x.embeds[key] as unknown) = Number(typed)), `m-${key}`)}
			/>{/each}
	</div>
	<h3>{words.school}</h3>
	<SchoolRows
		school="setting"
		labels={words.schools}
		value={own.setting}
		pick={(now) => void store.keep((x) => ((x.embeds.setting as string) = now), 'setting')}
	/>
</WaysSection>
