<script lang="ts">
	/** The ways: allowances, the plant, reading, the crew; each with its reason. */
	import type { Problem, Ways } from '../api/schema';
	import Who from '../shell/Who.svelte';
	import { session } from '../state/session.svelte';
	import Field from '../ui/Field.svelte';
	import { bothLengths, YD3 } from '../ui/typed';
	import { rules as ruleWords } from '../words/rules';
	import { w } from '../words/words';
	import { yardWords } from '../words/yard';
	import { siteWords } from '../words/site';
	import { waysWords } from '../words/ways';
	import CrewList from './CrewList.svelte';
	import FormWays from './FormWays.svelte';
	import GroundWays from './GroundWays.svelte';
	import JointWays from './JointWays.svelte';
	import CureWays from './CureWays.svelte';
	import DayWays from './DayWays.svelte';
	import OrderWays from './OrderWays.svelte';
	import ScheduleWays from './ScheduleWays.svelte';
	import ScreedWays from './ScreedWays.svelte';
	import EmbedWays from './EmbedWays.svelte';
	import SteelWays from './SteelWays.svelte';
	import UnderslabWays from './UnderslabWays.svelte';
	import { WaysStore } from './ways.svelte';
	import WaysSection from './WaysSection.svelte';
	import Choice from '../ui/Choice.svelte';
	import Switch from '../ui/Switch.svelte';
	import Act from '../ui/Act.svelte';
	const store = new WaysStore();
	const ways = $derived(session.ways);
	const problem = (at: string): Problem | null =>
		store.problem && store.problemAt === at
			? { type: '', code: '', title: '', status: 422, detail: store.problem, path: '', choices: [], head: null }
			: null;
	const inch = bothLengths;
	const yd = (m3: number) => `${+(m3 / YD3).toFixed(3)} yd (${+m3.toFixed(3)} m³)`;
	/** Text goes as typed: the program reads both unit systems. Numbers go as numbers. */
	const text = (typed: string): number => typed.replace(/\(.*\)/, '').trim() as unknown as number;
	const number = (typed: string): number =>
		Number.isFinite(Number(typed)) && typed.trim() ? Number(typed) : (typed as unknown as number);
	type Change = (ways: Ways, typed: string) => unknown;
	interface Row {
		at: string;
		label: string;
		value: string;
		set: Change;
	}
	const allowances = $derived<{ row: Row; why: Row }[]>(
		!ways
			? []
			: [
					{
						row: {
							at: 'base',
							label: waysWords.base,
							value: inch(ways.allowances.base_low_mm),
							set: (x, t) => (x.allowances.base_low_mm = text(t))
						},
						why: {
							at: 'base-why',
							label: waysWords.why,
							value: ways.allowances.base_low_reason,
							set: (x, t) => (x.allowances.base_low_reason = t)
						}
					},
					{
						row: {
							at: 'trench',
							label: waysWords.trench,
							value: inch(ways.allowances.trench_wide_mm),
							set: (x, t) => (x.allowances.trench_wide_mm = text(t))
						},
						why: {
							at: 'trench-why',
							label: waysWords.why,
							value: ways.allowances.trench_wide_reason,
							set: (x, t) => (x.allowances.trench_wide_reason = t)
						}
					},
					{
						row: {
							at: 'left',
							label: waysWords.left,
							value: yd(ways.allowances.left_behind_m3),
							set: (x, t) => (x.allowances.left_behind_m3 = text(t))
						},
						why: {
							at: 'left-why',
							label: waysWords.why,
							value: ways.allowances.left_behind_reason,
							set: (x, t) => (x.allowances.left_behind_reason = t)
						}
					}
				]
	);
	const plant = $derived<Row[]>(
		!ways
			? []
			: [
					{ at: 'plant-name', label: waysWords.plantName, value: ways.plant.name, set: (x, t) => (x.plant.name = t) },
					{ at: 'plant-phone', label: waysWords.phone, value: ways.plant.phone, set: (x, t) => (x.plant.phone = t) },
					{ at: 'account', label: waysWords.account, value: ways.plant.account, set: (x, t) => (x.plant.account = t) },
					{
						at: 'truck-yd',
						label: `${waysWords.truck}, yd`,
						value: String(ways.plant.truck_yd3),
						set: (x, t) => (x.plant.truck_yd3 = number(t))
					},
					{
						at: 'truck-m',
						label: `${waysWords.truck}, m³`,
						value: String(ways.plant.truck_m3),
						set: (x, t) => (x.plant.truck_m3 = number(t))
					},
					{
						at: 'short-yd',
						label: `${waysWords.short}, yd`,
						value: String(ways.plant.short_load_yd3),
						set: (x, t) => (x.plant.short_load_yd3 = number(t))
					},
					{
						at: 'short-m',
						label: `${waysWords.short}, m³`,
						value: String(ways.plant.short_load_m3),
						set: (x, t) => (x.plant.short_load_m3 = number(t))
					},
					{ at: 'truck-why', label: waysWords.why, value: ways.plant.truck_reason, set: (x, t) => (x.plant.truck_reason = t) }
				]
	);
	const keep = (row: Row) => (typed: string) => store.keep((x) => row.set(x, typed), row.at);
