<script lang="ts">
	/** Cages of edges, beams and pads side by side at one scale; what does not fit; the held one called like the drawing. */
	import { onTab } from '../../state/findings';
	import type { Edit } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { steel as words } from '../../words/steel';
	import CageCut from './CageCut.svelte';
	import MarkRows from './MarkRows.svelte';
	import SteelCall from './SteelCall.svelte';
	import type { SteelData, Target } from './steel.svelte';
	let { data }: { data: SteelData } = $props();
	const store = $derived(data.store);
	const cages = $derived(data.laid?.cages ?? []);
	const found = $derived(onTab(data.findings, 'cages'));
	const wrong = $derived(found.filter((row) => row.severity !== 'note').length);
	const types = $derived([...cages.map((row) => `${row.of}/${row.mark}`), ...data.bare.map(([of, mark]) => `${of}/${mark}`)]);
	let picked = $state('');
	const here = $derived(types.includes(picked) ? picked : (types[0] ?? ''));
	const target = $derived.by((): Target | null => {
		const [kind = '', mark = ''] = here.split('/');
		return here ? ({ kind, mark } as Target) : null;
	});
	const isBare = (type: string) => data.bare.some(([of, mark]) => `${of}/${mark}` === type);
	const long = $derived(cages.filter((row) => row.of === 'edge' || row.of === 'beam'));
	const pads = $derived(cages.filter((row) => row.of === 'pad' || row.of === 'pile'));
	const scaleOf = (rows: typeof cages) =>
		Math.min(0.46, 180 / Math.max(1, ...rows.map((row) => row.deep_mm)), 150 / Math.max(1, ...rows.map((row) => row.wide_mm)));
	const labelOf = (type: string) => {
		const [of = '', mark = ''] = type.split('/');
		const name = of === 'pile' ? (store.document?.piles?.find((row) => row.id === mark)?.name ?? mark) : mark;
		return `${words.of[of]} ${name}${isBare(type) ? `: ${words.bare.toLowerCase()}` : ''}`;
	};
	const out = () =>
		target &&
		void store.keep([{ op: 'take_out_cage', of: target.kind, mark: target.mark } as Edit], 'cage-out').then(() => data.load());
</script>

<Verdict
	text={cages.length ? words.fits(wrong) : words.cagesNone}
	under={cages.length ? words.fitsUnder : words.cagesNoneUnder}
	is={wrong ? 'bad' : 'plain'}
/>
{#snippet cuts(rows: typeof cages)}
	<div class="mt-8 grid grid-cols-2 items-start gap-x-10 gap-y-8 max-phone:grid-cols-1">
		{#each rows as cage (`${cage.of}/${cage.mark}`)}<CageCut {cage} scale={scaleOf(rows)} held={data.held?.mark ?? ''} />{/each}
	</div>
{/snippet}
{#if long.length}{@render cuts(long)}{/if}
<FindingList findings={found} />
{#if target}
	<div class="mt-10 border-t-2 border-ink pt-8">
		<div class="flex flex-wrap items-end gap-8">
			<Choice
				name={words.tabsName}
				rows={types.map((type) => ({ value: type, label: labelOf(type) }))}
				value={here}
				pick={(now) => now && (picked = now)}
			/>
			{#if !isBare(here)}<Act kind="quiet" onclick={out}>{words.out}</Act>{/if}
		</div>
		{#key here}<SteelCall {data} of={target} name={words.call(target.mark)} />{/key}
	</div>
{/if}
{#if pads.length}{@render cuts(pads)}{/if}
<MarkRows {data} rows={data.caged} />
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
