<script lang="ts">
	/** What is poured along the outline: laps over old concrete, saw cuts, sidewalks, ramps; each cut across, and one more. */
	import type { Snippet } from 'svelte';
	import { onTab } from '../../state/findings';
	import type { JobStore } from '../../state/job.svelte';
	import Choice from '../../ui/Choice.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { shownVolume } from '../../ui/typed';
	import Verdict from '../../ui/Verdict.svelte';
	import { walks as words } from '../../words/walks';
	import BesideCut from './BesideCut.svelte';
	import BesideSizes from './BesideSizes.svelte';
	import NewBeside from './NewBeside.svelte';
	let { store, side, box }: { store: JobStore; side: number | null; box: Snippet } = $props();
	const rows = $derived(store.figure?.beside ?? []);
	const pours = $derived(store.figure?.second_pours ?? []);
	const pourOf = (one: (typeof rows)[number] | undefined) =>
		one &&
		pours.find((pour) => pour.row === one.row && (pour.kind === one.kind || (one.kind === 'lap' && pour.kind === 'saw-cut')));
	const own = $derived(rows.map(pourOf).filter((pour) => pour !== undefined));
	const sum = (withSlab: boolean | null) =>
		own.filter((pour) => withSlab === null || pour.with_slab === withSlab).reduce((total, pour) => total + pour.m3, 0);
	const unit = $derived(store.units === 'mm' ? 'm³' : 'yd');
	const say = (m3: number) => shownVolume(m3, store.units, 2);
	let picked = $state('');
	const one = $derived(rows.find((row) => row.id === picked) ?? rows.at(-1));
	const pour = $derived(pourOf(one));
</script>

<Verdict
	text={rows.length ? words.all(say(sum(null))) : words.none}
	under={!rows.length ? words.noneUnder : sum(true) && sum(false) ? words.split(say(sum(true)), say(sum(false))) : ''}
/>
{@render box()}
{#if one}
	<Choice
		name={words.which}
		rows={rows.map((row) => ({ value: row.id, label: row.name }))}
		value={one.id}
		pick={(now) => now && (picked = now)}
	/>
	<p class="mt-6">
		<b class="text-key"><Frac text={one.words} /></b>
		{#if pour}<span class="ml-8 text-key font-[760]"><Num working={pour.working} text={pour.text} /> {unit}</span>{/if}
		<span class="label ml-8"><Frac text={words.forms(one.form_text)} /></span>
	</p>
	{#key one.id}<BesideCut {store} {one} />
		<BesideSizes {store} {one} />{/key}
{/if}
<FindingList findings={onTab(store.figure?.findings, 'walks')} />
<NewBeside {store} {side} />
<p class="mt-8 text-note text-ink2">{words.caution}</p>
