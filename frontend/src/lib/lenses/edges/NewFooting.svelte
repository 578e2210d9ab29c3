<script lang="ts">
	/** One more footing: round the slab, along one side, or along a walk. */
	import type { JobStore } from '../../state/job.svelte';
	import { remember } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Trouble from '../../ui/Trouble.svelte';
	import { lengthKeys } from '../../ui/typed';
	import { EXAMPLES } from '../../words/examples';
	import { footings as words } from '../../words/footings';
	import { edges as edgeWords } from '../../words/edges';
	let { store }: { store: JobStore } = $props();
	const eg = $derived(EXAMPLES[store.units].footing);
	const sides = $derived(store.figure?.outline?.sides ?? []);
	const rows = $derived([
		...(sides.length ? [{ value: 'round', label: edgeWords.allRound }] : []),
		{ value: 'walk', label: edgeWords.walked },
		...sides.map((side, i) => ({ value: `${i}`, label: side.name }))
	]);
	let said = $state({ where: 'round', text: '', inset: '', width: '', thickness: '', top: '', name: '' });
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/footing`,
		() => ({ said }),
		(old) => ({ said } = old)
	);
	const where = $derived(rows.some((row) => row.value === said.where) ? said.where : 'walk');
	const problem = $derived(store.problemFor('footing'));
	async function keep() {
		const on = where === 'walk' ? [] : where === 'round' ? sides.map((_, i) => i) : [Number(where)];
		const kept = await store.keep(
			[
				{
					op: 'add_footing',
					name: said.name,
					sides: on.map((side) => store.cornerId(side)),
					inset: said.inset || '0',
					text: where === 'walk' ? said.text : '',
					width: said.width,
					thickness: said.thickness,
					top: said.top || '0'
				}
			],
			'footing'
		);
		if (kept) said = { ...said, text: '', name: '' };
	}
	const enter = (event: KeyboardEvent) => event.key === 'Enter' && void keep();
</script>

<h2 class="panel-head">{words.more}</h2>
<div class="flex flex-wrap items-end gap-x-10 gap-y-6">
	<Choose label name={edgeWords.kerbAlong} {rows} value={where} pick={(now) => (said.where = now)} />
	{#if where === 'walk'}<label class="label min-w-260 flex-1"
			>{words.walk}<input
				class="well font-pencil text-key font-[520] text-pencil"
				autocomplete="off"
				placeholder={sides.length ? eg.from : eg.walk}
				bind:value={said.text}
				onkeydown={enter}
			/></label
		>{:else}<label class="label w-112"
			>{words.inset}<input
				{...lengthKeys(store.units)}
				class="well font-pencil text-key font-[520] text-pencil"
				placeholder={eg.inset}
				bind:value={said.inset}
			/></label
		>{/if}
	<label class="label w-96"
		>{words.wide}<input
			{...lengthKeys(store.units)}
			class="well font-pencil text-key font-[520] text-pencil"
			aria-label="{words.more} {words.wide}"
			placeholder={eg.wide}
			bind:value={said.width}
			onkeydown={enter}
		/></label
	>
	<label class="label w-96"
		>{words.thick}<input
			{...lengthKeys(store.units)}
			class="well font-pencil text-key font-[520] text-pencil"
			aria-label="{words.more} {words.thick}"
			placeholder={eg.thick}
			bind:value={said.thickness}
			onkeydown={enter}
		/></label
	>
	<label class="label w-132"
		>{words.top}<input
			class="well font-pencil text-key font-[520] text-pencil"
			aria-label="{words.more} {words.top}"
			autocomplete="off"
			placeholder={eg.top}
			bind:value={said.top}
			onkeydown={enter}
		/></label
	>
	<label class="label w-132"
		>{words.name}<input class="well" aria-label="{words.more} {words.name}" bind:value={said.name} onkeydown={enter} /></label
	>
	<Act kind="main" onclick={() => void keep()}>{words.add}</Act>
</div>
<Trouble
	{problem}
	choose={(text, path) => {
		if (path.endsWith('top')) said.top = text;
		else said.text = text;
		void keep();
	}}
/>
