<script lang="ts">
	/** Ways to keep frost from lifting the edge, each drawn to the same scale with its concrete, foam and cost. */
	import type { JobStore, Edit } from '../../state/job.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { shownLength } from '../../ui/typed';
	import { edges as edgeWords } from '../../words/edges';
	import { rules as ruleWords } from '../../words/rules';
	import type { EdgesData } from './edges.svelte';
	import OptionSection from './OptionSection.svelte';
	import Choice from '../../ui/Choice.svelte';
	import Act from '../../ui/Act.svelte';
	let { store, data }: { store: JobStore; data: EdgesData } = $props();
	const site = $derived(store.document?.site);
	const options = $derived(data.state?.options ?? []);
	const deepest = $derived(
		Math.max(
			1,
			...options.map((one) =>
				one.sketch ? Math.max(one.sketch.depth_mm + one.sketch.footing_deep_mm, one.sketch.top_mm - one.sketch.frost_mm) : 0
			)
		)
	);
	const checks = $derived(store.figure?.checks ?? []);
	const outside = $derived(store.document?.ground.outside_is ?? null);
	const asked = $derived(checks.filter((one) => one.code === 'outside-not-said').slice(0, 1));
	const worst = $derived(
		checks.find((one) => one.code === 'edge-above-frost' && one.verdict === 'short') ??
			checks.find((one) => one.code === 'edge-bury' && one.verdict === 'short')
	);
	const set = (key: string) => (typed: string) =>
		store.keep([{ op: 'set_fields', values: { [`site.${key}`]: typed.trim() || null } }], `site-${key}`);
</script>

<div class="saying">
	{#if worst}
		<p class="big">
			<Frac text={worst.code === 'edge-above-frost' ? edgeWords.short(worst.gap) : edgeWords.tooShallow(worst.gap)} />
		</p>
		<p class="act-line"><Frac text={worst.words} /></p>
		<p><Frac text={worst.remedy} /></p>
	{:else if checks.some((one) => one.verdict === 'not set') || !checks.length}
		<p class="big plain">{edgeWords.unknown}</p>
		<p class="act-line">{edgeWords.setGround}</p>
	{:else}
		<p class="big good">{edgeWords.belowFrost}</p>
	{/if}
</div>
<div class="panel-row">
	<Field
		id="frost-depth"
		label={edgeWords.frostDepth}
		width="120px"
		value={site?.frost_depth_mm ? shownLength(site.frost_depth_mm, store.units) : ''}
		problem={store.problemFor('site-frost_depth_mm')}
		keep={set('frost_depth_mm')}
	/>
	<Field
		id="freezing-index"
		label={edgeWords.index}
		width="170px"
		calm
		value={site?.air_freezing_index_f_days ? `${site.air_freezing_index_f_days}` : ''}
		problem={store.problemFor('site-air_freezing_index_f_days')}
		keep={(typed) =>
			store.keep(
				[{ op: 'set_fields', values: { 'site.air_freezing_index_f_days': typed.trim() ? Number(typed) : null } }],
				'site-air_freezing_index_f_days'
			)}
	/>
	<Choose
		label
		name={edgeWords.building}
		rows={Object.entries(edgeWords.buildings).map(([value, label]) => ({ value, label }))}
		value={site?.building ?? ''}
		pick={(now) => void store.keep([{ op: 'set_fields', values: { 'site.building': now || null } }], 'building')}
	/>
	<span class="choices" role="group" aria-label={edgeWords.outsideIs}>
		<span class="label">{edgeWords.outsideIs}</span>
		<Choice
			rows={(['undisturbed', 'fill'] as const).map((one) => ({ value: one, label: edgeWords.outsides[one] }))}
			value={outside}
			pick={(one) => void store.keep([{ op: 'set_ground', changes: { outside_is: one } }], 'outside')}
			name={edgeWords.outsideIs}
			clears
		/>
	</span>
</div>
{#each asked as one}<p class="act-line mt-6 text-read font-[700]"><Frac text="{one.words} {one.remedy}" /></p>{/each}
<div class="mt-8 grid grid-cols-[1fr_1fr] gap-x-20 gap-y-0 max-phone:grid-cols-[1fr]">
	{#each options as option}
		<article class="min-w-0 border-t-2 border-ink px-0 pt-6 pb-10" class:drawn={option.key === 'drawn'}>
			<h2>{option.name}</h2>
			{#if option.sketch}<OptionSection sketch={option.sketch} {deepest} units={store.units} />{/if}
			{#if option.net_m3}
				<p class="text-key">
					<b>{option.net_text}</b>{#if option.foam_m2}, {option.foam_text} {edgeWords.foam}{/if}
				</p>
				<p class="text-key">{edgeWords.about} <b>{option.cost_text}</b></p>
			{/if}
			<p class="mx-0 my-2 text-note"><Frac text={option.words} /></p>
			{#if option.for_it}<p class="label">{edgeWords.for}: {option.for_it}</p>
				<p class="label">{edgeWords.against}: {option.against_it}</p>{/if}
			{#if option.edits.length}<Act kind="quiet" onclick={() => void store.keep(option.edits as unknown as Edit[], 'option')}
					>{edgeWords.take}</Act
				>{/if}
		</article>
	{/each}
</div>
{#if store.problemFor('option')}<p class="wrong" role="alert">{store.problemFor('option')?.detail}</p>{/if}
<p class="label">{edgeWords.costs}</p>
{#each [...new Map(checks
			.filter((one) => one.verdict === 'short')
			.map((one) => [one.source, one.source_words]))] as [source, words]}<p class="label">
		{words} <a class="in-book" href="/rules?source={source}">{ruleWords.inBook}</a>
	</p>{/each}