</script>

<div class="min-h-[100dvh] bg-bench">
	<header class="flex flex-wrap items-center gap-x-18 gap-y-10 border-b-3 border-ink bg-ground px-20 py-12">
		<Act kind="quiet" href="/">‹ {w.yardTitle}</Act>
		<div class="min-w-240 flex-1">
			<h1 class="text-title leading-[1] font-black">{waysWords.title}</h1>
			<p class="label">{waysWords.lead}</p>
		</div>
		<Act kind="quiet" href="/rules">{ruleWords.title}</Act>
		<Act kind="quiet" href="/site">{siteWords.open}</Act>
		<Who />
	</header>
	{#if ways}
		<main class="grid grid-cols-[1fr_1fr] gap-0 max-mid:grid-cols-[1fr]">
			<WaysSection>
				<h2>{waysWords.allowances}</h2>
				{#each allowances as { row, why }}
					<div class="flex gap-16 border-t border-hair pt-6 max-mid:flex-col [&>:first-child]:flex-none">
						<Field label={row.label} value={row.value} width="210px" problem={problem(row.at)} keep={keep(row)} />
						<Field label={why.label} value={why.value} problem={problem(why.at)} keep={keep(why)} />
					</div>
				{/each}
				<p class="text-note text-ink2">{waysWords.schools.items}</p>
				<p class="text-note text-ink2">{waysWords.schools.flat}</p>
				<h2>{waysWords.reading}</h2>
				<p class="label">{waysWords.nearest}</p>
				<Choice
					rows={['16', '8', '4'].map((n) => ({ value: n, label: `1/${n}″` }))}
					value={String(ways.reading.nearest)}
					pick={(n) => n && void store.keep((x) => (x.reading.nearest = Number(n) as 16 | 8 | 4), 'nearest')}
					name={waysWords.nearest}
					class="flex flex-wrap gap-4"
				/>
				<p class="label">{waysWords.newUnits}</p>
				<Choice
					rows={(['ft-in', 'mm'] as const).map((one) => ({ value: one, label: one === 'mm' ? yardWords.mm : yardWords.ftin }))}
					value={ways.reading.new_job_units}
					pick={(one) => one && void store.keep((x) => (x.reading.new_job_units = one), 'units')}
					name={waysWords.newUnits}
					class="flex flex-wrap gap-4"
				/>
				<Field
					label={waysWords.why}
					value={ways.reading.reason}
					problem={problem('reading-why')}
					keep={(t) => store.keep((x) => (x.reading.reason = t), 'reading-why')}
				/>
			</WaysSection>
			<WaysSection>
				<h2>{waysWords.plant}</h2>
				<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8 [&>:last-child]:col-span-full">
					{#each plant as row (row.at)}<Field
							label={row.label}
							value={row.value}
							problem={problem(row.at)}
							keep={keep(row)}
						/>{/each}
				</div>
				<p class="label">{waysWords.increment}</p>
				<div class="flex flex-wrap gap-4" role="group" aria-label={waysWords.increment}>
					<Choice
						rows={['0.25', '0.5'].map((n) => ({ value: n, label: `${n === '0.25' ? '1/4' : '1/2'} yd` }))}
						value={String(ways.plant.increment_yd3)}
						pick={(n) => n && void store.keep((x) => (x.plant.increment_yd3 = Number(n) as 0.25 | 0.5), 'step')}
						name="{waysWords.increment}, yd"
					/>
					<Choice
						rows={['0.25', '0.5'].map((n) => ({ value: n, label: `${n} m³` }))}
						value={String(ways.plant.increment_m3)}
						pick={(n) => n && void store.keep((x) => (x.plant.increment_m3 = Number(n) as 0.25 | 0.5), 'step')}
						name="{waysWords.increment}, m³"
					/>
				</div>
				<Field
					label={waysWords.why}
					value={ways.plant.increment_reason}
					problem={problem('step-why')}
					keep={(t) => store.keep((x) => (x.plant.increment_reason = t), 'step-why')}
				/>
				<div>
					<Switch on={ways.plant.confirmed} set={(on) => void store.keep((x) => (x.plant.confirmed = on), 'confirmed')}
						>{ways.plant.confirmed ? waysWords.confirmed : waysWords.notConfirmed}</Switch
					>
				</div>
				<h2>{waysWords.crew}</h2>
				<Field
					label={waysWords.firm}
					value={ways.firm}
					problem={problem('firm')}
					keep={(t) => store.keep((x) => (x.firm = t), 'firm')}
				/>
				<CrewList {store} {ways} />
			</WaysSection>
			<FormWays {store} {ways} />
			<GroundWays {store} {ways} />
			<UnderslabWays {store} {ways} />
			<SteelWays {store} {ways} />
			<EmbedWays {store} {ways} />
			<ScreedWays {store} {ways} />
			<OrderWays {store} {ways} />
			<DayWays {store} {ways} />
			<CureWays {store} {ways} />
			<ScheduleWays {store} {ways} />
			<JointWays {store} {ways} />
		</main>
	{/if}
</div>
