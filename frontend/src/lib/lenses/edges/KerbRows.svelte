<script lang="ts">
	/** Kerbs and knee walls on top: what stands, and one more along a side, all round or along a walk. */
	import { remember } from '../../state/remember.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import Switch from '../../ui/Switch.svelte';
	import { lengthKeys, shownLength } from '../../ui/typed';
	import { EXAMPLES } from '../../words/examples';
	import { kerbs as words } from '../../words/walks';
	import { edges as edgeWords } from '../../words/edges';
	import { takeOut } from './shape_edits';
	let { store }: { store: JobStore } = $props();
	const plan = $derived(store.document);
	const eg = $derived(EXAMPLES[store.units]);
	const sides = $derived(store.figure?.outline?.sides ?? []);
	const sideRows = $derived(sides.map((side, i) => ({ value: `${i}`, label: side.name })));
	const say = (value: number) => (value ? shownLength(value, store.units) : '0');
	const pours = $derived(store.figure?.second_pours ?? []);
	const unit = $derived(store.units === 'mm' ? 'm³' : 'yd³');
	let kerb = $state<{ side: string; text: string; width: string; height: string; name: string }>({
		side: 'all',
		text: '',
		width: '',
		height: '',
		name: ''
	});
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/kerb`,
		() => ({ kerb }),
		(old) => ({ kerb } = old)
	);
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
</script>

<h2 class="panel-head">{edgeWords.kerbs}</h2>
{#each plan?.kerbs ?? [] as row, i}
	{@const pour = pours.find((one) => one.kind === 'kerb' && one.row === i)}
	<div class="panel-row">
		<Field
			label={edgeWords.name}
			mode="text"
			hide
			value={row.name ?? ''}
			width="130px"
			keep={(name) => store.keep([{ op: 'set_kerb', kerb: row.id, changes: { name } }], `kerb-name-${i}`)}
		/>
		<Field
			label={edgeWords.wide}
			value={say(row.width_mm)}
			width="64px"
			problem={store.problemFor(`kerb-w-${i}`)}
			keep={(width_mm) => store.keep([{ op: 'set_kerb', kerb: row.id, changes: { width_mm } }], `kerb-w-${i}`)}
		/>
		<Field
			label={edgeWords.high}
			value={say(row.height_mm)}
			width="64px"
			problem={store.problemFor(`kerb-h-${i}`)}
			keep={(height_mm) => store.keep([{ op: 'set_kerb', kerb: row.id, changes: { height_mm } }], `kerb-h-${i}`)}
		/>
		<Field
			label={edgeWords.leaveOuts}
			value={(row.leave_outs ?? []).map((gap) => `${say(gap.from_mm)} to ${say(gap.to_mm)}`).join(', ')}
			placeholder={edgeWords.leaveHint}
			calm
			width="170px"
			problem={store.problemFor(`kerb-l-${i}`)}
			keep={(leave_outs) => store.keep([{ op: 'set_kerb', kerb: row.id, changes: { leave_outs } }], `kerb-l-${i}`)}
		/>
		<Field
			label={edgeWords.panels}
			value={row.panel_mm ? say(row.panel_mm) : ''}
			placeholder={edgeWords.noneWord}
			calm
			width="84px"
			problem={store.problemFor(`kerb-p-${i}`)}
			keep={(panel_mm) => store.keep([{ op: 'set_kerb', kerb: row.id, changes: { panel_mm } }], `kerb-p-${i}`)}
		/>
		<Field
			label={words.starters}
			value={row.starter_mm ? say(row.starter_mm) : ''}
			placeholder={edgeWords.noneWord}
			calm
			width="104px"
			problem={store.problemFor(`kerb-s-${i}`)}
			keep={(starter_mm) => store.keep([{ op: 'set_kerb', kerb: row.id, changes: { starter_mm } }], `kerb-s-${i}`)}
		/>
		{#if pour}<span class="pb-6 font-[760]"><Num working={pour.working} text={pour.text} /> {unit}</span>{/if}
		<Switch
			on={row.pour === 'with'}
			set={(on) => void store.keep([{ op: 'set_kerb', kerb: row.id, changes: { pour: on ? 'with' : 'apart' } }], 'kerb')}
			>{row.pour === 'with' ? edgeWords.withSlab : edgeWords.pouredApart}</Switch
		>
		<Act kind="quiet" onclick={() => void store.keep([takeOut('kerbs', [row.id])], 'kerb')}>{edgeWords.out}</Act>
	</div>
	{#if pour?.starters?.length}<p class="label mb-6">{words.starterCount(pour.starters.length)}</p>{/if}
	{#if pour?.panels}<p class="label mb-6"><Frac text={pour.panels} /></p>{/if}
{/each}
<div class="panel-row">
	<Choose
		label
		name={edgeWords.kerbAlong}
		rows={[{ value: 'all', label: edgeWords.allRound }, { value: 'walk', label: edgeWords.walked }, ...sideRows]}
		value={kerb.side}
		pick={(side) => (kerb.side = side)}
	/>
	{#if kerb.side === 'walk'}<label class="label long"
			><span>{edgeWords.walked}</span><input class="well call" placeholder={edgeWords.beamWalk} bind:value={kerb.text} /></label
		>{/if}
	<label class="label short"
		>{edgeWords.wide}<input
			{...lengthKeys(store.units)}
			class="well call"
			aria-label="{edgeWords.addKerb} {edgeWords.wide}"
			placeholder={eg.kerbWide}
			bind:value={kerb.width}
		/></label
	>
	<label class="label short"
		>{edgeWords.high}<input
			{...lengthKeys(store.units)}
			class="well call"
			aria-label="{edgeWords.addKerb} {edgeWords.high}"
			placeholder={eg.kerbHigh}
			bind:value={kerb.height}
			onkeydown={(e) => e.key === 'Enter' && void keepKerb()}
		/></label
	>
	<Act kind="quiet" onclick={() => void keepKerb()}>{edgeWords.addKerb}</Act>
</div>
{#if store.problemFor('kerb')}<p class="wrong" role="alert">
		<Frac text={store.problemFor('kerb')?.detail ?? ''} />
	</p>{/if}
