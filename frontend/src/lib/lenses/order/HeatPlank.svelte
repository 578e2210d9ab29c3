<script lang="ts">
	/** The heat balance drawn: each part stands on the plank at its own temperature, as big as the heat it holds; it balances where
	 * the mix is. */
	import type { Balance } from '../../api/schema';
	import { orderWords } from '../../words/order';
	import { shownDegrees, type Units } from './temps';
	let { heat, units, wide }: { heat: Balance; units: Units; wide: number } = $props();
	const words = orderWords.mix;
	const text = (c: number) => `${shownDegrees(c, units)}°`;
	const temps = $derived([...heat.parts.map((part) => part.temp_c), heat.mixed_c, heat.here_c]);
	const low = $derived(Math.min(...temps) - 6);
	const high = $derived(Math.max(...temps) + 6);
	const x = (c: number) => 30 + ((c - low) / (high - low)) * (wide - 60);
	const most = $derived(Math.max(...heat.parts.map((part) => part.heat_kg)));
	const size = (part: Balance['parts'][number]) => 26 + 46 * Math.sqrt(part.heat_kg / most);
	/* parts that stand too near each other are set apart, each with a foot to its own degree */
	const spots = $derived.by(() => {
		const rows = [...heat.parts]
			.sort((a, b) => a.temp_c - b.temp_c)
			.map((part) => ({ part, at: x(part.temp_c), wide: size(part) }));
		for (let i = 1; i < rows.length; i++) {
			const [a, b] = [rows[i - 1], rows[i]];
			if (a && b) b.at = Math.max(b.at, a.at + (a.wide + b.wide) / 2 + 34);
		}
		const over = (rows.at(-1)?.at ?? 0) + (rows.at(-1)?.wide ?? 0) / 2 + 20 - wide;
		if (over > 0) for (const row of rows) row.at -= over;
		return rows;
	});
	const ticks = $derived.by(() => {
		const step = units === 'mm' ? 5 : 10 / 1.8;
		const from = units === 'mm' ? Math.ceil(low / 5) * 5 : (Math.ceil((low * 1.8 + 32) / 10) * 10 - 32) / 1.8;
		return Array.from({ length: 12 }, (_, i) => from + i * step).filter((c) => c <= high);
	});
</script>

<svg
	width={wide}
	height="196"
	class="block"
	role="img"
	aria-label="{words.heat}: {words.mixed(text(heat.mixed_c), text(heat.here_c), text(heat.most_c))}"
>
	{#each spots as { part, at, wide: w } (part.key)}
		<path
			d="M{at - w / 2} 128v{-w}{part.key === 'water' ? `q${w / 8} -6 ${w / 4} 0t${w / 4} 0t${w / 4} 0t${w / 4} 0` : `h${w}`}v{w}z"
			class={[
				'stroke-2',
				part.key === 'water'
					? 'fill-chalk-tint stroke-chalk'
					: part.key === 'stone'
						? 'fill-slab stroke-ink'
						: 'fill-hair stroke-ink'
			]}
		/>
		<text x={at} y={128 - w - 40} text-anchor="middle" class="fill-ink text-note font-[760]"
			>{words.parts[part.key as 'water']}</text
		>
		<text x={at} y={128 - w - 24} text-anchor="middle" class="fill-ink text-label"
			>{units === 'mm' ? `${Math.round(part.mass_kg)} kg/m³` : `${Math.round(part.mass_kg * 1.6855)} lb/yd`}</text
		>
		<text
			x={at}
			y={128 - w - 8}
			text-anchor="middle"
			class={['text-body font-[680]', part.said ? 'fill-ink' : 'fill-pencil font-pencil']}>{text(part.temp_c)}</text
		>
		<path d="M{at} 134L{x(part.temp_c)} 156" class="stroke-ink2 stroke-[1.2px]" />
	{/each}
	<rect x="10" y="128" width={wide - 20} height="10" class="fill-board stroke-board-ink stroke-[1.4px]" />
	<path d="M10 156H{wide - 10}" class="stroke-ink stroke-[1.6px]" />
	<path d="M{x(heat.mixed_c)} 138l11 18h-22z" class="fill-chalk" />
	{#each ticks as c (c)}{#if Math.abs(x(c) - x(heat.mixed_c)) > 24}<text
				x={x(c)}
				y="172"
				text-anchor="middle"
				class="fill-ink text-label">{text(c)}</text
			>{/if}{/each}
	<text x={x(heat.mixed_c)} y="174" text-anchor="middle" class="fill-chalk text-key font-black">{text(heat.mixed_c)}</text>
	<text x={wide / 2} y="192" text-anchor="middle" class="fill-ink text-note font-mid"
		>{words.mixed(text(heat.mixed_c), text(heat.here_c), text(heat.most_c))}</text
	>
</svg>
