<script lang="ts">
	/** Tests of a load as they come; each may be kept by itself. */
	import Act from '../../ui/Act.svelte';
	import { pourWords } from '../../words/pour';
	import type { PourData, Values } from './pour.svelte';
	let { data, load, done }: { data: PourData; load: string; done: () => void } = $props();
	const words = pourWords.ticket;
	const metric = $derived(data.store.units === 'mm');
	let typed = $state({ slump: '', temp: '', air: '', water: '', cylinders: '' });
	const number = (text: string) => Number(text.trim().replace(',', '.'));
	function values(): Values {
		const out: Values = {};
		if (typed.slump.trim()) out['slump_mm'] = typed.slump.trim();
		if (typed.temp.trim())
			out['temp_c'] = metric ? number(typed.temp) : Math.round(((number(typed.temp) - 32) / 1.8) * 100) / 100;
		if (typed.air.trim()) out['air_percent'] = number(typed.air);
		if (typed.water.trim()) out['water_l'] = metric ? number(typed.water) : Math.round(number(typed.water) * 378.5412) / 100;
		if (typed.cylinders.trim()) out['cylinders'] = number(typed.cylinders);
		return out;
	}
	async function keep() {
		if (await data.say('ticket', { load, ...values() })) {
			typed = { slump: '', temp: '', air: '', water: '', cylinders: '' };
			done();
		}
	}
	const rows = $derived([
		['slump', words.slump, metric ? '100 mm' : '5 1/4 in'],
		['temp', words.temp[data.store.units], metric ? '21' : '70'],
		['air', words.air, '6'],
		['water', words.water[data.store.units], metric ? '20' : '5'],
		['cylinders', words.cylinders, '4']
	] as const);
</script>

<form
	class="mt-8 grid grid-cols-5 items-end gap-8 max-phone:grid-cols-2"
	onsubmit={(event) => (event.preventDefault(), void keep())}
>
	{#each rows as [key, name, like] (key)}
		<label class="text-note"
			>{name}<input
				class="w-full border-2 border-ink bg-well px-8 py-8 text-body"
				bind:value={typed[key]}
				placeholder={like}
				inputmode={key === 'slump' ? 'text' : 'decimal'}
			/></label
		>
	{/each}
	<Act type="submit" kind="main" class="col-span-2" disabled={!Object.keys(values()).length}>{words.keepTests}</Act>
</form>
