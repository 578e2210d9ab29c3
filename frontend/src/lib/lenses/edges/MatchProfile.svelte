<script lang="ts">
	/** The old floor's levels along the joint, the new top beside them, upright scale stretched and said. */
	import { shownLength } from '../../ui/typed';
	import type { Match } from '../../api/schema';
	import { edges as edgeWords } from '../../words/edges';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	let { match, units }: { match: Match; units: 'ft-in' | 'mm' } = $props();
	let width = $state(600);
	const [top, tall] = [26, 74];
	const last = $derived(Math.max(...match.points.map((p) => p.at_mm), 1));
	const all = $derived(match.points.flatMap((p) => [p.level_mm, p.top_mm]));
	const span = $derived(Math.max(6, Math.max(...all) - Math.min(...all)));
	const x = (at: number) => 40 + (at / last) * (width - 110);
	const y = (level: number) => top + ((Math.max(...all) - level) / span) * tall;
	const times = $derived(Math.max(1, Math.round(tall / span / ((width - 110) / last))));
	const off = (mm: number) =>
		shownLength(units === 'mm' ? Math.round(Math.abs(mm)) : (Math.round((Math.abs(mm) / 25.4) * 16) * 25.4) / 16, units);
</script>

<div bind:clientWidth={width}>
	<svg {width} height={top + tall + 30} role="img" aria-label={match.words}>
		<path
			d="M{match.points.map((p) => `${x(p.at_mm)} ${y(p.top_mm)}`).join('L')}"
			fill="none"
			stroke="var(--color-ink)"
			stroke-width="3"
		/>
		<path
			d="M{match.points.map((p) => `${x(p.at_mm)} ${y(p.level_mm)}`).join('L')}"
			fill="none"
			stroke="var(--color-pencil)"
			stroke-width="2"
			stroke-dasharray="6 4"
		/>
		<path
			d="M{x(0)} {y(match.best_start_mm)}L{x(last)} {y(match.best_start_mm + match.best_per_mm * last)}"
			stroke="var(--color-chalk)"
			stroke-width="1.4"
			stroke-dasharray="2 4"
		/>
		{#each match.points as p}
			<circle cx={x(p.at_mm)} cy={y(p.level_mm)} r="4.5" fill="var(--color-well)" stroke="var(--color-pencil)" stroke-width="2" />
			{#if Math.abs(p.off_mm) > 0.7}<text
					class="fill-ink text-body font-[680]"
					x={x(p.at_mm)}
					y={y(Math.max(p.level_mm, p.top_mm)) - 9}
					text-anchor="middle"><SvgFrac text={off(p.off_mm)} /></text
				>{/if}
		{/each}
		<text class="fill-ink text-body font-[680]" x={width - 60} y={y(match.points[match.points.length - 1]?.top_mm ?? 0) + 5}
			>{edgeWords.newTop}</text
		>
		<text x="40" y={top + tall + 22} class="fill-ink2 text-note font-label">{match.name}; {edgeWords.stretched(times)}</text>
	</svg>
</div>
