<script lang="ts">
	/** Trenches as dug, and the ledger three ways: planned, as dug, as shot, with what each costs. */
	import { onTab } from '../../state/findings';
	import { note, restored } from '../../state/remember.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { ground as groundWords } from '../../words/ground';
	import { w } from '../../words/words';
	import { yardWords } from '../../words/yard';
	import type { GroundData } from './ground.svelte';
	import { lengthKeys, shownVolume, typedLength } from '../../ui/typed';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Table from '../../ui/Table.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	let { data, picked, choose }: { data: GroundData; picked: number; choose: (index: number) => void } = $props();
	const store = $derived(data.store);
	const runs = $derived(data.state?.ground.dug ?? []);
	const run = $derived(runs[picked] ?? null);
	const unit = $derived(store.units === 'mm' ? 'm³' : 'yd³');
	let rows = $state<{ at: string; width: string; depth: string }[]>([]);
	const key = $derived(`${store.id}/dug/${run?.name ?? ''}`);
	let wrong = $state('');
	let told = $state('');
	$effect(() => {
		const now = run;
		const own = (now?.stations ?? []).map((one) => ({
			at: typedLength(one.at_mm, store.units),
			width: typedLength(one.width_mm, store.units),
			depth: typedLength(one.depth_mm, store.units)
		}));
		const blank = now ? ['0', typedLength(now.length_mm, store.units)].map((at) => ({ at, width: '', depth: '' })) : [];
		rows = restored<typeof rows>(key) ?? (own.length ? own : blank);
	});
	const measured = $derived(runs.filter((one) => one.measured));
	const more = $derived(measured.reduce((sum, one) => sum + one.extra_m3, 0));
	const full = $derived(rows.filter((row) => row.width.trim() && row.depth.trim()));
	const inches = (text: string) =>
		store.units === 'ft-in' && /^\d+(\.\d+)?$/.test(text.trim()) ? `${text.trim()}"` : text.trim();
	const feet = (text: string) => (store.units === 'ft-in' && /^\d+(\.\d+)?$/.test(text.trim()) ? `${text.trim()}'` : text.trim());
	async function keep() {
		if (!run) return;
		const stations = full.map((row) => ({
			at_mm: feet(row.at || '0'),
			width_mm: inches(row.width),
			depth_mm: inches(row.depth)
		}));
		wrong =
			(
				await data.record('as-dug', {
					...((run.beam ?? null) !== null
						? { beam: store.rowId('beams', run.beam ?? 0) }
						: run.side === null
							? { row: store.rowId('edges', run.row) }
							: { side: store.cornerId(run.side) }),
					stations
				})
			)?.words ?? '';
		if (!wrong) note(key, '');
		told = wrong ? '' : `${run.name}: ${data.state?.ground.dug[picked]?.words ?? ''}`;
	}
	const setBucket = (typed: string) =>
		store.keep([{ op: 'set_ground', changes: { bucket_mm: typed.trim() || null } }], 'bucket_mm');
	const money = (cents: number) => (cents ? `${cents > 0 ? '+' : '−'}${(Math.abs(cents) / 100).toFixed(0)}` : '');
	const all = $derived(data.state?.ground.parts.reduce((sum, part) => sum + part.extra_cents, 0) ?? 0);
</script>

{#if runs.length && data.state}
	<Verdict
		text={measured.length ? groundWords.dugMore(shownVolume(Math.abs(more), store.units, 2), more) : groundWords.dugNone}
		under={groundWords.dugOf(measured.length, runs.length)}
	/>
	<Table heads={[groundWords.trenchOf, groundWords.pressTrench]}>
		{#each runs as one, i}
			<tr class:on={i === picked}
				><th scope="row"
					><button class="min-h-30 text-left pointer-coarse:min-h-44" type="button" onclick={() => choose(i)}
						>{one.name} <span class="label">{one.mark}</span></button
					></th
				><td><Frac text={one.words} /></td></tr
			>
		{/each}
	</Table>
	{#if run}
		<h2 class="mt-8">{run.name}: {groundWords.stations.toLowerCase()}</h2>
		{#each rows as row, i}
			<div
				class={['row mx-0 my-5 flex flex-wrap items-end gap-x-12 gap-y-6 max-phone:grid', 'max-phone:grid-cols-[1fr_1fr_1fr]']}
				oninput={() => note(key, $state.snapshot(rows))}
			>
				<label class="label"
					>{i ? '' : groundWords.stationAt}<input
						{...lengthKeys(store.units)}
						class="reading block w-140 max-phone:w-full"
						aria-label="{groundWords.stationAt} {i + 1}"
						bind:value={row.at}
					/></label
				>
				<label class="label"
					>{i ? '' : groundWords.wide}<input
						{...lengthKeys(store.units)}
						class="reading block w-140 max-phone:w-full"
						aria-label="{groundWords.wide} {i + 1}"
						bind:value={row.width}
					/></label
				>
				<label class="label"
					>{i ? '' : groundWords.deep}<input
						{...lengthKeys(store.units)}
						class="reading block w-140 max-phone:w-full"
						aria-label="{groundWords.deep} {i + 1}"
						bind:value={row.depth}
					/></label
				>
			</div>
		{/each}
		<div class="row mx-0 my-5 flex flex-wrap items-end gap-x-12 gap-y-6">
			<Act kind="quiet" onclick={() => rows.push({ at: '', width: '', depth: '' })}>{groundWords.addStation}</Act>
			<Act kind="main" disabled={!full.length} onclick={() => void keep()}>{groundWords.keepDug}</Act>
			{#if told}<span role="status"><Frac text={told} /></span>{/if}
		</div>
		{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
	{/if}
	<Field
		label={groundWords.bucket}
		width="170px"
		calm
		placeholder={w.notSet}
		value={store.document?.ground.bucket_mm ? typedLength(store.document.ground.bucket_mm, store.units) : ''}
		problem={store.problemFor('bucket_mm')}
		keep={setBucket}
	/>
	<FindingList findings={onTab(data.state.findings, 'dug')} />
{:else}<p>{groundWords.noTrench}</p>{/if}
{#if data.state}
	<Table
		class="three mt-10"
		heads={[
			{ says: groundWords.part, class: 'font-plain' },
			{ says: `${groundWords.planned}, ${unit}`, class: 'font-plain' },
			{ says: groundWords.asDug, class: 'font-plain' },
			{ says: groundWords.asShot, class: 'font-plain' },
			{ says: groundWords.costs, class: 'font-plain' }
		]}
	>
		{#each data.state.ground.parts as part}
			<tr
				><th class="font-plain" scope="row">{part.part}</th><td class="font-[620] whitespace-nowrap">{part.planned_text}</td><td
					class="font-[620] whitespace-nowrap">{part.dug_text || '–'}</td
				><td class="font-[620] whitespace-nowrap">{part.shot_text || '–'}</td><td class="font-[620] whitespace-nowrap"
					>{money(part.extra_cents)}</td
				></tr
			>
		{/each}
		<tr
			><th class="font-[760]" scope="row">{yardWords.total}</th><td class="font-[760] whitespace-nowrap"
				>{store.kept?.figure.concrete?.net_text}</td
			><td class="font-[760] whitespace-nowrap"></td><td class="font-[760] whitespace-nowrap"></td><td
				class="font-[760] whitespace-nowrap">{money(all)}</td
			></tr
		>
	</Table>
{/if}
