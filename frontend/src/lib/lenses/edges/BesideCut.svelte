<script lang="ts">
	/** The cut from the slab's edge outward through a lap, a sidewalk or a ramp, to scale both ways. */
	import type { Beside } from '../../api/schema';
	import { walks as words } from '../../words/walks';
	let { one }: { one: Beside } = $props();
	const TALL = 148;
	let width = $state(420);
	const all = $derived(one.cut.flatMap((side) => side.ring));
	const [left, right] = $derived([Math.min(...all.map((p) => p[0])), Math.max(...all.map((p) => p[0]))]);
	const [low, high] = $derived([Math.min(...all.map((p) => p[1])), Math.max(...all.map((p) => p[1]))]);
	const scale = $derived(Math.min((width - 16) / (right - left), (TALL - 40) / (high - low)));
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

<div bind:clientWidth={width}>
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
</div>
