<script lang="ts">
	/** Foam: boards to buy and what is left of them, what it insulates and carries against what is asked. */
	import type { FoamLaid } from '../../api/schema';
	import { onTab } from '../../state/findings';
	import type { Edit } from '../../state/job.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Field from '../../ui/Field.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { shownLength, shownVolume } from '../../ui/typed';
	import Verdict from '../../ui/Verdict.svelte';
	import { cover } from '../../words/underslab_cover';
	import type { UnderslabData } from './underslab.svelte';
	import Offcuts from './Offcuts.svelte';
	let { data }: { data: UnderslabData } = $props();
	const words = cover.foam;
	const store = $derived(data.store);
	const rows = $derived(data.covered?.foam ?? []);
	const boards = $derived(rows.reduce((sum, row) => sum + row.boards, 0));
	const under = $derived(store.document?.underslab);
	const whats = $derived([...new Set([...rows.map((row) => row.what), 'wing' as const])]);
	const saidOf = (what: string) => under?.foam?.find((row) => row.what === what);
	const kinds = (['XPS', 'EPS_II', 'EPS_IX', 'SPRAY'] as const).map((value) => ({ value, label: words.kinds[value] }));
	const size = (mm: number | null | undefined) => (mm || mm === 0 ? shownLength(mm, store.units) : '');
	const set = (what: string, key: string, value: unknown) =>
		store.keep([{ op: 'set_foam', what, changes: { [key]: value } } as Edit], `foam-${what}-${key}`);
	const asks = (key: string) => (value: string) =>
		store.keep([{ op: 'set_site_asks', changes: { [key]: value.trim() } } as Edit], `asks-${key}`);
	const list = (said: readonly string[]) => [
		{ value: '', label: words.notSaid },
		...said.map((value) => ({ value, label: value }))
	];
	const kpa = (value: number) => (store.units === 'mm' ? `${value.toFixed(0)} kPa` : `${(value / 6.894757).toFixed(1)} psi`);
	const psf = (value: number | null | undefined) =>
		value === null || value === undefined
			? ''
			: store.units === 'mm'
				? `${+value.toFixed(2)} kPa`
				: `${Math.round(value / 0.04788026)} psf`;
	type Key = 'board_long_mm' | 'board_wide_mm' | 'ply_mm' | 'within_mm' | 'wing_mm';
	const fieldsOf = (what: string, kind: string | undefined): Key[] => {
		if (what === 'wing' && !kind) return ['wing_mm'];
		const boards: Key[] = kind === 'SPRAY' ? ['within_mm'] : ['board_long_mm', 'board_wide_mm', 'ply_mm'];
		return what === 'wing' ? ['wing_mm', ...boards] : boards;
	};
	const labels: Record<Key, string> = {
		board_long_mm: words.long,
		board_wide_mm: words.wide,
		ply_mm: words.ply,
		within_mm: words.within,
		wing_mm: words.wing
	};
	const asked = (row: FoamLaid) => (row.asked ? `${row.asked}: ${row.enough ? words.enough : words.short}.` : '');
</script>

<Verdict
	text={rows.length ? (boards ? words.buy(boards) : words.sprayed) : words.none}
	under={rows.length ? rows.map((row) => row.area_text).join(', ') : words.noneUnder}
/>
{#if rows.some((row) => row.layout)}<p class="label mt-6">{words.legend}</p>{/if}
{#each rows as row}
	<section class="border-b border-hair py-8" data-foam={row.what}>
		<h2 class="text-key font-[800]">
			<Frac text={words.row(words.what[row.what], row.zones.join(', '), row.text, row.kind_text)} />
		</h2>
		{#if row.boards}<p>
				<b><Frac text={words.boards(row.boards, row.board_text)} /></b>. <Frac text={row.cut_text} />.
				{#if row.layout}{words.least(row.layout.least * row.plies)}{/if}
				{#if row.plies > 1}{words.plies(row.plies)}{/if}
			</p>{:else if row.cut_text}<p><Frac text={row.cut_text} />.</p>{/if}
		<p>
			<b>{words.r(row.r_us.toFixed(1), row.rsi.toFixed(2))}</b>{#if row.carries_kpa}, {words.carries(kpa(row.carries_kpa))}{/if}.
			<Frac text={asked(row)} />
		</p>
		{#if row.within_mm > 0}<p><Frac text={words.strays(size(row.within_mm), shownVolume(row.low_m3, store.units, 2))} /></p>{/if}
		{#if row.layout}<Offcuts left={row.layout.left} units={store.units} />{/if}
	</section>
{/each}
<FindingList findings={onTab(data.covered?.findings, 'foam')} />
{#each whats as what (what)}
	{@const said = saidOf(what)}
	{@const own = rows.find((row) => row.what === what)}
	<div
		class="mt-10 grid grid-cols-[repeat(auto-fill,minmax(112px,1fr))] items-end gap-x-12 gap-y-4"
		role="group"
		aria-label={words.what[what]}
	>
		{#if own || what !== 'wing'}<Choose
				label
				name="{words.what[what]}: {words.kind}"
				rows={kinds}
				value={own?.kind ?? 'XPS'}
				pick={(now) => void set(what, 'kind', now)}
			/>{/if}
		{#each fieldsOf(what, own?.kind) as key (key)}
			<Field
				label={labels[key]}
				calm
				placeholder={key === 'wing_mm' ? words.noWing : cover.barrier.crew}
				value={size(said?.[key])}
				problem={store.problemFor(`foam-${what}-${key}`)}
				keep={(typed) => set(what, key, typed.trim())}
			/>
		{/each}
	</div>
{/each}
<h2 class="panel-head">{words.asks}</h2>
<div class="mt-4 grid grid-cols-3 items-end gap-x-12 max-phone:grid-cols-2">
	<Choose
		label
		name={words.zone}
		rows={list(['1', '2', '3', '4', '4M', '5', '6', '7', '8'])}
		value={under?.climate_zone ?? ''}
		pick={(now) => void asks('climate_zone')(now)}
	/>
	<Choose
		label
		name={words.edition}
		rows={list(['2009', '2012', '2015', '2018', '2021', '2024'])}
		value={under?.energy_code ?? ''}
		pick={(now) => void asks('energy_code')(now)}
	/>
	<Field
		label={words.load}
		calm
		placeholder={words.notSaid}
		mode="text"
		value={psf(under?.load_kpa)}
		problem={store.problemFor('asks-load_kpa')}
		keep={asks('load_kpa')}
	/>
</div>
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{cover.barrier.caution}</p>
