<script lang="ts">
	/** One more lap, saw cut, sidewalk or ramp along a side; the side that is pressed on the plan is offered. */
	import type { JobStore, Edit } from '../../state/job.svelte';
	import { remember } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Trouble from '../../ui/Trouble.svelte';
	import { EXAMPLES } from '../../words/examples';
	import { WALK_EXAMPLES, walks as words } from '../../words/walks';
	let { store, side }: { store: JobStore; side: number | null } = $props();
	type Kind = keyof typeof words.kinds;
	const eg = $derived(WALK_EXAMPLES[store.units]);
	const sides = $derived(store.figure?.outline?.sides ?? []);
	let kind = $state<Kind>('lap');
	const rows = $derived([
		...(kind === 'sidewalk'
			? [
					{ value: 'round', label: words.allRound },
					{ value: 'walk', label: words.walked }
				]
			: []),
		...sides.map((one, i) => ({ value: `${i}`, label: one.name }))
	]);
	const BLANK = {
		on: '',
		text: '',
		start: '',
		long: '',
		width: '',
		end: '',
		thickness: '',
		low: '',
		run: '',
		foot: '',
		name: ''
	};
	let said = $state({ ...BLANK });
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/beside`,
		() => ({ said, kind }),
		(old) => ({ said, kind } = old)
	);
	const on = $derived(
		rows.some((row) => row.value === said.on) ? said.on : side !== null ? `${side}` : (rows.at(-1)?.value ?? '0')
	);
	const problem = $derived(store.problemFor('beside'));
	function edit(): Edit {
		const { start, long, width, thickness, name, low, run, foot } = said;
		const at = store.cornerId(Number(on));
		if (kind === 'ramp') return { op: 'add_ramp', side: at, start, long, low, run, thickness, foot, name };
		if (kind === 'sidewalk') {
			const along = on === 'walk' ? [] : on === 'round' ? sides.map((_, i) => store.cornerId(i)) : [at];
			return { op: 'add_sidewalk', sides: along, text: on === 'walk' ? said.text : '', width, thickness, top: low || '0', name };
		}
		return { op: 'add_lap', kind, side: at, start, long, width, end_width: said.end, thickness, name };
	}
	async function keep() {
		if (await store.keep([edit()], 'beside')) said = { ...BLANK, on: said.on };
	}
	const enter = (event: KeyboardEvent) => event.key === 'Enter' && void keep();
</script>

{#snippet box(label: string, key: keyof typeof BLANK, example: string)}
	<label class="label w-112"
		>{label}<input
			class="well font-pencil text-key font-[520] text-pencil"
			aria-label="{words.more} {label}"
			autocomplete="off"
			placeholder={example}
			bind:value={said[key]}
			onkeydown={enter}
		/></label
	>
{/snippet}

<h2 class="panel-head">{words.more}</h2>
<Choice
	name={words.what}
	rows={Object.entries(words.kinds).map(([value, label]) => ({ value: value as Kind, label }))}
	value={kind}
	pick={(now) => now && (kind = now)}
/>
<div class="mt-6 flex flex-wrap items-end gap-x-10 gap-y-6">
	<Choose label name={words.side} {rows} value={on} pick={(now) => (said.on = now)} />
	{#if kind === 'sidewalk'}
		{#if on === 'walk'}<label class="label min-w-260 flex-1"
				>{words.callWalk}<input
					class="well font-pencil text-key font-[520] text-pencil"
					autocomplete="off"
					placeholder={EXAMPLES[store.units].footing.from}
					bind:value={said.text}
					onkeydown={enter}
				/></label
			>{/if}
		{@render box(words.wide, 'width', eg.walk)}
		{@render box(words.thick, 'thickness', eg.thick)}
		{@render box(words.top, 'low', '0')}
	{:else}
		{@render box(words.start, 'start', words.startHint)}
		{@render box(kind === 'ramp' ? words.doorWide : words.long, 'long', kind === 'ramp' ? eg.door : words.whole)}
		{#if kind === 'ramp'}
			{@render box(words.low, 'low', eg.low)}
			{@render box(words.run, 'run', words.runHint)}
			{@render box(words.thick, 'thickness', eg.ramp)}
			{@render box(words.foot, 'foot', eg.foot)}
		{:else}
			{@render box(kind === 'lap' ? words.over : words.atStart, 'width', eg.over)}
			{#if kind === 'saw-cut'}{@render box(words.atEnd, 'end', '0')}{/if}
			{@render box(words.thick, 'thickness', eg.thick)}
		{/if}
	{/if}
	{@render box(words.name, 'name', '')}
	<Act kind="main" onclick={() => void keep()}>{words.add}</Act>
</div>
<Trouble {problem} choose={(text) => ((said.low = text), void keep())} />
