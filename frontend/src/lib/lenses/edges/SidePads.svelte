<script lang="ts">
	/** Pads beside the slab: what stands, and one more, walked round. */
	import { remember } from '../../state/remember.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import Switch from '../../ui/Switch.svelte';
	import { lengthKeys, shownLength } from '../../ui/typed';
	import { EXAMPLES } from '../../words/examples';
	import { edges as edgeWords } from '../../words/edges';
	import { takeOut } from './shape_edits';
	let { store }: { store: JobStore } = $props();
	const plan = $derived(store.document);
	const eg = $derived(EXAMPLES[store.units]);
	const say = (value: number) => (value ? shownLength(value, store.units) : '0');
	const pours = $derived(store.figure?.second_pours ?? []);
	const unit = $derived(store.units === 'mm' ? 'm³' : 'yd³');
	let beside = $state({ text: '', thickness: '', top: '', name: '' });
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/side-pad`,
		() => ({ beside }),
		(old) => ({ beside } = old)
	);
	async function keepBeside() {
		if (
			await store.keep(
				[{ op: 'add_side_pad', name: beside.name, text: beside.text, thickness: beside.thickness, top: beside.top || 0 }],
				'side-pad'
			)
		)
			beside = { text: '', thickness: '', top: '', name: '' };
	}
</script>

<h2 class="panel-head">{edgeWords.sidePads}</h2>
{#each plan?.side_pads ?? [] as row, i}
	{@const pour = pours.find((one) => one.kind === 'side pad' && one.row === i)}
	<div class="panel-row">
		<Field
			label={edgeWords.name}
			mode="text"
			hide
			value={row.name}
			width="130px"
			keep={(name) => store.keep([{ op: 'set_side_pad', side_pad: row.id, changes: { name } }], `sp-${i}`)}
		/>
		<Field
			label={edgeWords.thick}
			value={say(row.thickness_mm)}
			width="64px"
			problem={store.problemFor(`sp-t-${i}`)}
			keep={(thickness_mm) => store.keep([{ op: 'set_side_pad', side_pad: row.id, changes: { thickness_mm } }], `sp-t-${i}`)}
		/>
		<Field
			label={edgeWords.topAt}
			mode="text"
			value={row.top_mm ? `${say(Math.abs(row.top_mm))} ${row.top_mm < 0 ? 'below' : 'above'}` : '0'}
			width="110px"
			problem={store.problemFor(`sp-l-${i}`)}
			keep={(top_mm) => store.keep([{ op: 'set_side_pad', side_pad: row.id, changes: { top_mm } }], `sp-l-${i}`)}
		/>
		<Field
			label={edgeWords.piersUnder}
			mode="text"
			calm
			placeholder={edgeWords.piersHint}
			value={row.piers?.length ? `${row.piers.length} × ${[...new Set(row.piers.map((pier) => pier.type))].join(', ')}` : ''}
			width="130px"
			problem={store.problemFor(`sp-p-${i}`)}
			keep={(piers) => store.keep([{ op: 'set_side_pad', side_pad: row.id, changes: { piers } }], `sp-p-${i}`)}
		/>
		{#if pour}<span class="pb-6 font-[760]"><Num working={pour.working} text={pour.text} /> {unit}</span>{/if}
		<Switch
			on={row.pour === 'with'}
			set={(on) =>
				void store.keep([{ op: 'set_side_pad', side_pad: row.id, changes: { pour: on ? 'with' : 'apart' } }], 'side-pad')}
			>{row.pour === 'with' ? edgeWords.withSlab : edgeWords.pouredApart}</Switch
		>
		<Act kind="quiet" onclick={() => void store.keep([takeOut('side_pads', [row.id])], 'side-pad')}>{edgeWords.out}</Act>
	</div>
{/each}
<div class="panel-row">
	<label class="label long"
		>{edgeWords.besideWalk}<input class="well call" placeholder={edgeWords.sideWalk} bind:value={beside.text} /></label
	>
	<label class="label short"
		>{edgeWords.thick}<input
			{...lengthKeys(store.units)}
			class="well call"
			aria-label="{edgeWords.addSidePad} {edgeWords.thick}"
			placeholder={eg.pad}
			bind:value={beside.thickness}
			onkeydown={(e) => e.key === 'Enter' && void keepBeside()}
		/></label
	>
	<label class="label short"
		>{edgeWords.topAt}<input
			class="well call"
			aria-label="{edgeWords.addSidePad} {edgeWords.topAt}"
			placeholder="0"
			bind:value={beside.top}
		/></label
	>
	<label class="label"
		>{edgeWords.name}<input class="well" aria-label="{edgeWords.addSidePad} {edgeWords.name}" bind:value={beside.name} /></label
	>
	<Act kind="quiet" onclick={() => void keepBeside()}>{edgeWords.addSidePad}</Act>
</div>
{#if store.problemFor('side-pad')}<p class="wrong" role="alert">
		<Frac text={store.problemFor('side-pad')?.detail ?? ''} />
		{#each store.problemFor('side-pad')?.choices ?? [] as choice}<Act
				kind="quiet"
				onclick={() => {
					beside.top = choice.text;
					void keepBeside();
				}}>{choice.label}</Act
			>{/each}
	</p>{/if}
