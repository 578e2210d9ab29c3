<script lang="ts">
	/** What the floor has to stand, as a crew says it: finish, stain, weather, frost, salt, sulphate; and the temperatures of the day. */
	import Choose from '../../ui/Choose.svelte';
	import Field from '../../ui/Field.svelte';
	import Switch from '../../ui/Switch.svelte';
	import { orderWords } from '../../words/order';
	import type { OrderData } from './order.svelte';
	import { shownDegrees, typedDegrees } from './temps';
	let { data }: { data: OrderData } = $props();
	const words = orderWords.mix;
	const store = $derived(data.store);
	const mix = $derived(store.document?.mix);
	const zones = $derived(store.document?.zones ?? []);
	const outside = $derived(mix?.outside ?? []);
	const rows = <T extends string>(of: Record<T, string>) =>
		(Object.entries(of) as [T, string][]).map(([value, label]) => ({ value, label }));
	const put = (key: string, value: unknown) => void data.set({ [`mix.${key}`]: value }, `mix-${key}`);
	const TEMPS = ['air_c', 'noon_c', 'cement_c', 'stone_c', 'water_c', 'wanted_c'] as const;
</script>

<h2 class="mt-14">{words.stands}</h2>
<div class="mt-6 flex flex-wrap items-end gap-10">
	<Choose
		label
		name={words.finish}
		none={words.unsaidWord}
		rows={rows(words.finishes)}
		value={mix?.finish ?? ('' as 'floated')}
		pick={(now) => put('finish', now)}
	/>
	<Choose
		label
		name={words.frost}
		none={words.unsaidWord}
		rows={rows(words.frosts)}
		value={mix?.freeze ?? ('' as 'F0')}
		pick={(now) => put('freeze', now)}
	/>
	<Choose
		label
		name={words.sulphate}
		none={words.unsaidWord}
		rows={rows(words.sulphates)}
		value={mix?.sulphate ?? ('' as 'S0')}
		pick={(now) => put('sulphate', now)}
	/>
	<Switch on={!!mix?.stained} set={(on) => put('stained', on)}>{words.stained}</Switch>
	<Switch on={!!mix?.salt} set={(on) => put('salt', on)}>{words.salt}</Switch>
</div>
{#if zones.length}
	<p class="label mt-8">{outside.length ? words.outside : words.outsideNone}</p>
	<div class="flex flex-wrap gap-6">
		{#each zones as zone (zone.id)}<Switch
				on={outside.includes(zone.id)}
				set={(on) => put('outside', on ? [...outside, zone.id] : outside.filter((one) => one !== zone.id))}>{zone.name}</Switch
			>{/each}
	</div>
{/if}
<div class="mt-8 grid grid-cols-3 gap-10 max-phone:grid-cols-2">
	{#each TEMPS as key (key)}<Field
			label="{words.temps[`mix.${key}`]}, {words.degree[store.units]}"
			value={mix?.[key] === null || mix?.[key] === undefined ? '' : shownDegrees(mix[key], store.units)}
			mode="text"
			calm
			problem={store.problemFor(`mix-${key}`)}
			keep={(text) => data.set({ [`mix.${key}`]: typedDegrees(text, store.units) }, `mix-${key}`)}
		/>{/each}
</div>
