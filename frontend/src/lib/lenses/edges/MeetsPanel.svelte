<script lang="ts">
	/** What the slab meets: an old floor and its levels, kerbs and knee walls on top, pads beside, piles below. */
	import { onTab } from '../../state/findings';
	import { remember } from '../../state/remember.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { lengthKeys, shownLength } from '../../ui/typed';
	import { EXAMPLES } from '../../words/examples';
	import { w } from '../../words/words';
	import type { EdgesData } from './edges.svelte';
	import { setPiles, takeOut } from './shape_edits';
	import MatchProfile from './MatchProfile.svelte';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	let { store, data }: { store: JobStore; data: EdgesData } = $props();
	const plan = $derived(store.document);
	const sides = $derived(store.figure?.outline?.sides ?? []);
	const sideRows = $derived(sides.map((side, i) => ({ value: `${i}`, label: side.name })));
	const mm = $derived(store.units === 'mm');
	const eg = $derived(EXAMPLES[store.units]);
	const say = (value: number) => (value ? shownLength(value, store.units) : '0');
	let level = $state({ side: 0, along: '', level: '' });
	let kerb = $state<{ side: string; text: string; width: string; height: string; name: string }>({
		side: 'all',
		text: '',
		width: '',
		height: '',
		name: ''
	});
	let beside = $state({ text: '', thickness: '', top: '', name: '' });
	let piles = $state({ text: '', diameter: '', down: '' });
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/meets`,
		() => ({ level, kerb, beside, piles }),
		(old) => ({ level, kerb, beside, piles } = old)
	);
	const matches = $derived(data.state?.matches ?? []);
	const worst = $derived([...matches].sort((a, b) => Math.abs(b.worst_mm) - Math.abs(a.worst_mm))[0]);
	$effect(() => {
		const side = matches[0]?.side;
		if (side !== undefined && !level.along) level.side = side;
	});
	const pours = $derived(store.figure?.second_pours ?? []);
	const unit = $derived(mm ? 'm³' : 'yd³');
	async function keepLevel() {
		if (
			await store.keep(
				[{ op: 'measure_level', side: store.cornerId(level.side), along: level.along || '0', level: level.level || 0 }],
				'level'
			)
		)
			level = { ...level, along: '', level: '' };
	}
	async function keepKerb() {
		const on = kerb.side === 'all' ? sides.map((_, i) => i) : kerb.side === 'walk' ? [] : [Number(kerb.side)];
		if (
			await store.keep(
				[
					{
						op: 'add_kerb',
						name: kerb.name,
						sides: on.map((side) => store.cornerId(side)),
						text: kerb.side === 'walk' ? kerb.text : '',
						width: kerb.width,
						height: kerb.height
					}
				],
				'kerb'
			)
		)
			kerb = { ...kerb, text: '', name: '' };
	}
	async function keepBeside() {
		if (
			await store.keep(
				[{ op: 'add_side_pad', name: beside.name, text: beside.text, thickness: beside.thickness, top: beside.top || 0 }],
				'side-pad'
			)
		)
			beside = { text: '', thickness: '', top: '', name: '' };
	}
	async function keepPiles(pads = false) {
		if (
			await store.keep(
				[setPiles({ text: pads ? '' : piles.text, pads, diameter: piles.diameter, head_down: piles.down })],
				'piles'
			)
		)
			piles = { ...piles, text: '' };
	}
	const own = $derived(onTab(store.figure?.findings, 'meets'));
	/* said above and beside its profile */
	const off = $derived(own.some((one) => one.code === 'match-off'));
	const doubts = $derived(own.filter((one) => one.code !== 'match-off'));
</script>

{#snippet wrong(at: string)}
	{#if store.problemFor(at)}<p class="wrong" role="alert">
			<Frac text={store.problemFor(at)?.detail ?? ''} />
			{#each at === 'level' || at === 'side-pad' ? (store.problemFor(at)?.choices ?? []) : [] as choice}<Act
					kind="quiet"
					onclick={() => {
						if (at === 'level') {
							level.level = choice.text;
							void keepLevel();
						} else {
							beside.top = choice.text;
							void keepBeside();
						}
					}}>{choice.label}</Act
				>{/each}
		</p>{/if}
{/snippet}

<Verdict
	text={worst
		? w.edges.offOld(`${shownLength(Math.abs(worst.worst_mm), store.units)}${mm ? ' mm' : ''}`, worst.against)
		: plan?.existing.length
			? w.edges.oldNotRead
			: w.edges.noOld}
	is={off ? 'bad' : worst ? 'good' : 'plain'}
/>
<h2 class="mt-8">{w.edges.match}</h2>
{#each matches as match}
	<MatchProfile {match} units={store.units} />
	<p><Frac text={match.words} /></p>
	<div class="panel-row">
		<Act kind="main" onclick={() => void store.keep([{ op: 'follow_side', side: store.cornerId(match.side) }], 'level')}
			>{w.edges.follow}</Act
		>
		<Act
			kind="quiet"
			onclick={() =>
				void store.keep(
					[{ op: 'clear_levels', existing: plan?.existing.find((thing) => thing.name === match.against)?.id ?? '' }],
					'level'
				)}>{w.edges.forget}</Act
		>
	</div>
{/each}
{#if plan?.existing.length}
	<p class="label">{w.edges.matchHint}</p>
	<div class="panel-row">
		<Choose label name={w.edges.onSide} rows={sideRows} value={`${level.side}`} pick={(at) => (level.side = Number(at))} />
		<label class="label"
			>{w.edges.along}<input
				{...lengthKeys(store.units)}
				class="well call"
				placeholder={eg.along}
				bind:value={level.along}
			/></label
		>
		<label class="label"
			>{w.edges.level}<input
				class="well call"
				placeholder={eg.level}
				bind:value={level.level}
				onkeydown={(e) => e.key === 'Enter' && void keepLevel()}
			/></label
		>
		<Act kind="quiet" onclick={() => void keepLevel()}>{w.edges.keepLevel}</Act>
	</div>
{:else}<p class="label">{w.edges.nothingBeside}</p>{/if}
{@render wrong('level')}

<h2 class="panel-head">{w.edges.kerbs}</h2>
{#each plan?.kerbs ?? [] as row, i}
	{@const pour = pours.find((one) => one.kind === 'kerb' && one.row === i)}
	<div class="panel-row">
		<Field
			label={w.edges.name}
			mode="text"
			hide
			value={row.name ?? ''}
			width="130px"
			keep={(name) => store.keep([{ op: 'set_kerb', kerb: row.id, changes: { name } }], `kerb-name-${i}`)}
		/>
		<Field
			label={w.edges.wide}
			value={say(row.width_mm)}
			width="64px"
			problem={store.problemFor(`kerb-w-${i}`)}
			keep={(width_mm) => store.keep([{ op: 'set_kerb', kerb: row.id, changes: { width_mm } }], `kerb-w-${i}`)}
		/>
		<Field
			label={w.edges.high}
			value={say(row.height_mm)}
			width="64px"
			problem={store.problemFor(`kerb-h-${i}`)}
			keep={(height_mm) => store.keep([{ op: 'set_kerb', kerb: row.id, changes: { height_mm } }], `kerb-h-${i}`)}
		/>
		<Field
			label={w.edges.leaveOuts}
			value={(row.leave_outs ?? []).map((gap) => `${say(gap.from_mm)} to ${say(gap.to_mm)}`).join(', ')}
			placeholder={w.edges.leaveHint}
			calm
			width="170px"
			problem={store.problemFor(`kerb-l-${i}`)}
			keep={(leave_outs) => store.keep([{ op: 'set_kerb', kerb: row.id, changes: { leave_outs } }], `kerb-l-${i}`)}
		/>
		{#if pour}<span class="pb-6 font-[760]"><Num working={pour.working} text={pour.text} /> {unit}</span>{/if}
		<Act kind="quiet" onclick={() => void store.keep([takeOut('kerbs', [row.id])], 'kerb')}>{w.edges.out}</Act>
	</div>
{/each}
<div class="panel-row">
	<Choose
		label
		name={w.edges.kerbAlong}
		rows={[{ value: 'all', label: w.edges.allRound }, { value: 'walk', label: w.edges.walked }, ...sideRows]}
		value={kerb.side}
		pick={(side) => (kerb.side = side)}
	/>
	{#if kerb.side === 'walk'}<label class="label long"
			><span>{w.edges.walked}</span><input class="well call" placeholder={w.edges.beamWalk} bind:value={kerb.text} /></label
		>{/if}
	<label class="label short"
		>{w.edges.wide}<input
			{...lengthKeys(store.units)}
			class="well call"
			aria-label="{w.edges.addKerb} {w.edges.wide}"
			placeholder={eg.kerbWide}
			bind:value={kerb.width}
		/></label
	>
	<label class="label short"
		>{w.edges.high}<input
			{...lengthKeys(store.units)}
			class="well call"
			aria-label="{w.edges.addKerb} {w.edges.high}"
			placeholder={eg.kerbHigh}
			bind:value={kerb.height}
			onkeydown={(e) => e.key === 'Enter' && void keepKerb()}
		/></label
	>
	<Act kind="quiet" onclick={() => void keepKerb()}>{w.edges.addKerb}</Act>
</div>
{@render wrong('kerb')}

<h2 class="panel-head">{w.edges.sidePads}</h2>
{#each plan?.side_pads ?? [] as row, i}
	{@const pour = pours.find((one) => one.kind === 'side pad' && one.row === i)}
	<div class="panel-row">
		<Field
			label={w.edges.name}
			mode="text"
			hide
			value={row.name}
			width="130px"
			keep={(name) => store.keep([{ op: 'set_side_pad', side_pad: row.id, changes: { name } }], `sp-${i}`)}
		/>
		<Field
			label={w.edges.thick}
			value={say(row.thickness_mm)}
			width="64px"
			problem={store.problemFor(`sp-t-${i}`)}
			keep={(thickness_mm) => store.keep([{ op: 'set_side_pad', side_pad: row.id, changes: { thickness_mm } }], `sp-t-${i}`)}
		/>
		<Field
			label={w.edges.topAt}
			mode="text"
			value={row.top_mm ? `${say(Math.abs(row.top_mm))} ${row.top_mm < 0 ? 'below' : 'above'}` : '0'}
			width="110px"
			problem={store.problemFor(`sp-l-${i}`)}
			keep={(top_mm) => store.keep([{ op: 'set_side_pad', side_pad: row.id, changes: { top_mm } }], `sp-l-${i}`)}
		/>
		{#if pour}<span class="pb-6 font-[760]"><Num working={pour.working} text={pour.text} /> {unit}</span>{/if}
		<Act kind="quiet" onclick={() => void store.keep([takeOut('side_pads', [row.id])], 'side-pad')}>{w.edges.out}</Act>
	</div>
{/each}
<div class="panel-row">
	<label class="label long"
		>{w.edges.besideWalk}<input class="well call" placeholder={w.edges.sideWalk} bind:value={beside.text} /></label
	>
	<label class="label short"
		>{w.edges.thick}<input
			{...lengthKeys(store.units)}
			class="well call"
			aria-label="{w.edges.addSidePad} {w.edges.thick}"
			placeholder={eg.pad}
			bind:value={beside.thickness}
			onkeydown={(e) => e.key === 'Enter' && void keepBeside()}
		/></label
	>
	<label class="label short"
		>{w.edges.topAt}<input
			class="well call"
			aria-label="{w.edges.addSidePad} {w.edges.topAt}"
			placeholder="0"
			bind:value={beside.top}
		/></label
	>
	<label class="label"
		>{w.edges.name}<input class="well" aria-label="{w.edges.addSidePad} {w.edges.name}" bind:value={beside.name} /></label
	>
	<Act kind="quiet" onclick={() => void keepBeside()}>{w.edges.addSidePad}</Act>
</div>
{@render wrong('side-pad')}

<h2 class="panel-head">{w.edges.piles}</h2>
{#each plan?.piles ?? [] as row, i}
	<div class="panel-row">
		<b>{row.at.length} × {row.name}</b>
		<Field
			label={w.edges.diameter}
			value={say(row.diameter_mm)}
			width="64px"
			keep={(diameter) => store.keep([setPiles({ piles: row.id, diameter })], `pile-d-${i}`)}
		/>
		<Field
			label={w.edges.headDown}
			value={say(row.head_down_mm)}
			width="118px"
			problem={store.problemFor(`pile-h-${i}`)}
			keep={(head_down) => store.keep([setPiles({ piles: row.id, head_down })], `pile-h-${i}`)}
		/>
		<Field
			label={w.edges.above}
			value={say(row.least_above_mm)}
			width="100px"
			keep={(least_above) => store.keep([setPiles({ piles: row.id, least_above })], `pile-a-${i}`)}
		/>
		<Field
			label={w.edges.below}
			value={say(row.least_below_mm)}
			width="100px"
			keep={(least_below) => store.keep([setPiles({ piles: row.id, least_below })], `pile-b-${i}`)}
		/>
		<Act kind="quiet" onclick={() => void store.keep([takeOut('piles', [row.id])], 'piles')}>{w.edges.out}</Act>
	</div>
{/each}
<div class="panel-row">
	<label class="label short"
		>{w.edges.diameter}<input
			{...lengthKeys(store.units)}
			class="well call"
			aria-label="{w.edges.piles} {w.edges.diameter}"
			placeholder={eg.pile}
			bind:value={piles.diameter}
		/></label
	>
	<label class="label"
		>{w.edges.headDown}<input
			{...lengthKeys(store.units)}
			class="well call"
			placeholder={eg.down}
			bind:value={piles.down}
		/></label
	>
	<label class="label long"
		>{w.edges.onePad.replace('pad', 'pile')}<input
			class="well call"
			placeholder={w.edges.padWalk}
			bind:value={piles.text}
			onkeydown={(e) => e.key === 'Enter' && void keepPiles()}
		/></label
	>
	<Act kind="quiet" onclick={() => void keepPiles()}>+</Act>
	{#if plan?.pads.length}<Act kind="quiet" onclick={() => void keepPiles(true)}>{w.edges.underPads}</Act>{/if}
</div>
{@render wrong('piles')}
<FindingList findings={doubts} />
