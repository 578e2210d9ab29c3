<script lang="ts">
	/** Before the pour: place by place, look by look, what it must reach and what was taped; short says the mend. */
	import type { Look, Place } from '../../api/schema';
	import { addRecord, isWrong } from '../../state/record';
	import { note, restored } from '../../state/remember.svelte';
	import { onTab } from '../../state/findings';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { typedLength } from '../../ui/typed';
	import Verdict from '../../ui/Verdict.svelte';
	import { steel as words } from '../../words/steel';
	import { STEPS } from '../underslab/steps';
	import PhotoStrip from '../../photos/PhotoStrip.svelte';
	import LookTape from './LookTape.svelte';
	import type { SteelData } from './steel.svelte';
	let { data }: { data: SteelData } = $props();
	const store = $derived(data.store);
	const places = $derived(data.places);
	const all = $derived(places.flatMap((row) => row.looks));
	const seen = $derived(all.filter((row) => row.state !== 'open').length);
	const short = $derived(all.filter((row) => row.state === 'short').length);
	const place = $derived(data.place);
	const look = $derived(data.look);
	const at = $derived(place && look ? `${place.id}/${look.look}` : '');
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	const key = `${store.id}/looks`;
	/** what was taped and is not kept, by place and look */
	let taped = $state<Record<string, string>>(restored<Record<string, string>>(key) ?? {});
	$effect(() => note(key, Object.keys(taped).length ? { ...taped } : ''));
	let wrong = $state('');
	let step = $state<Record<string, number>>({});
	const kindOf = (row: Look) =>
		row.bound === 'yes' ? 'yes' : row.need_bar ? 'size' : row.need_count !== null ? 'count' : 'length';
	const kind = $derived(look ? kindOf(look) : 'yes');
	/** as a tape is read: no closer than a sixteenth, or a millimetre */
	const read = (mm: number) => {
		const grain = store.units === 'mm' ? 1 : 25.4 / 16;
		return typedLength(Math.round(mm / grain) * grain, store.units);
	};
	const starts = $derived(
		!look ? '' : kind === 'length' ? read(look.need_mm ?? 0) : kind === 'count' ? `${look.need_count}` : look.need_bar
	);
	const typed = $derived(taped[at] ?? (look?.taped_text || starts));
	const mark = (row: Look) => ({ open: '', held: ' ✓', mended: ' ✓', short: ' ✗' })[row.state];
	function move(by: number) {
		if (kind === 'count') return void (taped[at] = `${Math.max(0, (parseInt(typed, 10) || 0) + by)}`);
		const from = step[at] ?? look?.need_mm ?? 0;
		step[at] = Math.max(0, from + by);
		taped[at] = read(from + by);
	}
	/** The next look that nobody had, here and then elsewhere. */
	function onward(from: Place, was: Look) {
		const here = from.looks.slice(from.looks.findIndex((row) => row.look === was.look) + 1);
		const next = here.find((row) => row.state === 'open');
		if (next) return data.lookAt(from.id, next.look);
		const other = data.places.find((row) => row.looks.some((one) => one.state === 'open'));
		if (other) data.lookAt(other.id, other.looks.find((one) => one.state === 'open')?.look ?? '');
	}
	async function keep(values: Record<string, unknown>) {
		if (!place || !look) return;
		const [from, was, held] = [place, look, at];
		const got = await addRecord(store, 'steel-check', { place: place.id, look: look.look, ...values }, session.who, null);
		if (isWrong(got)) return void (wrong = got.words);
		wrong = '';
		delete taped[held];
		delete step[held];
		if (got) await store.load();
		await data.load();
		if (data.place?.id !== from.id || data.look?.look !== was.look) return; // whoever looks elsewhere by now stays there
		if (data.look.state !== 'short') onward(from, was);
	}
	const said = (mended: boolean, text = typed): Record<string, unknown> =>
		kind === 'length'
			? { measured_mm: text, mended }
			: kind === 'count'
				? { count: parseInt(text, 10) || 0, mended }
				: { size: text, mended };
</script>

<Verdict
	text={!all.length
		? words.lookNone
		: short
			? words.toMend(short)
			: seen === all.length
				? words.lookAll
				: words.looked(seen, all.length)}
	under={all.length ? '' : words.noneUnder}
	is={short ? 'bad' : 'plain'}
