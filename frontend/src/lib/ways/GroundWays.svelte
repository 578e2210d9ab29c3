<script lang="ts">
	/** How the crew grades: laser and rod, how flat is flat, stones of the kit, lifts, spoil, prices, and the schools. */
	import type { Problem, Ways } from '../api/schema';
	import { session } from '../state/session.svelte';
	import Choose from '../ui/Choose.svelte';
	import Field from '../ui/Field.svelte';
	import { bothLengths, YD3 } from '../ui/typed';
	import { ground as groundWords } from '../words/ground';
	import { waysWords } from '../words/ways';
	import type { WaysStore } from './ways.svelte';
	import WaysSection from './WaysSection.svelte';
	import Act from '../ui/Act.svelte';
	let { store, ways }: { store: WaysStore; ways: Ways } = $props();
	const g = $derived(ways.ground);
	const words = groundWords.ways;
	const inch = bothLengths;
	const text = (typed: string): number => typed.replace(/\(.*\)/, '').trim() as unknown as number;
	const number = (typed: string): number =>
		Number.isFinite(Number(typed)) && typed.trim() ? Number(typed) : (typed as unknown as number);
	const problem = (at: string): Problem | null =>
		store.problem && store.problemAt === at
			? { type: '', code: '', title: '', status: 422, detail: store.problem, path: '', choices: [], head: null }
			: null;
	interface Row {
		at: string;
		label: string;
		value: string;
		set: (x: Ways, typed: string) => unknown;
	}
	const rows = $derived<Row[]>([
		{
			at: 'g-acc',
			label: words.accuracy,
			value: inch(g.laser.accuracy_mm),
			set: (x, t) => (x.ground.laser.accuracy_mm = text(t))
		},
		{
			at: 'g-acc-at',
			label: `${words.accuracy} ${words.accuracyAt}`,
			value: `${+(g.laser.accuracy_at_mm / 304.8).toFixed(1)}′ (${+(g.laser.accuracy_at_mm / 1000).toFixed(1)} m)`,
			set: (x, t) => (x.ground.laser.accuracy_at_mm = text(t))
		},
		{
			at: 'g-rod',
			label: words.rod,
			value: `${+(g.laser.rod_mm / 304.8).toFixed(2)}′ (${+(g.laser.rod_mm / 1000).toFixed(2)} m)`,
			set: (x, t) => (x.ground.laser.rod_mm = text(t))
		},
		{ at: 'g-high', label: words.high, value: inch(g.high_mm), set: (x, t) => (x.ground.high_mm = text(t)) },
		{ at: 'g-low', label: words.low, value: inch(g.low_mm), set: (x, t) => (x.ground.low_mm = text(t)) },
		{ at: 'g-lift', label: words.lift, value: inch(g.lift_mm), set: (x, t) => (x.ground.lift_mm = text(t)) },
		{ at: 'g-truck', label: words.truckT, value: String(g.truck_t), set: (x, t) => (x.ground.truck_t = number(t)) },
		{ at: 'g-swell', label: words.swell, value: String(g.swell), set: (x, t) => (x.ground.swell = number(t)) },
		{ at: 'g-strip', label: words.strip, value: inch(g.strip_mm), set: (x, t) => (x.ground.strip_mm = text(t)) },
		{ at: 'g-peg', label: words.peg, value: inch(g.peg_spacing_mm), set: (x, t) => (x.ground.peg_spacing_mm = text(t)) },
		{
			at: 'g-conc',
			label: `${words.concrete}, ${words.per['ft-in']}`,
			value: ((g.concrete_cents_per_m3 * YD3) / 100).toFixed(2),
			set: (x, t) =>
				(x.ground.concrete_cents_per_m3 =
					Number.isFinite(Number(t)) && t.trim() ? Math.round((Number(t) * 100) / YD3) : (t as unknown as number))
		}
	]);
	const stone = (i: number): Row[] => {
		const own = g.stones[i];
		const of = (x: Ways) => x.ground.stones[i];
		return [
			{
				at: `g-f-${i}`,
				label: `${own?.mark}: ${words.factor}`,
				value: String(own?.loose_factor ?? ''),
				set: (x, t) => {
					const row = of(x);
					if (row) row.loose_factor = number(t);
				}
			},
			{
				at: `g-d-${i}`,
				label: words.densityT,
				value: String(own?.density_t_m3 ?? ''),
				set: (x, t) => {
					const row = of(x);
					if (row) row.density_t_m3 = number(t);
				}
			},
			{
				at: `g-s-${i}`,
				label: words.size,
				value: inch(own?.size_mm ?? 0),
				set: (x, t) => {
					const row = of(x);
					if (row) row.size_mm = text(t);
				}
			},
			{
				at: `g-p-${i}`,
				label: words.price,
				value: ((own?.price_per_t_cents ?? 0) / 100).toFixed(2),
				set: (x, t) => {
					const row = of(x);
					if (row) row.price_per_t_cents = Number.isFinite(Number(t)) && t.trim() ? Number(t) * 100 : (t as unknown as number);
				}
			}
		];
	};
	const keep = (row: Row) => (typed: string) => store.keep((x) => row.set(x, typed), row.at);
	const choices = ['base', 'grading', 'lifts'] as const;
	function choose(choice: (typeof choices)[number], key: string) {
		void store.keep((x) => {
			(x.ground[choice] as string) = key;
			if (choice === 'lifts') x.ground.lift_mm = key === 'thin' ? 101.6 : 203.2;
		}, choice);
	}
</script>

<WaysSection>
	<h2>{words.title}</h2>
	<Choose
		label
		name={words.reads}
		rows={Object.entries(words.readKinds).map(([value, label]) => ({ value, label }))}
		value={g.rod_reads ?? ''}
		pick={(now) => void store.keep((x) => (x.ground.rod_reads = (now || null) as Ways['ground']['rod_reads']), 'reads')}
	/>
	<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8">
		{#each rows as row (row.at)}<Field label={row.label} value={row.value} problem={problem(row.at)} keep={keep(row)} />{/each}
	</div>
	{#each choices as choice}
		<h3>{words.choices[choice]}</h3>
		{#each session.schools[choice] ?? [] as school (school.key)}
			<div class="grid grid-cols-[118px_1fr] items-center gap-12 border-t border-hair pt-6 text-note">
				<Act
					kind="quiet"
					on={g[choice] === school.key}
					aria-pressed={g[choice] === school.key}
					onclick={() => choose(choice, school.key)}>{words.schoolNames[school.key as 'clean']}</Act
				>
				<p>{school.pro} <span class="label">{waysWords.against} {school.con}</span></p>
			</div>
		{/each}
	{/each}
</WaysSection>
<WaysSection>
	<h2>{words.stones}</h2>
	<p class="label">{words.thumb}</p>
	{#each g.stones.keys() as i}<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8">
			{#each stone(i) as row (row.at)}<Field
					label={row.label}
					value={row.value}
					problem={problem(row.at)}
					keep={keep(row)}
				/>{/each}
		</div>{/each}
</WaysSection>
