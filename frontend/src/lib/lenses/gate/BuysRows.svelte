<script lang="ts">
	/** What helps against drying, side by side: till when one may start with it, and how fast it dries then. A press does it, or leaves it. */
	import type { DaySheet } from '../../api/schema';
	import Field from '../../ui/Field.svelte';
	import Switch from '../../ui/Switch.svelte';
	import { gateWords as words } from '../../words/gate';
	import type { DayData } from './gate.svelte';
	let { data, sheet }: { data: DayData; sheet: DaySheet } = $props();
	const blanket = $derived(data.store.document?.day.blanket ?? null);
	const number = (text: string) => Number(text.replace(',', '.'));
</script>

<div>
	<h2>{words.buys}</h2>
	<p class="label">{words.buysHow}</p>
	<ul>
		{#each sheet.buys as one (one.key)}
			<li class="border-b border-hair py-3" data-buys={one.key}>
				<div class="flex items-center justify-between gap-8">
					{#if one.key === 'earlier'}<span>{one.name}</span>
					{:else}<Switch on={one.on} set={() => void data.help(one.key)} title={one.note}>{one.name}</Switch>{/if}
					<b class="text-right">{one.latest_text}</b>
				</div>
				<p class="label">{words.dries(one.dries_text)}</p>
			</li>
		{/each}
	</ul>
	<div class="mt-6 flex flex-wrap items-end gap-10">
		<Switch
			on={blanket !== null}
			set={(on) => void data.set({ 'day.blanket': on ? { r_m2_k_w: 0.7, after_h: 10 } : null }, 'blanket')}
			>{words.blanket}</Switch
		>
		{#if blanket}
			<Field
				label={words.blanketAfter}
				width="110px"
				value={`${blanket.after_h}`}
				problem={data.store.problemFor('blanket')}
				keep={(text) => data.set({ 'day.blanket': { ...blanket, after_h: number(text) } }, 'blanket')}
			/>
			<Field
				label={words.blanketR}
				width="90px"
				value={`${blanket.r_m2_k_w}`}
				problem={data.store.problemFor('blanket')}
				keep={(text) => data.set({ 'day.blanket': { ...blanket, r_m2_k_w: number(text) } }, 'blanket')}
			/>
		{/if}
		<Switch on={data.store.document?.day.lights ?? false} set={(on) => void data.set({ 'day.lights': on }, 'lights')}
			>{words.lights}</Switch
		>
	</div>
</div>
