<script lang="ts">
	/** The cut from the slab's edge outward through a lap, a sidewalk or a ramp, to scale both ways, its sizes typed on it. */
	import type { Beside } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import Field from '../../ui/Field.svelte';
	import { shownLength, typedLength } from '../../ui/typed';
	import { walks as words } from '../../words/walks';
	let { store, one }: { store: JobStore; one: Beside } = $props();
	const TALL = 148;
	const list = $derived(
		({ lap: 'laps', ramp: 'ramps', sidewalk: 'sidewalks' } as const)[one.kind as 'lap' | 'ramp' | 'sidewalk']
	);
	const say = (mm: number) => shownLength(mm, store.units) || '0';
	const level = (mm: number | undefined) => (mm ? `${say(Math.abs(mm))} ${mm < 0 ? 'below' : 'above'}` : '0');
	/** sizes over the cut, where what they measure begins, and under it, at its end */
	const sizes = $derived.by(() => {
		type Size = { key: string; label: string; value: string; at: 'start' | 'middle' | 'end' };
		const rows: Size[] = [];
		const add = (key: string, label: string, value: string, at: Size['at']) => rows.push({ key, label, value, at });
		const lap = store.document?.laps.find((row) => row.id === one.id);
		const walk = store.document?.sidewalks.find((row) => row.id === one.id);
		const ramp = store.document?.ramps.find((row) => row.id === one.id);
		if (lap) {
			add('thickness_mm', words.thick, say(lap.thickness_mm), 'start');
			add('width_mm', lap.kind === 'saw-cut' ? words.atStart : words.over, say(lap.width_mm), 'end');
		} else if (walk) {
			add('top_mm', words.top, level(walk.top_mm), 'start');
			add('width_mm', words.wide, typedLength(walk.width_mm, store.units), 'middle');
			add('thickness_mm', words.thick, say(walk.thickness_mm), 'end');
		} else if (ramp) {
			add('high_mm', words.high, level(ramp.high_mm), 'start');
			add('run_mm', words.run, typedLength(ramp.run_mm, store.units), 'middle');
			add('low_mm', words.low, level(ramp.low_mm), 'end');
			add('thickness_mm', words.thick, say(ramp.thickness_mm), 'start');
			add('foot_mm', words.foot, say(ramp.foot_mm), 'end');
		}
		return rows;
	});
	const above = $derived(sizes.slice(0, 3));
	const below = $derived(sizes.slice(3));
	const set = (key: string) => (typed: string) =>
		store.keep([{ op: 'set_beside', what: list, id: one.id, changes: { [key]: typed.trim() } }], `beside-${one.id}-${key}`);
	let width = $state(420);
	const all = $derived(one.cut.flatMap((side) => side.ring));
	const [left, right] = $derived([Math.min(...all.map((p) => p[0])), Math.max(...all.map((p) => p[0]))]);
	const [low, high] = $derived([Math.min(...all.map((p) => p[1])), Math.max(...all.map((p) => p[1]))]);
	const scale = $derived(Math.min((width - 16) / (right - left), (TALL - 40) / (high - low)));
	/** sizes stand where the concrete is; in a narrow bench they take the width there is */
	const edge = $derived(width < 460 ? 0 : 8 - left * scale);
	const end = $derived(8 + (right - left) * scale);
	const path = (ring: readonly (readonly number[])[]) =>
		`M${ring.map((p) => `${(8 + ((p[0] ?? 0) - left) * scale).toFixed(1)} ${(22 + (high - (p[1] ?? 0)) * scale).toFixed(1)}`).join('L')}Z`;
	const FILL: Record<string, string> = {
		slab: 'fill-slab',
		lap: 'fill-water',
		walk: 'fill-water',
		ramp: 'fill-water',
		fill: 'fill-water',
		kerb: 'fill-none',
		old: 'fill-well'
	};
	const HATCH: Record<string, string> = { slab: 'conc', lap: 'deep', walk: 'deep', ramp: 'deep', fill: 'deep', old: 'filled' };
	const deep = $derived(Math.max(64, 44 + (high - low) * scale));
</script>

{#snippet row(some: typeof sizes)}
	<div class="flex items-end justify-between gap-10" style:margin-left="{edge}px" style:max-width="{Math.max(240, end - edge)}px">
		{#each some as size (size.key)}
			<Field
				label={size.label}
				mode="text"
				width="108px"
				value={size.value}
				problem={store.problemFor(`beside-${one.id}-${size.key}`)}
				keep={set(size.key)}
			/>
		{/each}
	</div>
{/snippet}

<div bind:clientWidth={width}>
	{@render row(above)}
	<svg {width} height={deep} role="img" aria-label={words.cut(one.name)} class="block">
		{#each one.cut as side, i (i)}
			<path d={path(side.ring)} class={FILL[side.kind]} />
			<path
				d={path(side.ring)}
				fill={HATCH[side.kind] ? `url(#${HATCH[side.kind]})` : 'none'}
				class={['stroke-ink', side.kind === 'slab' || side.kind === 'old' ? 'stroke-[1.3px]' : 'stroke-[2.2px]']}
			/>
		{/each}
	</svg>
	{#if below.length}{@render row(below)}{/if}
</div>
