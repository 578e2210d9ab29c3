<script lang="ts">
	/** What is held, and what stands beside the work; and outlines out of files. */
	import { remember } from '../../state/remember.svelte';
	import { typedLength } from '../../ui/typed';
	import type { JobStore } from '../../state/job.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { EXAMPLES } from '../../words/examples';
	import { edges as edgeWords } from '../../words/edges';
	import { w } from '../../words/words';
	import type { LinesData } from './lines.svelte';
	import Later from '../../ui/Later.svelte';
	import { pointsIn } from '../../shell/parts';
	import Choice from '../../ui/Choice.svelte';
	import Act from '../../ui/Act.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	let { store, data }: { store: JobStore; data: LinesData } = $props();
	const plan = $derived(store.document);
	const sides = $derived(store.figure?.outline?.sides ?? []);
	const held = $derived(plan?.set_out?.lot_line ? -1 : (plan?.set_out?.hold_side ?? 0));
	const LOT = 'lot';
	const holdRows = $derived([
		...sides.map((side, i) => ({ value: store.cornerId(i), label: side.name })),
		{ value: LOT, label: w.lines.lotLine }
	]);
	function hold(what: string | null) {
		if (what === LOT || (what === null && held === -1)) line.open = !line.open;
		else if (what) void store.keep([{ op: 'hold', side: what, existing: null, lot_line: null, margin: null }], 'hold');
	}
	const kinds = ['slab', 'wall', 'walk', 'kerb', 'other'] as const;
	let what = $state<(typeof kinds)[number]>('slab');
	let text = $state('');
	let name = $state('');
	let level = $state('');
	let line = $state({ open: false, start: '', end: '' });
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/around`,
		() => ({ text, name, level, line }),
		(old) => ({ text, name, level, line } = old)
	);
	const shown = (mm: number) => typedLength(mm, store.units);
	async function add() {
		if (await store.keep([{ op: 'add_existing', what, name, text, ring: null, level: level.trim() || 0 }], 'existing'))
			text = name = level = '';
	}
	const point = (typed: string) => typed.split(/\s*,\s*/) as unknown as [number, number];
	async function lotLine() {
		const lot = { name: w.lines.lotLine, start: point(line.start), end: point(line.end) };
		if (await store.keep([{ op: 'hold', side: null, existing: null, lot_line: lot, margin: null }], 'lot')) line.open = false;
	}
	const problem = $derived(store.problemFor('existing'));
	const lotProblem = $derived(store.problemFor('lot'));
</script>

{#if data.setOut}<Verdict
		text={w.lines.heldWords(data.setOut.baseline, data.setOut.baseline_text)}
		under={w.lines.besideCount(store.document?.existing.length ?? 0)}
	/>{/if}
<h2 class="mt-10">{w.lines.holdWhat}</h2>
<Choice
	class="my-6"
	rows={holdRows}
	value={held === -1 ? LOT : store.cornerId(held)}
	pick={hold}
	name={w.lines.holdWhat}
	clears
/>
{#if line.open}
	<div class="row mx-0 my-6 flex flex-wrap items-end gap-6">
		<label class="label w-150"
			>{w.lines.lotFrom}<input class="well" bind:value={line.start} placeholder={EXAMPLES[store.units].lotFrom} /></label
		>
		<label class="label w-150"
			>{w.lines.lotTo}<input class="well" bind:value={line.end} placeholder={EXAMPLES[store.units].lotTo} /></label
		>
		<Act kind="main" onclick={() => void lotLine()}>{w.lines.holdIt}</Act>
	</div>
	{#if lotProblem}<p class="wrong" role="alert">{lotProblem.detail}</p>{/if}
{/if}
<p class="label">{w.lines.holdHow}</p>
<div class="margin">
	<Field
		label={w.lines.margin}
		width="210px"
		value={data.setOut?.margin_text ?? ''}
		problem={store.problemFor('margin')}
		keep={(typed) =>
			store.keep(
				[
					{
						op: 'hold',
						side: store.cornerId(plan?.set_out?.hold_side ?? null) || null,
						existing: null,
						lot_line: plan?.set_out?.lot_line ?? null,
						margin: typed
					}
				],
				'margin'
			)}
	/>
</div>

<h2 class="mt-12">{w.lines.beside}</h2>
{#each plan?.existing ?? [] as thing, i}
	<div
		class={[
			'grid grid-cols-[1fr_70px_130px_auto_auto] items-center gap-10 border-t border-hair px-0 py-4',
			'max-phone:grid-cols-[1fr_1fr]'
		]}
	>
		<b>{thing.name}</b><span>{w.lines.things[thing.what]}</span>
		<Field
			label={w.lines.floor}
			mode="text"
			width="130px"
			value={shown(thing.level_mm)}
			problem={store.problemFor(`floor-${i}`)}
			keep={(typed) => store.keep([{ op: 'set_existing', existing: thing.id, changes: { level_mm: typed } }], `floor-${i}`)}
		/>
		<Act
			kind="quiet"
			on={plan?.set_out?.lot_line?.name === thing.name}
			onclick={() => void store.keep([{ op: 'hold', side: null, existing: thing.id, lot_line: null, margin: null }], 'hold')}
			>{w.lines.holdIt}</Act
		>
		<Act kind="quiet" onclick={() => void store.keep([{ op: 'remove_existing', existing: thing.id }], 'existing')}
			>{edgeWords.out}</Act
		>
	</div>
{:else}<p>{w.lines.nothingBeside}</p>{/each}
<Choice
	rows={kinds.map((one) => ({ value: one, label: w.lines.things[one] }))}
	value={what}
	pick={(one) => one && (what = one)}
	name={w.lines.besideWhat}
	class="my-6"
/>
<label class="label" for="beside-walk">{w.lines.besideCall}</label>
<input
	id="beside-walk"
	class="well call font-pencil text-size"
	bind:value={text}
	placeholder={EXAMPLES[store.units].beside}
	autocomplete="off"
	onkeydown={(e) => e.key === 'Enter' && void add()}
/>
<div class="row mx-0 my-6 flex flex-wrap items-end gap-6">
	<label class="label w-150">{edgeWords.name}<input class="well" bind:value={name} /></label>
	<label class="label w-150">{w.lines.floor}<input class="well" bind:value={level} placeholder="0" /></label>
	<Act kind="main" disabled={!text.trim()} onclick={() => void add()}>{w.lines.drawIt}</Act>
</div>
{#if problem}<p class="wrong" role="alert">
		<Frac text={problem.detail} />
		{#each problem.choices ?? [] as choice}<Act
				kind="quiet"
				onclick={() => {
					level = choice.text;
					void add();
				}}>{choice.label}</Act
			>{/each}
	</p>{/if}
<p class="label">{w.lines.floorHow}</p>
<Later load={pointsIn} given={{ store }} />
