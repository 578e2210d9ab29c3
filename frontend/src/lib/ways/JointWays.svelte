<script lang="ts">
	/** How the crew joints a slab, and the schools. */
	import type { Ways } from '../api/schema';
	import Field from '../ui/Field.svelte';
	import { joints as words } from '../words/joints';
	import { clean, long, problemOf } from './both';
	import SchoolRows from './SchoolRows.svelte';
	import WaysSection from './WaysSection.svelte';
	import type { WaysStore } from './ways.svelte';
	let { store, ways }: { store: WaysStore; ways: Ways } = $props();
	const own = $derived(ways.joints);
	const lengths = ['cap_mm', 'depth_min_mm', 'sliver_mm', 'column_mm'] as const;
	const numbers = ['ratio_n', 'aspect_ratio', 'depth_share', 'saw_m_h', 'blade_m'] as const;
	const problem = (at: string) => problemOf(store, at);
</script>

<WaysSection>
	<h2>{words.waysTitle}</h2>
	<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8">
		{#each numbers as key (key)}<Field
				label={words.waysKeys[key]}
				mode="decimal"
				value={`${own[key]}`}
				problem={problem(`j-${key}`)}
				keep={(typed) => store.keep((x) => ((x.joints[key] as unknown) = Number(typed)), `j-${key}`)}
			/>{/each}
		{#each lengths as key (key)}<Field
				label={words.waysKeys[key]}
				value={long(own[key])}
				problem={problem(`j-${key}`)}
				keep={(typed) => store.keep((x) => ((x.joints[key] as unknown) = clean(typed)), `j-${key}`)}
			/>{/each}
	</div>
	<h3>{words.how}</h3>
	<SchoolRows
		school="joint-how"
		labels={words.schools}
		value={own.how}
		pick={(now) => void store.keep((x) => ((x.joints.how as string) = now), 'joint-how')}
	/>
</WaysSection>
