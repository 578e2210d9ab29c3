<script lang="ts">
	/** How the crew covers and tests what lies under a slab: rolls, boards, head, and the schools. */
	import type { Ways } from '../api/schema';
	import Choose from '../ui/Choose.svelte';
	import Field from '../ui/Field.svelte';
	import { clean, long, problemOf } from './both';
	import { cover } from '../words/underslab_cover';
	import type { WaysStore } from './ways.svelte';
	import SchoolRows from './SchoolRows.svelte';
	import WaysSection from './WaysSection.svelte';
	let { store, ways }: { store: WaysStore; ways: Ways } = $props();
	const words = cover.ways;
	const own = $derived(ways.underslab);
	const keys = [
		'roll_wide_mm', 'roll_long_mm', 'lap_mm', 'turn_up_mm', 'tape_mm', 'board_long_mm', 'board_wide_mm', 'stagger_mm', 'within_mm', 'head_mm'
	] as const; // prettier-ignore
	const problem = (at: string) => problemOf(store, at);
	const choices = [
		['edge', 'barrier-edge', cover.barrier.edges],
		['drains', 'drain-test', cover.tests.ways]
	] as const;
	const kinds = (['XPS', 'EPS_II', 'EPS_IX', 'SPRAY'] as const).map((value) => ({ value, label: cover.foam.kinds[value] }));
</script>

<WaysSection>
	<h2>{words.title}</h2>
	<Choose
		label
		name={words.foam}
		rows={kinds}
		value={own.foam}
		pick={(now) => void store.keep((x) => (x.underslab.foam = now), 'u-foam')}
	/>
	<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8">
		{#each keys as key (key)}<Field
				label={words[key]}
				value={long(own[key])}
				problem={problem(`u-${key}`)}
				keep={(typed) => store.keep((x) => ((x.underslab[key] as unknown) = clean(typed)), `u-${key}`)}
			/>{/each}
		<Field
			label={words.hold_min}
			value={`${own.hold_min}`}
			problem={problem('u-hold')}
			keep={(typed) =>
				store.keep((x) => ((x.underslab.hold_min as unknown) = Number.isFinite(Number(typed)) ? Number(typed) : typed), 'u-hold')}
		/>
	</div>
	{#each choices as [key, name, labels]}
		<h3>{words[key]}</h3>
		<SchoolRows
			school={name}
			{labels}
			value={own[key]}
			pick={(now) => void store.keep((x) => ((x.underslab[key] as string) = now), key)}
		/>
	{/each}
</WaysSection>
