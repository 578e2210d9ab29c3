<script lang="ts">
	/** One more wall: on which footing, what kind, how thick, its top. */
	import type { JobStore } from '../../state/job.svelte';
	import { remember } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Trouble from '../../ui/Trouble.svelte';
	import { lengthKeys } from '../../ui/typed';
	import { WALL_EXAMPLES, walls as words } from '../../words/walls';
	let { store }: { store: JobStore } = $props();
	const eg = $derived(WALL_EXAMPLES[store.units]);
	const rows = $derived((store.document?.footings ?? []).map((row) => ({ value: row.id ?? '', label: row.name })));
	const kinds = Object.entries(words.kinds).map(([value, label]) => ({ value: value as keyof typeof words.kinds, label }));
	let said = $state({ on: '', kind: 'block' as keyof typeof words.kinds, thickness: '', top: '', name: '' });
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/wall`,
		() => ({ said }),
		(old) => ({ said } = old)
	);
	const on = $derived(rows.some((row) => row.value === said.on) ? said.on : (rows[0]?.value ?? ''));
	const problem = $derived(store.problemFor('wall'));
	async function keep() {
		const { kind, thickness, top, name } = said;
		const kept = await store.keep([{ op: 'add_wall', footing: on, kind, thickness, top: top || '0', name }], 'wall');
		if (kept) said = { ...said, name: '' };
	}
	const enter = (event: KeyboardEvent) => event.key === 'Enter' && void keep();
</script>

<h2 class="panel-head">{words.more}</h2>
<div class="flex flex-wrap items-end gap-x-10 gap-y-6">
	<Choose label name={words.on} {rows} value={on} pick={(now) => (said.on = now)} />
	<Choose label name={words.ofKind} rows={kinds} value={said.kind} pick={(now) => (said.kind = now)} />
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
	<label class="label w-120"
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
<Trouble {problem} choose={(text) => ((said.top = text), void keep())} />
