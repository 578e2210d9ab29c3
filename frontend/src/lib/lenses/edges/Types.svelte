<script lang="ts">
	/** Edge types, slab types and zones: marks with their sizes, changed in place. */
	import type { JobDesk } from '../../state/job.svelte';
	import Field from '../../ui/Field.svelte';
	import { w } from '../../words/words';
	let { desk }: { desk: JobDesk } = $props();
	const plan = $derived(desk.document);
	let kind = $state<'thickened' | 'against-wall' | 'dowelled' | 'plain'>('thickened');
	let edgeText = $state('');
	let slabText = $state('');
	let lineText = $state('');
	let partText = $state('');
	let partName = $state('');
	let grow = $state<'left' | 'right'>('left');
	const next = (letter: string, marks: string[]) => `${letter}${[1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12].find((n) => !marks.includes(`${letter}${n}`)) ?? 99}`;
	async function newEdge() {
		const mark = next({ thickened: 'E', 'against-wall': 'W', dowelled: 'D', plain: 'P' }[kind], (plan?.edge_types ?? []).map((t) => t.mark));
		if (await desk.keep([{ op: 'set_edge_type', mark, kind, text: kind === 'thickened' ? edgeText : '' }], 'new-edge')) edgeText = '';
	}
	async function newSlab() {
		const mark = next('S', (plan?.slab_types ?? []).map((t) => t.mark));
		if (await desk.keep([{ op: 'set_slab_type', mark, thickness: slabText }], 'new-slab')) slabText = '';
	}
	async function newPart() {
		if (await desk.keep([{ op: 'walk_zone', text: partText, name: partName, drop: 0 }], 'new-part')) partText = partName = '';
	}
	async function newLine() {
		const type = plan?.edge_types.find((t) => t.kind === 'thickened')?.mark ?? '';
		if (await desk.keep([{ op: 'add_along', text: lineText, grow, type }], 'new-line')) lineText = '';
	}
	const shown = (mm: number) => desk.figure?.sections.flatMap((s) => s.sizes).find((s) => Math.abs(s.value - mm) < 0.01 && s.key === 'thickness')?.text ?? (desk.units === 'mm' ? `${Math.round(mm)} mm` : `${+(mm / 25.4).toFixed(4)}″`);
	const zoneDrop = (mm: number) => (mm ? (desk.units === 'mm' ? `${Math.round(mm * 10) / 10} mm` : `${+(mm / 25.4).toFixed(4)}″`) : '0');
</script>

