<script lang="ts">
	/** Mats bar by bar, mesh sheet by sheet, bars across inside corners and round openings. */
	import { onTab } from '../../state/findings';
	import type { Edit } from '../../state/job.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Switch from '../../ui/Switch.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { steel as words } from '../../words/steel';
	import MarkRows from './MarkRows.svelte';
	import type { SteelData } from './steel.svelte';
	let { data }: { data: SteelData } = $props();
	const store = $derived(data.store);
	const mesh = $derived(data.laid?.mesh ?? []);
	const said = $derived(store.document?.steel);

	const set = (key: 'diagonals' | 'trimmers', on: boolean) =>
		void store.keep([{ op: 'set_steel', [key]: on } as Edit], `steel-${key}`).then(() => data.load());
</script>

<Verdict
	text={data.mats.length
		? words.matVerdict(data.mats.length, data.laid?.mat_text ?? '')
		: mesh.length
			? words.meshRow(mesh[0]?.words ?? '', mesh[0]?.sheets ?? 0, mesh[0]?.rolls ?? false) + '.'
			: words.matNone}
	under={data.mats.length || mesh.length ? words.plain : words.matNoneUnder}
/>
<FindingList findings={onTab(data.findings, 'mat')} />
{#each mesh as row (row.slab)}
	<p class="mt-10 border-b border-hair pb-8" data-mesh-row={row.slab}>
		<b class="text-key font-[800]">{row.slab}: <Frac text={words.meshRow(row.words, row.sheets, row.rolls)} /></b><br />
		<span class="text-note"><Frac text={words.meshLeast(row.least, row.lap_text)} /></span>
	</p>
{/each}
<MarkRows {data} rows={data.mats} />
<div class="mt-12 flex flex-wrap gap-8">
	<Switch on={said?.diagonals ?? true} set={(on) => set('diagonals', on)}>{words.diagonals}</Switch>
	<Switch on={said?.trimmers ?? true} set={(on) => set('trimmers', on)}>{words.trimmers}</Switch>
</div>
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
