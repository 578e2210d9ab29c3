<script lang="ts">
	/** Where the slab lies: place, time zone, north, the ground about it. */
	import { untrack } from 'svelte';
	import Choice from '../../ui/Choice.svelte';
	import Field from '../../ui/Field.svelte';
	import Fold from '../../ui/Fold.svelte';
	import { gateWords } from '../../words/gate';
	import { shownDegrees, typedDegrees } from '../order/temps';
	import type { DayData } from './gate.svelte';
	let { data, open = false }: { data: DayData; open?: boolean } = $props();
	const words = gateWords.place;
	const store = $derived(data.store);
	const site = $derived(store.document?.site);
	const day = $derived(store.document?.day);
	let opened = $state(untrack(() => open));
	$effect(() => {
		if (open) opened = true;
	});
	const number = (text: string) =>
		text.trim() === '' ? null : Number.isFinite(Number(text.replace(',', '.'))) ? Number(text.replace(',', '.')) : text;
	const grounds = (['grass', 'soil'] as const).map((value) => ({ value, label: words.grounds[value] }));
	const FIELDS = ['latitude', 'longitude'] as const;
</script>

<Fold name={words.title} aside={site?.latitude === null ? gateWords.noPlace : ''} bind:open={opened}>
	<div class="grid grid-cols-3 gap-10 max-phone:grid-cols-1">
		{#each FIELDS as name (name)}<Field
				label={words[name]}
				value={site?.[name] === null || site?.[name] === undefined ? '' : `${site[name]}`}
				mode="text"
				problem={store.problemFor(`site-${name}`)}
				keep={(text) => data.set({ [`site.${name}`]: number(text) }, `site-${name}`)}
			/>{/each}
		<Field
			label={words.zone}
			value={site?.time_zone ?? ''}
			problem={store.problemFor('site-zone')}
			keep={(text) => data.set({ 'site.time_zone': text.trim() || null }, 'site-zone')}
		/>
		<Field
			label={words.north}
			value={`${site?.north_deg ?? 0}`}
			mode="text"
			problem={store.problemFor('site-north')}
			keep={(text) => data.set({ 'site.north_deg': number(text) ?? 0 }, 'site-north')}
		/>
		<Field
			label={words.deep[store.units]}
			value={day?.deep_c === null || day?.deep_c === undefined ? '' : shownDegrees(day.deep_c, store.units)}
			placeholder={shownDegrees(10, store.units)}
			calm
			problem={store.problemFor('deep')}
			keep={(text) => data.set({ 'day.deep_c': typedDegrees(text, store.units) }, 'deep')}
		/>
		<div>
			<span class="label">{words.ground}</span>
			<Choice
				rows={grounds}
				value={day?.open_ground ?? 'grass'}
				pick={(now) => now && void data.set({ 'day.open_ground': now }, 'ground')}
				name={words.ground}
			/>
		</div>
	</div>
</Fold>
