<script lang="ts">
	/** How the order is made: spreads of guesses, what short and long cost, how pours go, prices with their day. */
	import type { Ways } from '../api/schema';
	import Field from '../ui/Field.svelte';
	import { shownVolume } from '../ui/typed';
	import { orderWays as words } from '../words/order_ways';
	import { clean, long, problemOf } from './both';
	import SchoolRows from './SchoolRows.svelte';
	import WaysSection from './WaysSection.svelte';
	import type { WaysStore } from './ways.svelte';
	let { store, ways }: { store: WaysStore; ways: Ways } = $props();
	type Part = 'doubt' | 'risk' | 'pour' | 'prices';
	const volume = (m3: number) => `${shownVolume(m3, 'ft-in', 2)} (${m3.toFixed(3)} m³)`;
	/** How a key is shown and read back: by the end of its name. */
	function shown(key: string, value: unknown): string {
		if (value === null || value === undefined) return '';
		const number = Number(value);
		if (key.endsWith('_mm')) return long(number);
		if (key.endsWith('_share')) return `${+(number * 100).toFixed(2)}`;
		if (key.includes('_cents')) return `${+(number / 100).toFixed(2)}`;
		if (key.endsWith('_m3') && key !== 'free_min_m3') return volume(number);
		return typeof value === 'string' ? value : `${+number.toFixed(2)}`;
	}
	function read(key: string, typed: string): unknown {
		const text = clean(typed);
		if (key.endsWith('_mm') || (key.endsWith('_m3') && key !== 'free_min_m3' && !key.includes('_cents'))) return text;
		if (key === 'asked_on') return text || null;
		const number = Number(text.replace('$', '').replaceAll(',', '.'));
		if (!Number.isFinite(number) || text === '') return text;
		if (key.endsWith('_share')) return number / 100;
		return key.includes('_cents') ? Math.round(number * 100) : number;
	}
	const put = (part: Part, key: string, typed: string) =>
		store.keep((now) => ((now[part] as Record<string, unknown>)[key] = read(key, typed)), `${part}-${key}`);
	const parts = Object.entries(words.parts) as [Part, { title: string; keys: Record<string, string> }][];
</script>

{#each parts as [part, { title, keys }] (part)}
	<WaysSection>
		<h2>{title}</h2>
		{#if part === 'doubt'}<p class="label">{words.spreadHow}</p>{/if}
		<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8">
			{#each Object.entries(keys) as [key, label] (key)}<Field
					{label}
					value={shown(key, (ways[part] as Record<string, unknown>)[key])}
					mode="text"
					problem={problemOf(store, `${part}-${key}`)}
					keep={(typed) => put(part, key, typed)}
				/>{/each}
		</div>
		{#if part === 'doubt'}
			<h3>{words.decide}</h3>
			<SchoolRows
				school="decide"
				labels={words.decides}
				value={ways.doubt.decide}
				pick={(now) => void store.keep((x) => ((x.doubt.decide as string) = now), 'decide')}
			/>
		{/if}
	</WaysSection>
{/each}
