<script lang="ts">
	/** One question of the walk: where, what, the cut it asks about, what was read; pass, mend or not here, and on to the next. */
	import { goto } from '$app/navigation';
	import PhotoStrip from '../../photos/PhotoStrip.svelte';
	import { note, restored } from '../../state/remember.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { shownLength, typedLength } from '../../ui/typed';
	import { holdWords } from '../../words/holds';
	import { w } from '../../words/words';
	import { taped } from '../steel/tape';
	import type { GateData } from './holds.svelte';
	import { parts, shortBy } from './walk';
	import WalkCut from './WalkCut.svelte';
	let { data, photo = true }: { data: GateData; photo?: boolean } = $props();
	const words = holdWords.walk;
	const store = $derived(data.store);
	const row = $derived(data.row);
	const place = $derived(data.place);
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	const key = `${store.id}/walk`;
	interface Typed {
		read?: string;
		why?: string;
		note?: string;
	}
	/** what is typed and not kept, by question */
	let typed = $state<Record<string, Typed>>(restored<Record<string, Typed>>(key) ?? {});
	$effect(() => note(key, Object.keys(typed).length ? { ...typed } : ''));
	const own = $derived(typed[row?.id ?? ''] ?? {});
	const put = (change: Typed) => row && (typed[row.id] = { ...own, ...change });
	const steel = $derived(row?.writes['kind'] === 'steel-check' ? row.writes : null);
	const measured = $derived(
		row?.need === 'least' || (steel && ['least', 'most'].includes(steel['bound'] ?? '') && !steel['counts'])
	);
	const counts = $derived(!!steel && !!steel['counts']);
	const size = $derived(!!steel && !!steel['bar']);
	const looks = $derived(!!row && (row.need === 'look' || (!!steel && steel['bound'] === 'yes')));
	const read = $derived(parts(own.read ?? '').map((one) => taped(one, store.units)));
	const short = $derived(row?.need === 'least' ? shortBy(read, row.least_mm) : null);
	const many = $derived(row?.id.endsWith('/string') ?? false);
	const step = $derived(store.units === 'mm' ? 5 : 25.4 / 8);
	let wrong = $state('');
	function move(by: number) {
		const from = read.at(-1) ?? row?.least_mm ?? 0;
		const before = parts(own.read ?? '').slice(0, -1);
		put({ read: [...before, typedLength(Math.max(0, from + by * step), store.units)].join(', ') });
	}
	function values(verdict: 'pass' | 'mend' | 'absent'): [Parameters<GateData['record']>[0], Record<string, unknown>] {
		if (row && steel)
			return [
				'steel-check',
				{
					place: steel['place'],
					look: steel['look'],
					...(size ? { size: own.read || steel['bar'] } : counts ? { count: parseInt(own.read ?? '', 10) || 0 } : {}),
					...(measured ? { measured_mm: own.read ?? '' } : {}),
					...(steel['bound'] === 'yes' ? { holds: verdict === 'pass' } : {}),
					mended: verdict === 'pass' && row.state === 'mend',
					note: own.note ?? ''
				}
			];
		const readings_mm = verdict === 'absent' ? [] : parts(own.read ?? '');
		return [
			'check',
			{
				row: row?.id,
				verdict,
				readings_mm,
				by: session.who,
				over_why: short && verdict === 'pass' ? (own.why ?? '') : '',
				note: own.note ?? ''
			}
		];
	}
	async function keep(verdict: 'pass' | 'mend' | 'absent') {
		if (!row) return;
		const was = row;
		if (verdict === 'pass' && row.need === 'least' && !read.length) return void (wrong = holdWords.walk.read);
		const next = data.nextOpen(row);
		const [kind, said] = values(verdict);
		const ok = await keepRecord(kind, said);
		if (!ok) return;
		delete typed[was.id];
		if (data.row?.id === was.id && verdict !== 'mend' && next) data.picked = next.id;
	}
	async function keepRecord(kind: Parameters<GateData['record']>[0], said: Record<string, unknown>) {
		const ok = await data.record(kind, said);
		wrong = ok ? '' : data.wrong;
		return ok;
	}
	const grey = $derived(short !== null && short > 0 && !(own.why ?? '').trim());
</script>

