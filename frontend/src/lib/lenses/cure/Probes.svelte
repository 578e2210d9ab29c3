<script lang="ts">
	/** Temperatures in the concrete: a probe read, or a hand's own. */
	import { untrack } from 'svelte';
	import { note, restored } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import type { ZoneCure } from '../../api/schema';
	import { cureWords } from '../../words/cure';
	import type { CureData } from './cure.svelte';
	let { data, zone }: { data: CureData; zone: ZoneCure } = $props();
	const words = cureWords.strength;
	const kept = untrack(() => `${data.store.id}/hand-temp`);
	let typed = $state(restored<string>(kept) ?? '');
	$effect(() => note(kept, typed));
	const FAULTS = ['well', 'drops', 'drifts', 'pulled'] as const;
	async function keep() {
		const number = Number(typed.trim().replace(',', '.'));
		if (!typed.trim() || !Number.isFinite(number)) return;
		const temp = data.store.units === 'mm' ? number : (number - 32) / 1.8;
		const row = { at: data.at, temp_c: Math.round(temp * 100) / 100 };
		if (await data.say('probe', { probe: words.read, zone: zone.zone, rows: [row], source: 'hand' })) typed = '';
	}
</script>

<h2 class="panel-head">{words.probeFold}</h2>
<div class="flex flex-wrap items-end gap-8">
	<Act class="min-h-48" onclick={() => void data.readProbe(zone)}>{words.probe}</Act>
	<form class="flex items-end gap-6" onsubmit={(event) => (event.preventDefault(), void keep())}>
		<label class="text-note"
			>{words.read}, {words.readHow[data.store.units]}<input
				class="block w-140 border-2 border-ink bg-well px-8 py-8 text-body"
				bind:value={typed}
				inputmode="decimal"
			/></label
		>
		<Act type="submit" class="min-h-44" disabled={!typed.trim()}>{words.keep}</Act>
	</form>
	{#if data.probeSaid}<p class="text-read font-heavy" role="status" data-probe-said>{data.probeSaid}</p>{/if}
</div>
<p class="mt-8 text-note">{words.probeHow}</p>
<Choice
	name={words.probeFold}
	rows={FAULTS.map((value) => ({ value, label: words.faults[value] ?? value }))}
	value={data.fault ?? 'well'}
	pick={(now) => (data.fault = now === null || now === 'well' ? null : now)}
/>
