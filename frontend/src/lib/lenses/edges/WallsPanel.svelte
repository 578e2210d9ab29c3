<script lang="ts">
	/** Walls on the footings: what to order, each wall cut with its levels, its sizes, one more. */
	import type { Snippet } from 'svelte';
	import { onTab } from '../../state/findings';
	import type { JobStore } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { shownArea } from '../../ui/typed';
	import Verdict from '../../ui/Verdict.svelte';
	import { footings as days } from '../../words/footings';
	import { foldedLoads } from '../../words/loads';
	import { walls as words } from '../../words/walls';
	import PourFields from './PourFields.svelte';
	import NewWall from './NewWall.svelte';
	import WallCutDrawing from './WallCutDrawing.svelte';
	import WallSizes from './WallSizes.svelte';
	interface Props {
		store: JobStore;
		picked: number;
		pick: (wall: number) => void;
		/** the call box, where it stands in the bench */
		box: Snippet;
	}
	let { store, picked, pick, box }: Props = $props();
	const found = $derived(store.figure?.walls ?? null);
	const unit = $derived(store.units === 'mm' ? 'm³' : 'yd');
	const on = $derived(Math.min(picked, (found?.rows.length ?? 1) - 1));
	const row = $derived(found?.rows[on]);
	const footed = $derived((store.document?.footings.length ?? 0) > 0);
	let where = $state(0);
	const cuts = $derived(found?.cuts[on] ?? []);
	const cut = $derived(cuts[Math.min(where, cuts.length - 1)]);
	const blocks = $derived(found?.rows.reduce((sum, one) => sum + one.blocks, 0) ?? 0);
	const foam = $derived(found?.rows.reduce((sum, one) => sum + one.foam_m2, 0) ?? 0);
	const forms = $derived(found?.rows.reduce((sum, one) => sum + one.forms_m2, 0) ?? 0);
	const text = $derived(
		!found
			? words.none
			: found.ordered
				? words.order(found.ordered.text, unit)
				: found.net_m3 > 0
					? words.joint
					: words.blocks(blocks)
	);
	const told = $derived(
		[
			found?.net_m3 ? words.planned(`${found.net_text} ${unit}`) : '',
			blocks && found?.net_m3 ? words.blocksTold(blocks) : '',
			foam ? words.foamTold(shownArea(foam, store.units)) : '',
			forms ? words.formsTold(shownArea(forms, store.units)) : '',
			found?.ordered ? foldedLoads(found.ordered.trucks.map((truck) => truck.text)).join(', ') : '',
			found?.ordered ? (found.pour_at ? days.on(found.pour_at) : days.noDay).replace(/\.$/, '') : ''
		].filter(Boolean)
	);
</script>

<Verdict {text} under={found ? (told.length ? words.under(told) : '') : footed ? words.noneUnder : words.noFooting} />
{@render box()}
{#if found && row}
	{#if found.rows.length > 1}<Choice
			name={words.kind}
			rows={found.rows.map((one) => ({ value: `${one.wall}`, label: one.name }))}
			value={`${on}`}
			pick={(now) => now && pick(Number(now))}
		/>{/if}
	<div class="mt-6 flex flex-wrap items-baseline gap-x-14">
		<h2 class="text-key font-[800]">{row.name}</h2>
		{#if row.working}<span class="text-key font-[760]"><Num working={row.working} text={row.text} /> {unit}</span>{/if}
		{#each row.courses as one (one.words)}<span class={['text-note', Math.abs(one.over_mm) < 1.6 ? '' : 'font-mid text-flag']}
				><Frac text={one.words} /></span
			>{/each}
	</div>
	{#if cuts.length > 1}<Choice
			name={words.where}
			rows={cuts.map((one, i) => ({ value: `${i}`, label: one.words }))}
			value={`${Math.min(where, cuts.length - 1)}`}
			pick={(now) => now && (where = Number(now))}
		/>{/if}
	{#key row.id}
		<WallSizes {store} {found} wall={on} first />
		{#if cut}<WallCutDrawing {store} {cut} wall={on} />{/if}
		<WallSizes {store} {found} wall={on} />
		{#if row.panels}<p class="label mt-4"><Frac text={row.panels} /></p>{/if}
	{/key}
	<FindingList findings={onTab(store.figure?.findings, 'walls')} />
	{#if found.ordered}
		<PourFields {store} holds="walls" label={words.pourAt} {found} ordered={found.ordered} />
	{/if}
{/if}
{#if footed}<NewWall {store} />{:else}<p class="mt-8"><Act kind="quiet" href="?tab=footings">{words.toFootings}</Act></p>{/if}
<p class="mt-8 text-note text-ink2">{words.caution}</p>
