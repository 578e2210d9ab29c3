<script lang="ts">
	/** Zones, slabs, recesses and set-downs, and the level of every corner. */
	import { onTab } from '../../state/findings';
	import { remember } from '../../state/remember.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { shownLength } from '../../ui/typed';
	import { w } from '../../words/words';
	import { nextMark } from './section_edits';
	import type { EdgesData } from './edges.svelte';
	import { takeOut } from './shape_edits';
	import Choice from '../../ui/Choice.svelte';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	let { store, data }: { store: JobStore; data: EdgesData } = $props();
	const plan = $derived(store.document);
	const sides = $derived(store.figure?.outline?.sides ?? []);
	const mm = $derived(store.units === 'mm');
	const say = (value: number) => (value ? shownLength(value, store.units) : '0');
	const boxes = [
		{ value: 'keeps', label: w.edges.keeps },
		{ value: 'thins', label: w.edges.thins }
	];
	let [slabText, partText, partName] = $state(['', '', '']);
	let box = $state({ name: '', text: '', depth: '', keeps: false });
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/top`,
		() => ({ slabText, partText, partName, box }),
		(old) => ({ slabText, partText, partName, box } = old)
	);
	let door = $state({ side: 0, start: '', width: '', inward: '', depth: '' });
	const levels = $derived(store.figure?.levels ?? []);
	const zones = $derived([...new Set(levels.map((row) => row.zone))]);
	const doubts = $derived(onTab(store.figure?.findings, 'top'));
	async function newSlab() {
		if (
			await store.keep(
				[
					{
						op: 'set_slab_type',
						mark: nextMark(
							'S',
							(plan?.slab_types ?? []).map((t) => t.mark)
						),
						thickness: slabText
					}
				],
				'new-slab'
			)
		)
			slabText = '';
	}
	async function newPart() {
		if (await store.keep([{ op: 'walk_zone', text: partText, name: partName, drop: 0 }], 'new-part')) partText = partName = '';
	}
	async function newBox() {
		if (
			await store.keep(
				[{ op: 'add_recess', name: box.name, text: box.text, depth: box.depth, keeps_thickness: box.keeps }],
				'new-recess'
			)
		)
			box = { name: '', text: '', depth: '', keeps: false };
	}
	async function newDoor() {
		const done = await store.keep(
			[
				{
					op: 'add_recess',
					name: '',
					text: '',
					keeps_thickness: false,
					side: store.cornerId(door.side),
					start: door.start,
					width: door.width,
					inward: door.inward,
					depth: door.depth
				}
			],
			'new-door'
		);
		if (done) door = { ...door, start: '', width: '' };
	}
</script>

{#snippet wrong(at: string)}
	{#if store.problemFor(at)}<p class="wrong" role="alert"><Frac text={store.problemFor(at)?.detail ?? ''} /></p>{/if}
{/snippet}

{#if plan}
	<h2>{w.edges.zones}</h2>
	{#each plan.zones as zone, i}
		<div class="panel-row">
			<Field
				label={w.edges.name}
				hide
				value={zone.name}
				width="136px"
				problem={store.problemFor(`zone-name-${i}`)}
				keep={(name) => store.keep([{ op: 'set_zone', zone: zone.id, changes: { name } }], `zone-name-${i}`)}
			/>
			<Choice
				rows={plan.slab_types.map((slab) => ({ value: slab.mark, label: slab.mark }))}
				value={zone.slab}
				pick={(slab) => slab && void store.keep([{ op: 'set_zone', zone: zone.id, changes: { slab } }], 'zone')}
				name="{zone.name} {w.edges.slab}"
			/>
			<Field
				label={w.edges.drop}
				value={say(zone.drop_mm)}
				width="72px"
				problem={store.problemFor(`zone-drop-${i}`)}
				keep={(drop_mm) => store.keep([{ op: 'set_zone', zone: zone.id, changes: { drop_mm } }], `zone-drop-${i}`)}
			/>
			<label class="label w-104"
				>{w.edges.use}<select
					class="plain-select"
					value={zone.use ?? ''}
					onchange={(e) =>
						void store.keep([{ op: 'set_zone', zone: zone.id, changes: { use: e.currentTarget.value || null } }], 'zone')}
					>{#each Object.entries(w.edges.uses) as [key, name]}<option value={key}>{name}</option>{/each}</select
				></label
			>
			{#if plan.zones.length > 1}<Act
					kind="quiet"
					aria-label="{w.edges.out} {zone.name}"
					onclick={() => void store.keep([{ op: 'remove_zone', zone: zone.id }], 'zone')}>{w.edges.out}</Act
				>{/if}
		</div>
	{/each}
	{@render wrong('zone')}
	<div class="panel-row">
		<label class="label long"
			>{w.edges.part}<input
				class="well call"
				placeholder={w.edges.partHint}
				bind:value={partText}
				onkeydown={(e) => e.key === 'Enter' && void newPart()}
			/></label
		>
		<label class="label"
			>{w.edges.partName}<input
				class="well"
				bind:value={partName}
				onkeydown={(e) => e.key === 'Enter' && void newPart()}
			/></label
		>
		<Act kind="quiet" aria-label={w.edges.part} onclick={() => void newPart()}>+</Act>
	</div>
	{@render wrong('new-part')}
	<div class="panel-row">
		{#each plan.slab_types as slab}<Field
				label={`${slab.mark} ${w.edges.thickness}`}
				value={say(slab.thickness_mm)}
				width="74px"
				problem={store.problemFor(`slab-${slab.mark}`)}
				keep={(thickness) => store.keep([{ op: 'set_slab_type', mark: slab.mark, thickness }], `slab-${slab.mark}`)}
			/>{/each}
		<label class="label"
			>{w.edges.newSlab}<input
				class="well"
				placeholder={mm ? '150' : '6″'}
				bind:value={slabText}
				onkeydown={(e) => e.key === 'Enter' && void newSlab()}
			/></label
		>
	</div>
	{@render wrong('new-slab')}
	<p class="label">{w.edges.falls} <Act kind="quiet" href="/job/{store.id}/ground?tab=falls">{w.ground.tabs.falls.name}</Act></p>

	<h2 class="panel-head">{w.edges.recesses}</h2>
	{#each plan.recesses as recess, i}
		<div class="panel-row">
			<Field
				label={w.edges.name}
				hide
				value={recess.name}
				width="136px"
				problem={store.problemFor(`recess-name-${i}`)}
				keep={(name) => store.keep([{ op: 'set_recess', recess: recess.id, changes: { name } }], `recess-name-${i}`)}
			/>
			<Field
				label={w.edges.recessDeep}
				value={say(recess.depth_mm)}
				width="72px"
				problem={store.problemFor(`recess-${i}`)}
				keep={(depth_mm) => store.keep([{ op: 'set_recess', recess: recess.id, changes: { depth_mm } }], `recess-${i}`)}
			/>
			<Choice
				rows={boxes}
				value={recess.keeps_thickness ? 'keeps' : 'thins'}
				pick={(now) =>
					now &&
					void store.keep([{ op: 'set_recess', recess: recess.id, changes: { keeps_thickness: now === 'keeps' } }], 'recess')}
				name="{recess.name} {w.edges.under}"
			/>
			<Act kind="quiet" onclick={() => data.choose('recess', i)}>{w.edges.showCut}</Act>
			<Act
				kind="quiet"
				aria-label="{w.edges.out} {recess.name}"
				onclick={() => void store.keep([takeOut('recesses', [recess.id])], 'recess')}>{w.edges.out}</Act
			>
		</div>
	{/each}
	{@render wrong('recess')}
	<div class="panel-row">
		<label class="label long"
			>{w.edges.addRecess}<input class="well call" placeholder={w.edges.recessWalk} bind:value={box.text} /></label
		>
		<label class="label short"
			>{w.edges.recessDeep}<input
				class="well call"
				aria-label="{w.edges.addRecess} {w.edges.recessDeep}"
				placeholder={mm ? '40' : '1 1/2'}
				bind:value={box.depth}
				onkeydown={(e) => e.key === 'Enter' && void newBox()}
			/></label
		>
		<label class="label"
			>{w.edges.recessName}<input
				class="well"
				aria-label="{w.edges.addRecess} {w.edges.recessName}"
				bind:value={box.name}
			/></label
		>
		<Choice
			rows={boxes}
			value={box.keeps ? 'keeps' : 'thins'}
			pick={(now) => now && (box.keeps = now === 'keeps')}
			name="{w.edges.addRecess} {w.edges.under}"
		/>
		<Act kind="main" disabled={!box.text.trim() || !box.depth.trim()} onclick={() => void newBox()}>{w.edges.addRecess}</Act>
	</div>
	{@render wrong('new-recess')}
	<div class="panel-row">
		<label class="label"
			>{w.edges.setDown}<select class="plain-select" bind:value={door.side}
				>{#each sides as side, i}<option value={i}>{side.name}</option>{/each}</select
			></label
		>
		<label class="label short"
			>{w.edges.starts}<input class="well call" placeholder={mm ? '1200' : "4'"} bind:value={door.start} /></label
		>
		<label class="label short"
			>{w.edges.wide}<input class="well call" placeholder={mm ? '900' : "3'"} bind:value={door.width} /></label
		>
		<label class="label short"
			>{w.edges.inward}<input class="well call" placeholder={mm ? '140' : '5 1/2'} bind:value={door.inward} /></label
		>
		<label class="label short"
			>{w.edges.recessDeep}<input
				class="well call"
				aria-label="{w.edges.setDown} {w.edges.recessDeep}"
				placeholder={mm ? '20' : '3/4'}
				bind:value={door.depth}
			/></label
		>
		<Act kind="quiet" onclick={() => void newDoor()}>+</Act>
	</div>
	{@render wrong('new-door')}
	<FindingList findings={doubts} />

	<h2 class="panel-head">{w.edges.levels}</h2>
	<table class="panel-table">
		<tbody>
			{#each zones as zone}
				<tr
					><th scope="row">{zone}</th><td class="flex h-auto flex-wrap gap-x-14 gap-y-2 px-0 py-4"
						>{#each levels.filter((row) => row.zone === zone) as row}<span
								><b class="font-[800]">{row.corner}</b> <Frac text={row.text} /></span
							>{/each}</td
					></tr
				>
			{/each}
		</tbody>
	</table>
{/if}