{#if plan}
	<h3 class="head">{w.edges.zones}</h3>
	{#each plan.zones as zone, i}
		<div class="row">
			<Field label={w.edges.name} hide value={zone.name} width="150px" problem={desk.problemFor(`zone-name-${i}`)} keep={(name) => desk.keep([{ op: 'set_zone', index: i, changes: { name } }], `zone-name-${i}`)} />
			<span class="marks" role="group" aria-label={w.edges.slab}>
				{#each plan.slab_types as slab}
					<button type="button" class="act quiet" class:on={zone.slab === slab.mark} aria-pressed={zone.slab === slab.mark} onclick={() => void desk.keep([{ op: 'set_zone', index: i, changes: { slab: slab.mark } }], 'zone')}>{slab.mark}</button>
				{/each}
			</span>
			<Field label={`${w.edges.drop}`} value={zoneDrop(zone.drop_mm)} width="80px" problem={desk.problemFor(`zone-drop-${i}`)} keep={(drop_mm) => desk.keep([{ op: 'set_zone', index: i, changes: { drop_mm } }], `zone-drop-${i}`)} />
			{#if plan.zones.length > 1}<button type="button" class="act quiet" aria-label="{w.edges.out} {zone.name}" onclick={() => void desk.keep([{ op: 'remove_zone', index: i }], 'zone')}>{w.edges.out}</button>{/if}
		</div>
	{/each}
	{#if plan.outline}
		<div class="row">
			<label class="label call-label">{w.edges.part}<input class="well call" placeholder={w.edges.partHint} bind:value={partText} onkeydown={(e) => e.key === 'Enter' && void newPart()} /></label>
			<label class="label add">{w.edges.partName}<input class="well" bind:value={partName} onkeydown={(e) => e.key === 'Enter' && void newPart()} /></label>
			<button type="button" class="act quiet" aria-label={w.edges.part} onclick={() => void newPart()}>+</button>
		</div>
		{#if desk.problemFor('new-part')}<p class="wrong" role="alert">{desk.problemFor('new-part')?.detail}</p>{/if}
	{/if}
	<h3 class="head">{w.edges.slabs}</h3>
	<div class="row">
		{#each plan.slab_types as slab}
			<Field label={`${slab.mark} ${w.edges.thick}`} value={shown(slab.thickness_mm)} width="92px" problem={desk.problemFor(`slab-${slab.mark}`)} keep={(thickness) => desk.keep([{ op: 'set_slab_type', mark: slab.mark, thickness }], `slab-${slab.mark}`)} />
		{/each}
		<label class="label add">{w.edges.newSlab}<input class="well" placeholder={desk.units === 'mm' ? '150' : '6″'} bind:value={slabText} onkeydown={(e) => e.key === 'Enter' && void newSlab()} /></label>
	</div>
	{#if desk.problemFor('new-slab')}<p class="wrong" role="alert">{desk.problemFor('new-slab')?.detail}</p>{/if}
	<h3 class="head">{w.edges.newEdge}</h3>
	<div class="row">
		<span class="marks" role="group" aria-label={w.edges.kind}>
			{#each ['thickened', 'against-wall', 'dowelled'] as const as one}
				<button type="button" class="act quiet" class:on={kind === one} aria-pressed={kind === one} onclick={() => (kind = one)}>{w.edges.kinds[one]}</button>
			{/each}
		</span>
		{#if kind === 'thickened'}<input class="well call" aria-label={w.edges.newEdge} placeholder={desk.units === 'mm' ? '300 wide 450 deep 45' : '12 wide 18 deep 45'} bind:value={edgeText} onkeydown={(e) => e.key === 'Enter' && void newEdge()} />{/if}
		<button type="button" class="act quiet" onclick={() => void newEdge()}>+ {w.edges.newEdge}</button>
		{#each plan.edge_types as type}
			<button type="button" class="act quiet" onclick={() => void desk.keep([{ op: 'remove_edge_type', mark: type.mark }], 'edge')}>{w.edges.out} {type.mark}</button>
		{/each}
	</div>
	{#if desk.problemFor('new-edge')}<p class="wrong" role="alert">{desk.problemFor('new-edge')?.detail}</p>{/if}
	{#if plan.edge_types.some((type) => type.kind === 'thickened')}
		<h3 class="head">{w.edges.line}</h3>
		<div class="row">
			<input class="well call" aria-label={w.edges.line} placeholder={w.edges.lineHint} bind:value={lineText} onkeydown={(e) => e.key === 'Enter' && void newLine()} />
			<button type="button" class="act quiet" onclick={() => (grow = grow === 'left' ? 'right' : 'left')}>{w.edges.grow[grow]}</button>
			<button type="button" class="act quiet" onclick={() => void newLine()}>+</button>
		</div>
		{#if desk.problemFor('new-line')}<p class="wrong" role="alert">{desk.problemFor('new-line')?.detail}</p>{/if}
	{/if}
{/if}

<style>
	.head {
		margin-top: 12px;
		border-top: 1px solid var(--hair);
		padding-top: 8px;
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 12px;
		align-items: end;
		margin-top: 4px;
	}
	.marks {
		display: flex;
		gap: 4px;
	}
	.call-label {
		width: 240px;
	}
	.add {
		width: 130px;
	}
	.call {
		width: 230px;
		font-family: var(--font-pencil);
		font-size: 18px;
	}
</style>