{#if row && place}
	<section
		id="walk-ask"
		class="mt-8"
		aria-label={words.place(place.n, data.places.length, place.name)}
		data-row={row.id}
		data-row-state={row.state}
	>
		<div class="flex items-center gap-8">
			<Act kind="quiet" aria-label="{words.prev}, {place.name}" onclick={() => data.step(-1)}>‹</Act>
			<p class="flex-1 text-key font-heavy">
				{words.place(place.n, data.places.length, place.name)}
				<span class="label block"
					>{words.row(place.rows.findIndex((one) => one.id === row.id) + 1, place.rows.length)}{row.who.includes('I')
						? `, ${words.inspector}`
						: ''}</span
				>
			</p>
			<Act kind="quiet" aria-label="{words.next}, {place.name}" onclick={() => data.step(1)}>›</Act>
		</div>
		<h2 class="mt-4 text-call leading-[1.1] font-black max-phone:text-ask">{row.ask}</h2>
		<div class="mt-6 grid grid-cols-[auto_minmax(0,1fr)] gap-x-14">
			{#if row.need === 'least'}<WalkCut {row} read={read.at(-1) ?? null} units={store.units} />{/if}
			<div class={row.need === 'least' ? '' : 'col-span-2'}>
				{#if row.drawn_text && row.least_text}<p>
						<span class="label">{words.drawn}</span> <b><Frac text={row.drawn_text} /></b>
						<span class="label ml-10">{words.least}</span>
						<b class="border-2 border-ink bg-well px-6"><Frac text={row.least_text} /></b>
					</p>{/if}
				{#if row.words}<p class="text-note"><Frac text={row.words} /></p>{/if}
				{#if row.state !== 'open'}<p class={['font-heavy', row.state === 'mend' ? 'text-flag' : 'text-chalk']} data-said>
						{words.states[row.state]}
						<Frac text={[row.read_text, row.short_words, row.note, row.over_why].filter(Boolean).join('. ')} />
						{row.by ? words.seenBy(row.by) : ''}
					</p>{/if}
				{#if row.state === 'second'}<p class="text-note">{words.second(row.by)}</p>{/if}
				{#each row.before as old, i (i)}<p class="text-note line-through">
						<Frac text={[old.text, words.states[old.verdict], old.by].filter(Boolean).join(', ')} />
					</p>{/each}
			</div>
		</div>
		{#if row.need === 'given'}
			<p class="mt-6 text-note">{words.given}</p>
			{#if row.goes}<Act
					kind="plain"
					class="mt-6"
					onclick={() => void goto(`/job/${store.id}/${row.goes?.[0]}?tab=${row.goes?.[1]}`)}
					>{words.goes(w.lenses[row.goes[0] as keyof typeof w.lenses])}</Act
				>{/if}
		{:else}
			{#if measured || counts || size}
				<div class="mt-8 flex flex-wrap items-end gap-8">
					<label class="label min-w-140 flex-1"
						>{many ? words.readMany : counts ? words.count : size ? words.size : words.read}<input
							class="well w-full font-pencil text-call font-[520] text-pencil"
							autocomplete="off"
							inputmode={counts ? 'numeric' : 'text'}
							placeholder={size ? steel?.['bar'] : ''}
							aria-invalid={!!wrong}
							value={own.read ?? ''}
							oninput={(event) => put({ read: event.currentTarget.value })}
							onkeydown={(event) => event.key === 'Enter' && void keep('pass')}
						/></label
					>
					{#if row.need === 'least'}{#each [-1, 1] as by (by)}<Act kind="plain" onclick={() => move(by)}
								><Frac text={`${by < 0 ? '−' : '+'}${store.units === 'mm' ? '5' : '1/8'}`} /></Act
							>{/each}{/if}
				</div>
				{#if short !== null}<p
						class={['mt-4 text-call leading-tight font-black', short ? 'text-flag' : 'text-chalk']}
						data-short={short > 0}
					>
						<Frac text={short ? words.short(shownLength(short, store.units)) : words.holds} />
					</p>{/if}
				{#if short}<label class="label mt-4 block"
						>{words.overWhy}<input
							class="well w-full"
							maxlength="400"
							value={own.why ?? ''}
							oninput={(event) => put({ why: event.currentTarget.value })}
						/></label
					>{/if}
			{/if}
			<input
				class="well mt-6 w-full"
				maxlength="400"
				placeholder={words.note}
				aria-label={words.note}
				value={own.note ?? ''}
				oninput={(event) => put({ note: event.currentTarget.value })}
			/>
			<div class="mt-6 grid grid-cols-3 gap-8">
				<Act kind={looks || !grey ? 'main' : 'plain'} class="min-h-56" disabled={grey} onclick={() => void keep('pass')}
					>{words.pass}</Act
				>
				<Act kind="plain" class="min-h-56" onclick={() => void keep('mend')}>{words.mend}</Act>
				<Act kind="plain" class="min-h-56" disabled={!!steel} onclick={() => void keep('absent')}>{words.absent}</Act>
			</div>
		{/if}
		{#if wrong}<p class="wrong mt-6" role="alert">{wrong}</p>{/if}
		{#if photo}<PhotoStrip {store} of="gate/{row.id.replaceAll('/', '-')}" title="{place.name}, {row.ask}" />{/if}
		<Fold class="mt-8" name={words.source}><p class="text-note">{row.rests_on}</p></Fold>
		<Fold name={words.all}>
			<ul>
				{#each data.places as one (one.id)}
					<li>
						<button
							type="button"
							class="min-h-44 text-left"
							aria-pressed={one.id === place.id}
							onclick={() => (data.picked = one.rows[0]?.id ?? '')}><b>{one.n}</b> {one.name}, {words.states[one.state]}</button
						>
						{#if one.id === place.id}<ul class="ml-20">
								{#each one.rows as ask (ask.id)}<li>
										<button
											type="button"
											class="min-h-44 text-left"
											aria-pressed={ask.id === row.id}
											onclick={() => (data.picked = ask.id)}>{ask.ask} <b>{words.states[ask.state]}</b></button
										>
									</li>{/each}
							</ul>{/if}
					</li>
				{/each}
			</ul>
		</Fold>
	</section>
{/if}
