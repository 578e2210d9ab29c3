<script lang="ts">
	/** How the crew lays steel: cover, laps, stock, chairs, corners, and the schools. */
	import type { Problem, Ways } from '../api/schema';
	import { session } from '../state/session.svelte';
	import Act from '../ui/Act.svelte';
	import Field from '../ui/Field.svelte';
	import { bothLengths } from '../ui/typed';
	import { steel as words } from '../words/steel';
	import { waysWords } from '../words/ways';
	import type { WaysStore } from './ways.svelte';
	import WaysSection from './WaysSection.svelte';
	let { store, ways }: { store: WaysStore; ways: Ways } = $props();
	const own = $derived(ways.steel);
	const keys = [
		'spacing_mm', 'earth_mm', 'side_mm', 'top_mm', 'chair_mm', 'leg_mm', 'diagonal_mm', 'keep_mm', 'sheet_wide_mm', 'sheet_long_mm',
		'mesh_lap_mm', 'hole_over_mm', 'dowel_out_mm'
	] as const; // prettier-ignore
	const long = (mm: number) => (mm >= 1000 ? `${+(mm / 304.8).toFixed(2)}′ (${+(mm / 1000).toFixed(2)} m)` : bothLengths(mm));
	const clean = (typed: string) => typed.replace(/\(.*\)/, '').trim();
	const problem = (at: string): Problem | null =>
		store.problem && store.problemAt === at
			? { type: '', code: '', title: '', status: 422, detail: store.problem, path: '', choices: [], head: null }
			: null;
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
		{#each session.schools[name] ?? [] as school (school.key)}
			<div class="grid grid-cols-[118px_1fr] items-center gap-12 border-t border-hair pt-6 text-note">
				<Act
					kind="quiet"
					on={own[key] === school.key}
					aria-pressed={own[key] === school.key}
					onclick={() => void store.keep((x) => ((x.steel[key] as string) = school.key), key)}>{labels[school.key]}</Act
				>
				<p>{school.pro} <span class="label">{waysWords.against} {school.con}</span></p>
			</div>
		{/each}
	{/each}
</WaysSection>
