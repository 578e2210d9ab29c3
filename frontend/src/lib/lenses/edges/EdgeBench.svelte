<script lang="ts">
	/** What the picked side is, and the sizes of its cut as fields and as one call. */
	import type { Section } from '../../api/schema';
	import type { Pick } from '../../drawing/pick.svelte';
	import type { Edit, JobDesk } from '../../state/job.svelte';
	import Field from '../../ui/Field.svelte';
	import { w } from '../../words/words';
	let { desk, pick, section }: { desk: JobDesk; pick: Pick; section: Section } = $props();
	const plan = $derived(desk.document);
	const types = $derived(plan?.edge_types ?? []);
	let cut = $state('');
	const fields = $derived(section.sizes.map((size) => ({ ...size, label: { thickness: `${size.mark} ${w.edges.thick}`, depth: `${size.mark} deep`, bottom_width: `${size.mark} wide`, degrees: `${size.mark} inner face` }[size.key] ?? size.key })));
	function edit(key: string, mark: string, typed: string): Edit {
		if (key === 'thickness') return { op: 'set_slab_type', mark, thickness: typed };
		if (key === 'degrees') return { op: 'set_edge_type', mark, text: typed.replace('°', '') };
		return key === 'depth' ? { op: 'set_edge_type', mark, depth: typed, text: '' } : { op: 'set_edge_type', mark, bottom_width: typed, text: '' };
	}
	async function give(mark: string | null, all = false) {
		const sides = all ? (plan?.outline ?? []).map((_, i) => i) : [section.side ?? 0];
		await desk.keep([{ op: 'set_side_type', sides, type: mark }], 'edge');
	}
	async function keepCut() {
		if (section.mark && (await desk.keep([{ op: 'set_edge_type', mark: section.mark, text: cut }], 'cut'))) cut = '';
	}
	const problem = $derived(desk.problemFor('cut'));
</script>

<div class="bench-row">
	{#if section.side !== null}
		<div class="is">
			<p class="label">{w.edges.side}</p>
			<div class="marks" role="group" aria-label={w.edges.side}>
				{#each types as type}
					<button type="button" class="act quiet" class:on={section.mark === type.mark} aria-pressed={section.mark === type.mark} onclick={() => void give(type.mark)}>{type.mark} {type.kind === 'thickened' ? '' : w.edges.kinds[type.kind]}</button>
				{/each}
				<button type="button" class="act quiet" class:on={!section.mark} aria-pressed={!section.mark} onclick={() => void give(null)}>{w.edges.plain}</button>
				<button type="button" class="act quiet" onclick={() => void give(section.mark ?? null, true)}>{w.edges.allSides} {section.mark ?? w.edges.plain}</button>
			</div>
		</div>
	{:else if pick.row !== null}
		<button type="button" class="act quiet" onclick={() => void desk.keep([{ op: 'remove_along', row: pick.row ?? 0 }], 'edge').then(() => pick.none())}>{w.edges.out}</button>
	{/if}
	<div class="sizes">
		{#each fields as size (size.key + size.mark)}
			<Field id="dim-{size.key}" label={size.label} value={size.text} width="112px" problem={desk.problemFor(`dim-${size.key}`)} keep={(typed) => desk.keep([edit(size.key, size.mark, typed)], `dim-${size.key}`)} />
		{/each}
	</div>
	{#if section.mark && section.kind === 'thickened'}
		<div class="call">
			<label class="label" for="cut-call">{w.edges.cutCall(section.mark)}</label>
			<input id="cut-call" class="well pencil" placeholder="12 wide 18 deep 45" bind:value={cut} onkeydown={(event) => event.key === 'Enter' && void keepCut()} />
			{#if problem}<p class="wrong" role="alert">{problem.detail}</p>{:else}<p class="label">{w.edges.cutHint}</p>{/if}
		</div>
	{/if}
</div>

<style>
	.bench-row {
		display: grid;
		gap: 8px;
		border-top: 2px solid var(--ink);
		padding-top: 8px;
	}
	.marks,
	.sizes {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 14px;
	}
	.marks {
		gap: 6px;
	}
	.pencil {
		font-family: var(--font-pencil);
		font-size: 19px;
		max-width: 380px;
	}
</style>
