<script lang="ts">
	/** What of a lap, a sidewalk or a ramp its cut does not show: name, fall, flares, kerbs, broom, its pour. */
	import type { Beside } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Field from '../../ui/Field.svelte';
	import Switch from '../../ui/Switch.svelte';
	import { shownLength } from '../../ui/typed';
	import { walks as words } from '../../words/walks';
	import { edges as edgeWords } from '../../words/edges';
	import { takeOut } from './shape_edits';
	let { store, one }: { store: JobStore; one: Beside } = $props();
	const list = $derived(
		one.kind === 'lap' ? ('laps' as const) : one.kind === 'ramp' ? ('ramps' as const) : ('sidewalks' as const)
	);
	const lap = $derived(list === 'laps' ? store.document?.laps.find((row) => row.id === one.id) : undefined);
	const walk = $derived(list === 'sidewalks' ? store.document?.sidewalks.find((row) => row.id === one.id) : undefined);
	const ramp = $derived(list === 'ramps' ? store.document?.ramps.find((row) => row.id === one.id) : undefined);
	const say = (mm: number | null | undefined) => (mm ? shownLength(mm, store.units) : '');
	const at = $derived(`beside-${one.id}`);
	const set = (key: string, value: unknown) =>
		store.keep([{ op: 'set_beside', what: list, id: one.id, changes: { [key]: value } }], `${at}-${key}`);
	const fall = $derived(walk?.fall === undefined ? '' : `${+(walk.fall * 100).toFixed(2)} %`);
	const of = (names: Record<string, string>) => Object.entries(names).map(([value, label]) => ({ value, label }));
	const calm = { calm: true, placeholder: words.noneOf } as const;
	const text = { mode: 'text' } as const;
</script>

{#snippet size(label: string, key: string, value: string, more: Record<string, unknown> = {})}
	<Field {label} {value} problem={store.problemFor(`${at}-${key}`)} keep={(typed) => set(key, typed.trim())} {...more} />
{/snippet}

<div class="grid grid-cols-[repeat(auto-fill,minmax(112px,1fr))] items-end gap-x-12 gap-y-6">
	{@render size(words.name, 'name', one.name, text)}
	{#if lap}
		{@render size(words.atEnd, 'end_width_mm', lap.end_width_mm === 0 ? '0' : say(lap.end_width_mm), {
			calm: true,
			placeholder: say(lap.width_mm)
		})}
		{#if lap.kind !== 'saw-cut'}<Choose
				label
				name={words.gap}
				rows={of(words.gaps)}
				value={lap.gap ?? 'kept'}
				pick={(now) => void set('gap', now)}
			/>{/if}
	{:else if walk}
		{@render size(words.fall, 'fall', fall, text)}
	{:else if ramp}
		{@render size(words.flare, 'flare_mm', say(ramp.flare_mm), calm)}
		{@render size(words.kerb, 'kerb_mm', say(ramp.kerb_mm), calm)}
		{#if ramp.kerb_mm}{@render size(words.kerbWide, 'kerb_wide_mm', say(ramp.kerb_wide_mm))}{/if}
	{/if}
	{#if walk || ramp}<Choose
			label
			name={words.broom}
			rows={of(words.brooms)}
			value={(walk ?? ramp)?.broom ?? 'across'}
			pick={(now) => void set('broom', now)}
		/>{/if}
</div>
<div class="mt-6 flex flex-wrap items-center gap-12">
	{#if walk || ramp}<Switch on={(walk ?? ramp)?.pour === 'with'} set={(on) => void set('pour', on ? 'with' : 'apart')}
			>{(walk ?? ramp)?.pour === 'with' ? words.withSlab : words.apart}</Switch
		>{/if}
	<Act kind="quiet" onclick={() => void store.keep([takeOut(list, [one.id])], at)}>{edgeWords.out}</Act>
</div>
