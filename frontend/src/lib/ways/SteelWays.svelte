<script lang="ts">
	/** How the crew lays steel: cover, laps, stock, chairs, corners, and the schools. */
	import type { Ways } from '../api/schema';
	import Field from '../ui/Field.svelte';
	import { clean, long, problemOf } from './both';
	import { steel as words } from '../words/steel';
	import type { WaysStore } from './ways.svelte';
	import SchoolRows from './SchoolRows.svelte';
	import WaysSection from './WaysSection.svelte';
	let { store, ways }: { store: WaysStore; ways: Ways } = $props();
	const own = $derived(ways.steel);
	const keys = [
		'spacing_mm', 'earth_mm', 'side_mm', 'top_mm', 'chair_mm', 'leg_mm', 'diagonal_mm', 'keep_mm', 'sheet_wide_mm', 'sheet_long_mm',
		'mesh_lap_mm', 'hole_over_mm', 'dowel_out_mm'
	] as const; // prettier-ignore
	const problem = (at: string) => problemOf(store, at);
	const choices = [
		['lap', 'steel-lap', words.laps, words.waysLap],
		['corners', 'steel-corners', words.corners, words.waysCorners],
		['held', 'steel-held', words.held, words.waysHeld]
	] as const;
	const bars = [
		['bar', words.waysBar],
		['metric_bar', words.waysMetric]
	] as const;
	const stocks = [
		['stock_mm', words.waysStock],
		['stock_metric_mm', words.waysStockMetric]
	] as const;
</script>

<WaysSection>
	<h2>{words.waysTitle}</h2>
	<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8">
		{#each bars as [key, label] (key)}<Field
				{label}
				mode="text"
				value={own[key]}
				problem={problem(`s-${key}`)}
				keep={(typed) => store.keep((x) => (x.steel[key] = typed), `s-${key}`)}
			/>{/each}
		{#each stocks as [key, label] (key)}<Field
				{label}
				mode="text"
				value={own[key].map(long).join(', ')}
				problem={problem(`s-${key}`)}
				keep={(typed) =>
					store.keep(
						(x) =>
							((x.steel[key] as unknown) = typed
								.replace(/\([^)]*\)/g, '')
								.split(',')
								.map((one) => one.trim())),
						`s-${key}`
					)}
			/>{/each}
		{#each keys as key (key)}<Field
				label={words.waysKeys[key]}
				value={long(own[key])}
				problem={problem(`s-${key}`)}
				keep={(typed) => store.keep((x) => ((x.steel[key] as unknown) = clean(typed)), `s-${key}`)}
			/>{/each}
	</div>
	{#each choices as [key, name, labels, title] (key)}
		<h3>{title}</h3>
		<SchoolRows
			school={name}
			{labels}
			value={own[key]}
			pick={(now) => void store.keep((x) => ((x.steel[key] as string) = now), key)}
		/>
	{/each}
</WaysSection>
