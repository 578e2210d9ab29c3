<script lang="ts">
	/** The barrier: what to buy, where it lies and what becomes of it at the edge, each roll as it is cut, what the site asks. */
	import { onTab } from '../../state/findings';
	import type { Edit } from '../../state/job.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Field from '../../ui/Field.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Num from '../../ui/Num.svelte';
	import { shownLength } from '../../ui/typed';
	import Verdict from '../../ui/Verdict.svelte';
	import { cover } from '../../words/underslab_cover';
	import RollBars from './RollBars.svelte';
	import School from './School.svelte';
	import Treatments from './Treatments.svelte';
	import type { UnderslabData } from './underslab.svelte';
	let { data }: { data: UnderslabData } = $props();
	const words = cover.barrier;
	const store = $derived(data.store);
	const laid = $derived(data.covered?.barrier ?? null);
	const said = $derived(store.document?.underslab?.barrier);
	const size = (mm: number | null | undefined) => (mm || mm === 0 ? shownLength(mm, store.units) : '');
	const set = (key: string, value: unknown) =>
		store.keep([{ op: 'set_barrier', changes: { [key]: value } } as Edit], `barrier-${key}`);
	const places = $derived([
		...(laid?.places ?? []),
		...(store.document?.slab_types ?? [])
			.filter((type) => !laid?.places.some((place) => place.slab === type.mark))
			.map((type) => ({ slab: type.mark, zones: zonesOf(type.mark), place: 'none' as const }))
	]);
	const zonesOf = (mark: string) => (store.document?.zones ?? []).filter((zone) => zone.slab === mark).map((zone) => zone.name);
	const numbered = (key: 'open_row' | 'open_load') => (typed: string) =>
		set(key, typed.trim() ? (Number.isInteger(Number(typed)) ? Number(typed) : typed.trim()) : null);
	const fields = ['roll_wide_mm', 'roll_long_mm', 'lap_mm', 'turn_up_mm'] as const;
	const labels = { roll_wide_mm: words.roll, roll_long_mm: words.long, lap_mm: words.lap, turn_up_mm: words.up };
	const runs = (['least', 'along', 'across'] as const).map((value) => ({ value, label: words.ways[value] }));
</script>

<Verdict
	text={laid ? words.buy(Math.round(laid.rolls.value), laid.tape.text, laid.boots.length) : words.none}
	under={laid ? words.under(laid.area_text, laid.rows, laid.lap_text) : words.noneUnder}
/>
{#if laid}
	<RollBars {laid} units={store.units} />
	<p class="mt-8">
		<b class="text-key"><Num working={laid.rolls} text={laid.rolls.text} /></b>
		<span class="ml-14"
			>{words.tape} <b class="text-key"><Num working={laid.tape} text={laid.tape.text} /></b>, {words.tapeRolls(
				laid.tape_rolls
			)}</span
		>
	</p>
	{#if laid.boots.length}<p class="mt-4">{words.boots(laid.boots.join(', '))}</p>{/if}
	{#if laid.open_sheet}<p class="mt-4 font-mid">{words.open(laid.open_sheet.row, laid.open_sheet.until_load)}</p>{/if}
	<p class="mt-8 border-l-6 border-flag pl-10 font-mid">{laid.hold}</p>
{/if}
<FindingList findings={onTab(data.covered?.findings, 'barrier')} />
{#each places as place, i (place.slab)}
	<School
		name={words.place(place.slab, place.zones.join(', '))}
		school="barrier-place"
		labels={words.places}
		value={place.place}
		says={!places.slice(i + 1).some((later) => later.place === place.place)}
		pick={(now) => void store.keep([{ op: 'place_barrier', slab: place.slab, place: now } as Edit], `place-${place.slab}`)}
	/>
	{#if store.problemFor(`place-${place.slab}`)}<p class="wrong" role="alert">
			{store.problemFor(`place-${place.slab}`)?.detail}
		</p>{/if}
{/each}
{#if laid}
	<School name={words.edge} school="barrier-edge" labels={words.edges} value={laid.edge} pick={(now) => void set('edge', now)} />
	<div class="mt-10 grid grid-cols-[repeat(auto-fill,minmax(112px,1fr))] items-end gap-x-12 gap-y-4">
		{#each fields as key (key)}
			{#if key !== 'turn_up_mm' || laid.edge === 'up'}
				<Field
					label={labels[key]}
					calm
					placeholder={words.crew}
					value={size(said?.[key])}
					problem={store.problemFor(`barrier-${key}`)}
					keep={(typed) => set(key, typed.trim())}
				/>
			{/if}
		{/each}
		<Choose label name={words.runs} rows={runs} value={said?.runs ?? 'least'} pick={(now) => void set('runs', now)} />
		<Field
			label={words.openRow}
			calm
			placeholder={words.openNone}
			value={said?.open_row ? `${said.open_row}` : ''}
			problem={store.problemFor('barrier-open_row')}
			keep={numbered('open_row')}
		/>
		{#if said?.open_row}<Field
				label={words.openLoad}
				value={said.open_load ? `${said.open_load}` : ''}
				problem={store.problemFor('barrier-open_load')}
				keep={numbered('open_load')}
			/>{/if}
	</div>
{/if}
<Treatments {data} />
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
