<script lang="ts">
	/** What one wall is: its sizes, the floor that meets it, doors, cores and foam. */
	import type { Walls } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Field from '../../ui/Field.svelte';
	import { shownLength, typedLength } from '../../ui/typed';
	import { footings } from '../../words/footings';
	import { walls as words } from '../../words/walls';
	import { edges as edgeWords } from '../../words/edges';
	import { takeOut } from './shape_edits';
	/** first: what stands over its cut; else the rest, under it */
	let { store, found, wall, first = false }: { store: JobStore; found: Walls; wall: number; first?: boolean } = $props();
	const row = $derived(store.document?.walls[wall]);
	const at = $derived(`wall-${row?.id ?? ''}`);
	const say = (mm: number | null | undefined) => (mm ? shownLength(mm, store.units) : '');
	const aside = $derived(row?.offset_mm ? `${say(Math.abs(row.offset_mm))} ${row.offset_mm > 0 ? 'left' : 'right'}` : '0');
	const of = (names: Record<string, string>) => Object.entries(names).map(([value, label]) => ({ value, label }));
	const keep = (key: string, value: unknown) =>
		store.keep([{ op: 'set_wall', wall: row?.id ?? '', changes: { [key]: value } }], `${at}-${key}`);
	const typed = (key: string) => (text: string) => keep(key, text.trim());
	const pick = (key: string) => (value: string) => void keep(key, value);
	const wrong = (key: string) => store.problemFor(`${at}-${key}`);
	const guess = footings.guess;
	const calm = { calm: true, placeholder: words.noneOf } as const;
</script>

{#snippet size(label: string, key: string, value: string, more: Record<string, unknown> = {})}
	<Field
		label={row?.guessed?.some((one) => one === key) ? guess(label) : label}
		{value}
		problem={wrong(key)}
		keep={typed(key)}
		{...more}
	/>
{/snippet}

{#if row && first}
	<div class="mt-4 grid max-w-360 grid-cols-2 items-end gap-x-12">
		{@render size(words.name, 'name', row.name, { mode: 'text' })}
		<Choose label name={words.kind} rows={of(words.kinds)} value={row.kind} pick={pick('kind')} />
	</div>
{:else if row}
	<div class="grid grid-cols-[repeat(auto-fill,minmax(118px,1fr))] items-end gap-x-12 gap-y-6">
		{@render size(words.from, 'from_mm', typedLength(row.from_mm ?? 0, store.units) || '0')}
		{@render size(words.to, 'to_mm', row.to_mm ? typedLength(row.to_mm, store.units) : '', {
			calm: true,
			placeholder: words.toEnd
		})}
		{@render size(words.aside, 'offset_mm', aside, { mode: 'text', placeholder: words.asideHint })}
		<div class="col-span-2">
			{@render size(words.downs, 'set_downs', found.drawn[wall]?.set_downs_text ?? '', {
				mode: 'text',
				calm: true,
				placeholder: words.downsHint[store.units]
			})}
		</div>
	</div>
	<div class="mt-8 flex flex-wrap items-end gap-x-12 gap-y-6">
		<Choose
			label
			name={words.floor}
			rows={of(words.meets).filter((one) => row.kind === 'block' || one.value !== 'header')}
			value={row.meets ?? 'against'}
			pick={pick('meets')}
		/>
		{#if row.meets === 'header'}<div class="w-112">{@render size(words.ledge, 'ledge_mm', say(row.ledge_mm))}</div>{/if}
		{#if row.meets !== 'over' && row.meets !== 'header'}<div class="w-132">
				{@render size(words.isolation, 'isolation_mm', say(row.isolation_mm), calm)}
			</div>{/if}
		{#if row.kind === 'block'}
			<Choose label name={words.cores} rows={of(words.coresAre)} value={row.cores ?? 'none'} pick={pick('cores')} />
			{#if row.cores === 'nth'}<div class="w-80">
					<Field
						label={words.every}
						mode="numeric"
						value={`${row.every ?? 2}`}
						problem={wrong('every')}
						keep={(text) => keep('every', Number.isFinite(Number(text)) ? Number(text) : text)}
					/>
				</div>{/if}
			{#if row.cores === 'bars'}<div class="w-112">{@render size(words.bars, 'bars_mm', say(row.bars_mm))}</div>{/if}
			{#if row.cores && row.cores !== 'none'}<Choose
					label
					name={words.fills}
					rows={of(words.fillsAre)}
					value={row.cores_with ?? 'walls'}
					pick={pick('cores_with')}
				/>{/if}
		{/if}
		<div class="w-112">{@render size(words.foamIn, 'foam_inside_mm', say(row.foam_inside_mm), calm)}</div>
		<div class="w-112">{@render size(words.foamOut, 'foam_outside_mm', say(row.foam_outside_mm), calm)}</div>
		{#if row.kind === 'formed'}<div class="w-132">
				{@render size(words.foamMid, 'foam_between_mm', say(row.foam_between_mm), calm)}
			</div>{/if}
		{#if row.kind === 'formed'}<div class="w-96">{@render size(words.panels, 'panel_mm', say(row.panel_mm), calm)}</div>{/if}
		<Act kind="quiet" onclick={() => void store.keep([takeOut('walls', [row.id ?? ''])], at)}>{edgeWords.out}</Act>
	</div>
{/if}