/>
{#if place && look}
	<p class="mt-8 text-key font-[800]">{words.place(places.indexOf(place) + 1, places.length, place.name)}</p>
	<div class="mt-4">
		<Choice
			name={words.looks}
			rows={place.looks.map((row) => ({ value: row.look, label: `${words.lookNames[row.look] ?? row.look}${mark(row)}` }))}
			value={look.look}
			pick={(now) => now && data.lookAt(place.id, now)}
		/>
	</div>
	<h2 class="mt-12 text-call leading-[1.15] font-black">{look.ask}</h2>
	{#if kind === 'length'}<LookTape {look} text={typed} units={store.units} />{/if}
	{#if kind === 'yes'}
		<div class="mt-10 flex gap-8">
			<Act kind="main" onclick={() => void keep({ holds: true, mended: look.state === 'short' })}>{words.itIs}</Act>
			<Act kind="plain" onclick={() => void keep({ holds: false })}>{words.itIsNot}</Act>
		</div>
	{:else}
		<div class="mt-8 grid grid-cols-2 items-end gap-16">
			<p>
				<span class="label block">{words.asDrawn}</span>
				<b class="inline-block border-2 border-ink bg-well px-8 text-call leading-[1.3] font-black"
					><Frac text={look.need_text} /></b
				>
			</p>
			{#if kind === 'size'}<Choice
					name={look.ask}
					rows={data.barNames.map((value) => ({ value, label: value }))}
					value={typed}
					pick={(now) => now && (taped[at] = now)}
				/>{:else}<label class="label"
					>{kind === 'count' ? words.youCount : words.youTape}<input
						class="well font-pencil text-call font-[520] text-pencil"
						autocomplete="off"
						inputmode={kind === 'count' ? 'numeric' : 'text'}
						aria-invalid={!!wrong}
						value={typed}
						oninput={(event) => (taped[at] = event.currentTarget.value)}
						onkeydown={(event) => event.key === 'Enter' && void keep(said(false))}
					/></label
				>{/if}
		</div>
		{#if kind === 'length'}<div class="mt-8 grid grid-cols-6 gap-4">
				{#each STEPS[store.units] as { mm, label } (label)}<Act kind="quiet" onclick={() => move(mm)}><Frac text={label} /></Act
					>{/each}
			</div>{:else if kind === 'count'}<div class="mt-8 grid grid-cols-2 gap-4">
				<Act kind="quiet" onclick={() => move(-1)}>−1</Act><Act kind="quiet" onclick={() => move(1)}>+1</Act>
			</div>{/if}
		<div class="mt-10 flex flex-wrap gap-8">
			<Act kind="main" onclick={() => void keep(said(false))}>{words.keepLook}</Act>
			{#if look.state === 'short'}<Act kind="plain" onclick={() => void keep(said(true, starts))}>{words.mended}</Act>{/if}
		</div>
	{/if}
	{#if wrong}<p class="wrong mt-6" role="alert">{wrong}</p>{/if}
	{#if look.words}<p
			class={['mt-8 text-call leading-[1.15] font-black', look.state === 'short' ? 'text-flag' : 'text-chalk']}
			data-look-state={look.state}
		>
			<Frac text={look.words} />
		</p>
		{#if look.remedy}<p>{look.remedy}</p>{/if}{/if}
	<PhotoStrip {store} of="steel/{place.id}/{look.look}" title="{place.name}, {words.lookNames[look.look] ?? look.look}" />
	<div class="mt-14 flex flex-wrap gap-4" role="group" aria-label={words.places}>
		{#each places as other, i (other.id)}
			{@const done = other.looks.every((row) => row.state === 'held' || row.state === 'mended')}
			<Act kind="quiet" on={other.id === place.id} onclick={() => data.lookAt(other.id, other.looks[0]?.look ?? '')}
				>{i + 1} {other.name}{other.short ? ' ✗' : done ? ' ✓' : ''}</Act
			>
		{/each}
	</div>
{/if}
<FindingList findings={onTab(data.findings, 'look')} />
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.lookCaution}</p>
