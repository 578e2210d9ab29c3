<script lang="ts">
	/** A side's readings along its length, drawn too far out: the string or level as a blue line, the board as it stands. */
	import type { SideChecked } from '../../api/schema';
	import { w } from '../../words/words';
	let { checked }: { checked: SideChecked } = $props();
	const W = 520;
	const x = (mm: number) => 10 + (mm / checked.length_mm) * (W - 20);
	const most = $derived(Math.max(0.5, ...checked.moves.map((move) => Math.abs(move.off_mm))));
	/** The board stands where it must move from: against the move. */
	const y = (off: number) => 46 + (off / most) * 30;
	const path = $derived(checked.moves.map((move) => `${x(move.at_mm).toFixed(1)} ${y(move.off_mm).toFixed(1)}`).join('L'));
	const times = $derived(Math.max(1, Math.round((30 / most) * (checked.length_mm / (W - 20)))));
</script>

<svg class="block w-full" viewBox="0 0 {W} 98" role="img" aria-label={checked.verdict}>
	<path d="M10 46H{W - 10}" class="stroke-chalk stroke-[2.4px]" />
	<path d="M{path}" class="board fill-none stroke-ink stroke-9" />
	<path d="M{path}" class="fill-none stroke-board stroke-[6.5px]" />
	{#each checked.moves as move}
		<circle class={[!move.inside ? 'fill-flag' : 'fill-ink']} cx={x(move.at_mm)} cy={y(move.off_mm)} r={move.inside ? 4 : 6} />
		{#if !move.inside}<path d="M{x(move.at_mm)} {y(move.off_mm)}V46" class="stroke-flag stroke-3" />{/if}
	{/each}
</svg>
<p class="label">{w.lines.tooFar(times)}</p>
