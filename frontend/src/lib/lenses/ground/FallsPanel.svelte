<script lang="ts">
	/** How each zone's top runs: level, to a side, on a bearing, to a drain; and whether its underside follows. */
	import { remember } from '../../state/remember.svelte';
	import { numberKeys, typedLength } from '../../ui/typed';
	import Choose from '../../ui/Choose.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { ground as groundWords } from '../../words/ground';
	import type { GroundData } from './ground.svelte';
	import Choice from '../../ui/Choice.svelte';
	import OneOf from '../../ui/OneOf.svelte';
	import Act from '../../ui/Act.svelte';
	import Table from '../../ui/Table.svelte';
	let { data }: { data: GroundData } = $props();
	type Fall = 'none' | 'side' | 'bearing' | 'drain';
	const store = $derived(data.store);
	const zone = $derived(data.zones[data.zone] ?? null);
	const sides = $derived(store.figure?.outline?.sides ?? []);
	const row = $derived(data.state?.falls.find((one) => one.zone === data.zone) ?? null);
	const now = $derived<Fall>(!zone?.fall ? 'none' : zone.fall.kind === 'drain' ? 'drain' : 'bearing');
	let kind = $state<Fall | null>(null);
	let side = $state(0);
	let bearing = $state('');
	let rate = $state('');
	let depth = $state('');
	let under = $state<'parallel' | 'level' | null>(null);
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${data.store.id}/falls`,
		() => ({ kind, side, bearing, rate, depth, under }),
		(old) => ({ kind, side, bearing, rate, depth, under } = old)
	);
	const own = $derived(kind ?? now);
	const problem = $derived(store.problemFor('fall'));
	const drain = $derived(data.stick ?? (zone?.fall?.kind === 'drain' ? zone.fall.at : null));
	async function keep() {
		const fall = zone?.fall;
		const edit = {
			op: 'set_fall' as const,
			zone: zone?.id ?? '',
			kind: own,
			side: own === 'side' ? data.store.cornerId(side) : null,
			toward_deg: own === 'bearing' ? (bearing.trim() ? Number(bearing) : fall?.kind === 'plane' ? fall.toward_deg : 0) : null,
			rate: own === 'side' || own === 'bearing' ? rate.trim() || (fall?.kind === 'plane' ? fall.rate : '') : null,
			at: own === 'drain' ? (drain as [number, number] | null) : null,
			depth: own === 'drain' ? depth.trim() || (fall?.kind === 'drain' ? fall.depth_mm : '') : null,
			underside: under
		};
		if (await store.keep([edit], 'fall')) drop();
	}
	function drop() {
		kind = under = null;
		rate = depth = bearing = '';
		data.stick = null;
	}
</script>

{#if data.state && zone}
	<div class="row mx-0 my-6 flex flex-wrap items-end gap-x-12 gap-y-6">
		{#each data.zones as one, i}<Act
				kind="quiet"
				on={i === data.zone}
				onclick={() => {
					data.zone = i;
					drop();
				}}>{one.name}</Act
			>{/each}
	</div>
	<div class="saying"><p class="big plain text-title"><Frac text={row?.words ?? ''} /></p></div>
	<h2>{groundWords.zoneFall}</h2>
	<Choice
		class="my-6"
		rows={Object.entries(groundWords.fallKinds).map(([key, name]) => ({ value: key as Fall, label: name }))}
		value={own}
		pick={(key) => key && (kind = key)}
		name={groundWords.zoneFall}
	/>
	<div class="row mx-0 my-6 flex flex-wrap items-end gap-x-12 gap-y-6">
		{#if own === 'side'}
			<Choose
				label
				name={groundWords.toward}
				rows={sides.map((one, i) => ({ value: `${i}`, label: one.name }))}
				value={`${side}`}
				pick={(at) => (side = Number(at))}
			/>
		{:else if own === 'bearing'}
			<label class="label"
				>{groundWords.bearing}<input
					{...numberKeys}
					class="reading block w-150"
					bind:value={bearing}
					placeholder={zone.fall?.kind === 'plane' ? `${zone.fall.toward_deg}` : '180'}
				/></label
			>
		{/if}
		{#if own === 'side' || own === 'bearing'}
			<label class="label"
				>{groundWords.rate}<input
					class="reading block w-150"
					id="fall-rate"
					bind:value={rate}
					placeholder={groundWords.rateHint[store.units]}
					onkeydown={(e) => e.key === 'Enter' && void keep()}
				/></label
			>
		{:else if own === 'drain'}
			<p class="max-w-300">
				<span class="label">{groundWords.drainAt}</span>
				{drain ? groundWords.drainSet : groundWords.drainHow}
			</p>
			<label class="label"
				>{groundWords.drainDepth}<input
					class="reading block w-150"
					id="fall-depth"
					bind:value={depth}
					placeholder={zone.fall?.kind === 'drain'
						? typedLength(zone.fall.depth_mm, store.units)
						: store.units === 'mm'
							? '25'
							: '1"'}
					onkeydown={(e) => e.key === 'Enter' && void keep()}
				/></label
			>
		{/if}
	</div>
	<p class="label">{groundWords.underside}</p>
	<OneOf
		rows={Object.entries(groundWords.undersides).map(([key, name]) => ({ value: key as 'parallel' | 'level', label: name }))}
		value={under ?? zone.underside}
		pick={(key) => (under = key)}
		name={groundWords.underside}
	/>
	{#if problem}<p class="wrong" role="alert">{problem.detail}</p>{/if}
	<div class="row mx-0 my-6 flex flex-wrap items-end gap-x-12 gap-y-6">
		<Act kind="main" onclick={() => void keep()}>{groundWords.keepFall}</Act>
		{#if kind || under}<Act kind="quiet" onclick={drop}>{groundWords.dropStack}</Act>{/if}
	</div>
	<Table
		>{#each data.state.falls as one}<tr class:on={one.zone === data.zone}
				><th scope="row">{one.name}</th><td><Frac text={one.words} /></td></tr
			>{/each}</Table
	>
{/if}
