<script lang="ts">
	/** Chairs: how high, how many, on what; or steel that is pulled up while the concrete is wet. */
	import { onTab } from '../../state/findings';
	import { session } from '../../state/session.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { steel as words } from '../../words/steel';
	import type { SteelData } from './steel.svelte';
	let { data }: { data: SteelData } = $props();
	const rows = $derived(data.laid?.chairs ?? []);
	const count = $derived(rows.reduce((sum, row) => sum + row.count, 0));
	const pulled = $derived(data.laid?.pulled ?? false);
	const schools = $derived(session.schools['steel-held'] ?? []);
</script>

<Verdict
	text={pulled ? words.pulled : count ? words.chairVerdict(count) : words.chairsNone}
	under={pulled ? words.pulledUnder : ''}
	is={pulled ? 'bad' : 'plain'}
/>
<FindingList findings={onTab(data.findings, 'chairs')} />
{#each rows as row (row.slab)}
	<section class="flex items-center gap-14 border-b border-hair py-10" data-chair-row={row.slab}>
		<svg width="60" height="46" viewBox="0 0 60 46" aria-hidden="true" class="flex-none">
			<path d="M4 42h52" class="stroke-ink stroke-2" /><path d="M14 41l10-26h12l10 26" class="fill-none stroke-rust stroke-3" />
			<circle cx="30" cy="9" r="6" class="fill-rust" />
		</svg>
		<p>
			<b class="text-key font-[800]"><Frac text={words.chairRow(row.slab, row.count, row.height_text)} /></b><br />
			{words.on[row.on] ?? row.on}
		</p>
	</section>
{/each}
{#each schools as school (school.key)}
	<p class="mt-10 text-note"><b>{words.held[school.key]}.</b> <b>{words.pro}</b> {school.pro} <b>{words.con}</b> {school.con}</p>
{/each}
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
