<script lang="ts">
	/** Edges: what is under the wall? */
	import type { Pick } from '../../drawing/pick.svelte';
	import Sheet from '../../drawing/Sheet.svelte';
	import Bench from '../../shell/Bench.svelte';
	import type { JobDesk } from '../../state/job.svelte';
	import { w } from '../../words/words';
	import EdgeBench from './EdgeBench.svelte';
	import SectionCut from './SectionCut.svelte';
	import Types from './Types.svelte';
	let { desk, pick }: { desk: JobDesk; pick: Pick } = $props();
	const sections = $derived(desk.figure?.sections ?? []);
	const sides = $derived(sections.filter((one) => one.side !== null).length);
	const first = $derived(Math.max(0, sections.findIndex((one) => one.kind === 'thickened')));
	const section = $derived(
		pick.row !== null ? sections.find((one) => one.row === pick.row) : sections[pick.side !== null && pick.side < sides ? pick.side : first]
	);
	const strips = $derived(desk.figure?.drawing?.strips ?? []);
	const stops = $derived((desk.figure?.findings ?? []).filter((doubt) => ['step-hangs', 'edge-adds-nothing', 'part-clipped', 'edge-type-unused'].includes(doubt.code)));
	const along = $derived((desk.document?.edges ?? []).map((edge, row) => ({ edge, row })).filter((one) => one.edge.along));
	const press = (key: string) => document.getElementById(`dim-${key}`)?.focus();
</script>

<Sheet {desk} {pick} title={w.edges.title} strips letters>
	{#snippet key()}
		{#if strips.length}
			<p class="keys">
				<span class="full"></span>{w.edges.full}
				{#if strips.some((one) => one.face === 'haunch')}<span class="haunch"></span>{w.edges.haunch}{/if}
				{#if desk.figure?.drawing?.steps.length}<span class="step"></span>{w.edges.step}{/if}
			</p>
		{:else}<p class="label">{w.edges.none}</p>{/if}
	{/snippet}
	{#snippet over(view)}
		{#each along as { edge, row }}
			<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
			<path d={view.path([edge.along ?? []], false)} fill="none" stroke={pick.row === row ? 'var(--chalk)' : 'transparent'} stroke-width="14" stroke-opacity=".6" class="along" onclick={() => pick.chooseRow(row)} />
		{/each}
		{#if section}
			{@const a = view.px(section.cut_from)}
			{@const b = view.px(section.cut_to)}
			{@const angle = (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI}
			<path d="M{a}L{b}" stroke="var(--chalk)" stroke-width="2.6" />
			{#each [a, b] as p}<path d="M0 0l-7 -13h14z" fill="var(--chalk)" transform="translate({p}) rotate({angle - 90}) translate(-7 0) rotate(-90)" />{/each}
			<g transform="translate({a})"><rect x="-12" y="-12" width="24" height="24" fill="var(--chalk)" /><text text-anchor="middle" y="6" class="no">1</text></g>
		{/if}
	{/snippet}
</Sheet>
<Bench question={w.ask.edges} jobId={desk.id}>
	{#if section}
		<p class="label" aria-live="polite">{section.words}</p>
		<SectionCut {section} {press} />
		<p class="label">{w.edges.exact}</p>
		{#each stops as doubt}<p class="wrong">{doubt.words} {doubt.remedy}</p>{/each}
		<EdgeBench {desk} {pick} {section} />
	{:else}<p>{w.edges.needOutline}</p>{/if}
	<Types {desk} />
	<p class="caution">{w.edges.caution}</p>
</Bench>

<style>
	.keys {
		display: flex;
		gap: 6px;
		align-items: center;
		font-size: 13.5px;
		font-weight: 560;
		white-space: nowrap;
	}
	.keys span {
		display: inline-block;
		width: 26px;
		height: 14px;
		border: 1.3px dashed var(--ink2);
		margin-left: 8px;
	}
	.keys span:first-child {
		margin-left: 0;
	}
	.full {
		background: var(--water);
	}
	.haunch {
		background: color-mix(in srgb, var(--water) 45%, var(--slab));
	}
	.keys .step {
		border: 0;
		height: 5px;
		background: var(--ink);
	}
	.along {
		cursor: pointer;
	}
	.no {
		fill: var(--on-chalk);
		font-weight: 780;
		font-size: 16px;
	}
	.caution {
		margin-top: 14px;
		font-size: 13.5px;
		color: var(--ink2);
		border-top: 1px solid var(--hair);
		padding-top: 6px;
	}
</style>
