<script lang="ts">
	/** Footings: what to order for them, what stands, one more, and its pegs. */
	import type { Snippet } from 'svelte';
	import { onTab } from '../../state/findings';
	import type { JobStore } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Field from '../../ui/Field.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Num from '../../ui/Num.svelte';
	import { coarse } from '../../ui/pointer.svelte';
	import { shownLength, typedLength } from '../../ui/typed';
	import Verdict from '../../ui/Verdict.svelte';
	import { foldedLoads } from '../../words/loads';
	import { footings as words } from '../../words/footings';
	import { edges as edgeWords } from '../../words/edges';
	import FootingPegs from './FootingPegs.svelte';
	import FootingSoft from './FootingSoft.svelte';
	import PourFields from './PourFields.svelte';
	import NewFooting from './NewFooting.svelte';
	import { takeOut } from './shape_edits';
	interface Props {
		store: JobStore;
		picked: number | null;
		pick: (number: number | null) => void;
		/** the call box, where it stands in the bench */
		box: Snippet;
	}
	let { store, picked, pick, box }: Props = $props();
	const found = $derived(store.figure?.footings ?? null);
	const plan = $derived(store.document);
	/** one pour holds the walls too */
	const both = $derived(found?.extras.some((extra) => extra.key === 'walls') ?? false);
	const unit = $derived(store.units === 'mm' ? 'm³' : 'yd');
	const say = (mm: number) => shownLength(mm, store.units);
	const guess = (row: { guessed?: string[] }, key: string, label: string) =>
		row.guessed?.includes(key) ? words.guess(label) : label;
	const level = (mm: number) => (mm ? `${say(Math.abs(mm))} ${mm < 0 ? 'below' : 'above'}` : '0');
	const set = (id: string, key: string, at: string) => (typed: string) =>
		store.keep([{ op: 'set_footing', footing: id, changes: { [key]: typed.trim() } }], at);
	const loads = $derived(foldedLoads(found?.ordered.trucks.map((truck) => truck.text) ?? []));
	const when = $derived(found?.pour_at ? words.on(found.pour_at) : words.noDay);
</script>

<Verdict
	text={found ? words.order(found.ordered.text, unit, both) : words.none}
	under={found ? words.under(found.net_text, loads, when) : words.noneUnder}
/>
{@render box()}
{#if found && plan}
	{#each plan.footings as row, i (row.id)}
		{@const at = `footing-${i}`}
		<div
			class="grid grid-cols-[repeat(auto-fill,minmax(104px,1fr))] items-end gap-x-10 gap-y-4 border-b border-hair py-6"
			data-row={row.name}
		>
			<Field label={words.name} mode="text" value={row.name} keep={set(row.id, 'name', at)} />
			<Field
				label={guess(row, 'width_mm', words.wide)}
				value={say(row.width_mm)}
				problem={store.problemFor(`${at}-w`)}
				keep={set(row.id, 'width_mm', `${at}-w`)}
			/>
			<Field
				label={guess(row, 'thickness_mm', words.thick)}
				value={say(row.thickness_mm)}
				problem={store.problemFor(`${at}-t`)}
				keep={set(row.id, 'thickness_mm', `${at}-t`)}
			/>
			<Field
				label={guess(row, 'top_mm', words.top)}
				mode="text"
				value={level(row.top_mm)}
				problem={store.problemFor(`${at}-l`)}
				keep={set(row.id, 'top_mm', `${at}-l`)}
			/>
			<Field
				label={words.dug}
				calm
				placeholder={words.notSaid}
				value={row.dug_width_mm ? say(row.dug_width_mm) : ''}
				problem={store.problemFor(`${at}-d`)}
				keep={set(row.id, 'dug_width_mm', `${at}-d`)}
			/>
			<Field
				label={words.steps}
				mode="text"
				calm
				placeholder={words.stepsHint[store.units]}
				value={found.drawn[i]?.steps_text ?? ''}
				problem={store.problemFor(`${at}-s`)}
				keep={set(row.id, 'steps', `${at}-s`)}
			/>
			<Field
				label={words.apart}
				value={typedLength(row.peg_spacing_mm, store.units)}
				problem={store.problemFor(`${at}-p`)}
				keep={set(row.id, 'peg_spacing_mm', `${at}-p`)}
			/>
			<p class="pb-6 text-key font-[760]">
				{#if found.rows[i]}<Num working={found.rows[i].working} text={found.rows[i].text} /> {unit}{/if}
			</p>
			<Act kind="quiet" onclick={() => void store.keep([takeOut('footings', [row.id])], at)}>{edgeWords.out}</Act>
		</div>
		{#if store.problemFor(at)}<p class="wrong" role="alert">{store.problemFor(at)?.detail}</p>{/if}
	{/each}
	<ul class="mt-6">
		{#each found.extras as extra (extra.key)}<li class="flex items-baseline justify-between gap-12 border-b border-hair py-3">
				<span>+ {extra.name} <span class="label">{extra.reason}</span></span>
				<b class="whitespace-nowrap"><Num working={extra.working} text={extra.text} /></b>
			</li>{/each}
	</ul>
	<p class="mt-6">{found.dig ? words.dig(found.dig.text, found.dig.back_text, unit) : words.noDig}</p>
	<PourFields {store} holds="footings" label={words.pourAt} {found} ordered={found.ordered} />
	<FindingList findings={onTab(store.figure?.findings, 'footings')} />
{/if}
<!-- in the hand the pegs are what one came for -->
{#if found && coarse.now}<FootingPegs {store} {found} {picked} {pick} />{/if}
<NewFooting {store} />
{#if found && !coarse.now}<FootingPegs {store} {found} {picked} {pick} />{/if}
{#if found}<FootingSoft {store} {found} {picked} />{/if}
