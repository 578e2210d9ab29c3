<script lang="ts">
	/** Stone in, spoil out, lifts to pack and sign off, grade pegs. */
	import { onTab } from '../../state/findings';
	import { session } from '../../state/session.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { EXAMPLES } from '../../words/examples';
	import { ground as groundWords } from '../../words/ground';
	import type { GroundData } from './ground.svelte';
	import { shownVolume, typedLength } from '../../ui/typed';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Table from '../../ui/Table.svelte';
	let { data }: { data: GroundData } = $props();
	const store = $derived(data.store);
	const found = $derived(data.state?.ground ?? null);
	const plan = $derived(store.document);
	const metric = $derived(store.units === 'mm');
	const money = (cents: number) => (cents / 100).toLocaleString(undefined, { maximumFractionDigits: 0 });
	const volume = (m3: number) => shownVolume(m3, store.units);
	const set = (key: 'on_hand_m3' | 'peg_spacing_mm') => (typed: string) =>
		store.keep([{ op: 'set_ground', changes: { [key]: typed.trim() || null } }], key);
	const setMargin = (typed: string) =>
		store.keep(
			[
				{
					op: 'hold',
					side: store.cornerId(plan?.set_out.hold_side ?? null) || null,
					lot_line: plan?.set_out.lot_line ?? null,
					margin: typed
				}
			],
			'margin'
		);
	let sign = $state({ layer: '', lift: '1', passes: '4' });
	let wrong = $state('');
	async function signOff(layer: string) {
		const got = await data.record('lift-signed', { layer, lift: Number(sign.lift), passes: Number(sign.passes) });
		wrong = got?.words ?? '';
		if (!got) sign = { ...sign, lift: String(Number(sign.lift) + 1) };
	}
	/** crews who grade by pegs find them first */
	const pegsFirst = $derived(session.ways?.ground.grading === 'pegs');
	$effect(() => {
		if (!session.ways) void session.loadWays();
	});
	const layers = $derived([
		...new Set(
			(found?.stack ?? []).filter((row) => ['stone', 'graded', 'blinding', 'fill'].includes(row.kind)).map((row) => row.name)
		)
	]);
</script>

{#snippet pegs()}
	{#if found && plan}
		<h2 class="mt-8">{groundWords.pegs(found.pegs.length)}</h2>
		<div class="row mx-0 my-6 flex flex-wrap items-end gap-x-16 gap-y-6">
			<Field
				label={groundWords.pegSpacing}
				width="170px"
				calm
				placeholder={EXAMPLES[store.units].pegs}
				value={plan.ground.peg_spacing_mm ? typedLength(plan.ground.peg_spacing_mm, store.units) : ''}
				problem={store.problemFor('peg_spacing_mm')}
				keep={set('peg_spacing_mm')}
			/>
			<p class="flex-1">
				{#if found.pegs[0]?.reading_text}<span class="label">{groundWords.pegTop}</span>
					{#each [...new Set(found.pegs.map((peg) => `${peg.zone} ${peg.reading_text}`))].slice(0, 5) as one, i}{i ? '; ' : ''}<b
							><Frac text={one} /></b
						>{/each}{:else}<span class="label">{groundWords.noLaser}</span>{/if}
			</p>
		</div>
	{/if}
{/snippet}

{#if found && plan}
	{#if pegsFirst}{@render pegs()}{/if}
	{#if found.stones.length}
		{#each found.stones as row}
			<section class="stone border-b border-hair px-0 py-5">
				<h2 class="mt-8">{row.mark} <span class="label">{row.name}{row.from_shots ? `, ${groundWords.fromShots}` : ''}</span></h2>
				<p class="sum">
					<b class="big mr-12 text-tally font-[800] font-stretch-[90%]"><Num working={row.mass} /></b>
					<span
						>{metric ? '' : `${row.tonnes.toFixed(1)} ${groundWords.tonnes}, `}<Num working={row.loose} />
						{groundWords.loose}, <Num working={row.compacted} />
						{groundWords.packed}</span
					>
				</p>
				<p>
					{groundWords.trucks(row.trucks)}{row.cost_cents ? `, about ${money(row.cost_cents)}` : ''}. {#each row.lifts as lift, i}{i
							? '; '
							: ''}<Frac text={lift} />{/each}.
				</p>
			</section>
		{/each}
	{:else}<p class="mx-0 my-10 font-[620]">
			{groundWords.noStone}
			<Act kind="quiet" href="?tab=stack">{groundWords.tabs.stack.name}</Act>
		</p>{/if}
	<div class="row mx-0 my-6 flex flex-wrap items-end gap-x-16 gap-y-6">
		<Field
			label={groundWords.onHand}
			width="170px"
			calm
			placeholder="0"
			value={plan.ground.on_hand_m3 ? volume(plan.ground.on_hand_m3) : ''}
			problem={store.problemFor('on_hand_m3')}
			keep={set('on_hand_m3')}
		/>
		<Field
			label={groundWords.margin}
			width="170px"
			calm
			placeholder={EXAMPLES[store.units].margin}
			value={plan.set_out.base_margin_mm != null ? typedLength(plan.set_out.base_margin_mm, store.units) : ''}
			problem={store.problemFor('margin')}
			keep={setMargin}
		/>
	</div>
	<h2 class="mt-8">{groundWords.spoil}</h2>
	{#if found.spoil}
		<Table>
			<tr><th class="font-plain" scope="row">{groundWords.sod}</th><td><Num working={found.spoil.strip} /></td></tr>
			<tr><th class="font-plain" scope="row">{groundWords.digOut}</th><td>{volume(found.spoil.dig_m3)}</td></tr>
			<tr><th class="font-plain" scope="row">{groundWords.trenchOut}</th><td>{volume(found.spoil.trench_m3)}</td></tr>
			{#if found.spoil.footings_m3 > 0}<tr
					><th class="font-plain" scope="row">{groundWords.feetOut}</th><td>{volume(found.spoil.footings_m3)}</td></tr
				>{/if}
			<tr
				><th class="font-plain" scope="row">{groundWords.looseOut}</th><td class="font-[740]"
					><Num working={found.spoil.total} /> · {groundWords.trucks(found.spoil.trucks)}, about {money(found.spoil.haul_cents)}
					{groundWords.haul}</td
				></tr
			>
		</Table>
		<p class="label">{found.spoil.words}</p>
	{:else}<FindingList findings={onTab(data.state?.findings, 'stone')} />{/if}
	{#if !pegsFirst}{@render pegs()}{/if}
	{#if layers.length}
		<h2 class="mt-8">{groundWords.lifts}</h2>
		{#each data.state?.signed ?? [] as row}<p>
				{groundWords.signedAs(row.signed.layer, `${row.signed.lift}`, `${row.signed.passes}`, row.who)}
			</p>{/each}
		<div class="row mx-0 my-6 flex flex-wrap items-end gap-x-16 gap-y-6">
			<label class="label"
				>{groundWords.lift}<input class="reading block w-70" inputmode="numeric" bind:value={sign.lift} /></label
			>
			<label class="label"
				>{groundWords.passes}<input class="reading block w-70" inputmode="numeric" bind:value={sign.passes} /></label
			>
			{#each layers as name}<Act kind="quiet" onclick={() => void signOff(name)}>{groundWords.signLift}: {name}</Act>{/each}
		</div>
		{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
	{/if}
	<p class="label">{groundWords.caution} {groundWords.ways.thumb}</p>
{/if}
