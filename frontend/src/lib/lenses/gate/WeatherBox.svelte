<script lang="ts">
	/** Weather in: asked of the forecast, out of a file, or ten numbers; every hour with where it is from. */
	import { untrack } from 'svelte';
	import { api } from '../../api/api';
	import type { DaySheet, WeatherState } from '../../api/schema';
	import { note, restored } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Fold from '../../ui/Fold.svelte';
	import { gateWords } from '../../words/gate';
	import type { DayData } from './gate.svelte';
	import HourRows from './HourRows.svelte';
	import FileIn from '../../ui/FileIn.svelte';
	let { data, sheet, open = false }: { data: DayData; sheet: DaySheet | null; open?: boolean } = $props();
	const words = gateWords.weather;
	type Turn = 'plain' | 'wind' | 'front' | 'heat' | 'frost';
	let turn = $state<Turn>('plain');
	let asked = $state.raw<WeatherState | null>(null);
	let file = $state.raw<File | null>(null);
	let answers = $state.raw<Record<string, string>>({});
	let opened = $state(untrack(() => open));
	$effect(() => {
		if (open) opened = true;
	});
	const id = $derived(data.store.id);
	async function ask() {
		asked = await data.weather(() => api.forecast(id, { seed: 3, turn: turn === 'plain' ? null : turn }));
	}
	async function read() {
		const body = file;
		if (!body) return;
		const said = Object.entries(answers).map(([key, value]) => `${key}:${value}`);
		asked = await data.weather(() => api.weatherFile(id, body, { name: body.name.slice(0, 120), answers: said.join(',') }));
	}
	async function bring(chosen: File) {
		file = chosen;
		answers = {};
		await read();
	}
	async function answer(key: string, value: string) {
		answers = { ...answers, [key]: value };
		await read();
	}
	const key = untrack(() => `${data.store.id}/ten`);
	const TEN = ['a0', 'a1', 'a2', 'h0', 'h1', 'h2', 'w0', 'w1', 'w2', 'c'] as const;
	let ten = $state<Record<string, string>>(restored<Record<string, string>>(key) ?? {});
	let needs = $state('');
	$effect(() => note(key, Object.values(ten).some(Boolean) ? { ...ten } : ''));
	const value = (name: string) => Number((ten[name] ?? '').trim().replace(',', '.') || NaN);
	const three = (name: string) => [0, 1, 2].map((i) => value(`${name}${i}`));
	async function keepTen() {
		if (TEN.some((name) => !Number.isFinite(value(name)))) return void (needs = words.needTen);
		needs = '';
		const body = { air: three('a'), humidity: three('h'), wind: three('w'), cloud_okta: value('c') };
		asked = await data.weather(() => api.tenNumbers(id, body));
		if (asked?.weather) ten = {};
	}
	const units = $derived(data.store.units);
	const rows = $derived([
		['a', words.air[units]],
		['h', words.humidity],
		['w', words.wind[units]]
	] as const);
	const turns = (Object.keys(words.turns) as Turn[]).map((one) => ({ value: one, label: words.turns[one] }));
</script>

<Fold name={words.title} aside={sheet?.sources[0]?.text ?? ''} bind:open={opened}>
	<div class="flex flex-wrap items-end gap-10">
		<Act kind={sheet ? 'plain' : 'main'} onclick={() => void ask()}>{sheet ? words.again : words.ask}</Act>
		<Choose rows={turns} value={turn} pick={(now) => (turn = now)} name={words.turn} label />
		<FileIn label={words.file} accept=".csv,.txt,.epw" take={bring} />
	</div>
	<p class="label mt-4">{words.simulated} {words.fileHow}</p>
	{#each asked?.asks ?? [] as one (one.key)}
		<div class="mt-6 border-l-5 border-flag pl-10" role="alert" data-asks={one.key}>
			<p>{one.words}</p>
			<div class="mt-4 flex flex-wrap gap-8">
				{#each one.answers as [value, label] (value)}<Act kind="plain" onclick={() => void answer(one.key, value ?? '')}
						>{label}</Act
					>{/each}
			</div>
		</div>
	{/each}
	{#if asked?.said && !asked.asks.length}<p class="mt-4" role="status">{asked.said}</p>{/if}
	{#if data.weatherWrong}<p class="wrong" role="alert">{data.weatherWrong}</p>{/if}
	<h3 class="mt-10">{words.ten}</h3>
	<form
		class="grid grid-cols-[110px_repeat(3,1fr)] items-center gap-x-8 gap-y-4"
		onsubmit={(event) => {
			event.preventDefault();
			void keepTen();
		}}
	>
		<span></span>{#each words.heads as head}<span class="label">{head}</span>{/each}
		{#each rows as [name, label] (name)}
			<span>{label}</span>
			{#each [0, 1, 2] as i (i)}<input
					class="well w-full max-phone:h-44"
					inputmode="decimal"
					autocomplete="off"
					aria-label="{label}, {words.heads[i]}"
					bind:value={ten[`${name}${i}`]}
				/>{/each}
		{/each}
		<span>{words.cloud}</span><input
			class="well w-full max-phone:h-44"
			inputmode="numeric"
			autocomplete="off"
			aria-label={words.cloud}
			bind:value={ten['c']}
		/>
		<Act kind="plain" type="submit" class="col-span-2">{words.keep}</Act>
	</form>
	{#if needs}<p class="wrong" role="alert">{needs}</p>{/if}
	{#if sheet}<HourRows {sheet} />{/if}
</Fold>
