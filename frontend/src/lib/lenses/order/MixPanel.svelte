<script lang="ts">
	/** Mix: what goes in the drum, line by line, with who decides; where two rules pull apart, the ways out. */
	import type { MixClash } from '../../api/schema';
	import { onTab } from '../../state/findings';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { orderWords } from '../../words/order';
	import HeatPlank from './HeatPlank.svelte';
	import MixLineRow from './MixLineRow.svelte';
	import MixStands from './MixStands.svelte';
	import type { OrderData } from './order.svelte';
	import { shownDegrees } from './temps';
	let { data }: { data: OrderData } = $props();
	const words = orderWords.mix;
	const store = $derived(data.store);
	const found = $derived(data.mix);
	const heat = $derived(data.heat);
	const open = $derived((found?.clashes ?? []).filter((one) => !one.settled));
	const wrong = $derived((found?.lines ?? []).filter((one) => one.wrong && !open.some((clash) => clash.key === one.what)));
	const unsaid = $derived((found?.lines ?? []).filter((one) => !one.say));
	const bad = $derived(open.length + wrong.length);
	let wide = $state(420);
	const at = () => new Date().toISOString().slice(0, 19);
	const settle = (clash: MixClash, answer: string) =>
		void data.set({ [`mix.settled.${clash.key}`]: { answer, by: session.who, at: at() } }, 'mix-settle');
	function again(clash: MixClash) {
		const left = Object.fromEntries(Object.entries(store.document?.mix.settled ?? {}).filter(([key]) => key !== clash.key));
		void data.set({ 'mix.settled': left }, 'mix-settle');
	}
	const degrees = (c: number) => `${shownDegrees(c, store.units)} ${words.degree[store.units]}`;
</script>

{#if found && heat}
	<Verdict
		text={bad ? words.settle(bad) : unsaid.length ? words.unsaid(unsaid.length) : words.good}
		under={words.under}
		is={bad ? 'bad' : unsaid.length ? 'plain' : 'good'}
	/>
	<table class="mt-6 w-full border-collapse" aria-label={words.heads[1]}>
		<colgroup>
			<col class="w-142 max-phone:w-auto" /><col class="w-132 max-phone:w-96" /><col class="max-phone:hidden" /><col
				class="w-108"
			/>
		</colgroup>
		<thead
			><tr class="border-b-2 border-ink text-left text-label"
				>{#each words.heads as head, i}<th class={['pb-2 font-[600]', i === 3 && 'text-right', i === 2 && 'max-phone:hidden']}
						>{head}</th
					>{/each}</tr
			></thead
		>
		<tbody>
			{#each found.lines as line (line.what)}<MixLineRow
					{data}
					{line}
					flagged={!!line.wrong || open.some((one) => one.key === line.what)}
				/>{/each}
		</tbody>
	</table>
	{#if found.clashes.length}
		<div class="mt-10 grid grid-cols-2 gap-12 max-mid:grid-cols-1">
			{#each found.clashes as clash (clash.key)}
				<div class={['border-2 bg-well p-12', clash.settled ? 'border-ink' : 'border-flag']} data-clash={clash.key}>
					<h2>{clash.title}</h2>
					<p>{clash.words}</p>
					{#if clash.settled}
						<p class="mt-6">
							<b>{clash.settled.answer}</b>{words.by(clash.settled.by ?? '')}
							<span class="label">{(clash.settled.at ?? '').slice(11, 16)}</span>
						</p>
						{#each clash.ways.filter((way) => way.answer !== clash.settled?.answer) as way (way.answer)}<p
								class="text-ink2 line-through"
							>
								{way.words}
							</p>{/each}
						<Act kind="quiet" class="mt-6" onclick={() => again(clash)}>{words.open}</Act>
					{:else}
						<div class="mt-8 flex flex-wrap gap-8">
							{#each clash.ways as way (way.answer)}<Act kind="plain" onclick={() => settle(clash, way.answer)}>{way.words}</Act
								>{/each}
						</div>
					{/if}
				</div>
			{/each}
		</div>
	{/if}
	<FindingList findings={onTab(data.findings, 'mix').filter((one) => one.code === 'mix-heat')} />
	<div class="hidden max-phone:block" bind:clientWidth={wide}>
		<h2 class="mt-12">{words.heat}</h2>
		<p class="label">{words.heatHow}</p>
		{#if wide > 100}<HeatPlank {heat} units={store.units} {wide} />{/if}
	</div>
	<p class="mt-8">
		{#if data.airFrom}{words.airBy(degrees(heat.air_c), data.airFrom)}{/if}
		{words.ten(`${(store.units === 'mm' ? heat.per_ten_c : heat.per_ten_c).toFixed(1)}°`)}
		{#if heat.water_for_c !== null}<b>{words.waterFor(degrees(heat.water_for_c))}</b>{/if}
		{#if heat.ice_kg > 0.5}<b
				>{words.ice(store.units === 'mm' ? `${Math.round(heat.ice_kg)} kg/m³` : `${Math.round(heat.ice_kg * 1.6855)} lb/yd`)}</b
			>{/if}
	</p>
	<MixStands {data} />
	{#if store.problemFor('mix-settle')}<p class="wrong" role="alert">{store.problemFor('mix-settle')?.detail}</p>{/if}
	<p class="mt-12 border-t border-hair pt-6 text-note text-ink2"><Frac text={words.caution} /></p>
{/if}
