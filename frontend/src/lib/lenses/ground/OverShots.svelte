<script lang="ts">
	/** Contours with colour, sign and number; every shot with its amount; the gap; the rod where it stands. */
	import type { LayerView } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	interface Props {
		view: Viewport;
		shots: LayerView;
		stick: XY | null;
		trial: XY[];
		roomy: boolean;
		pick: (at: XY) => void;
	}
	let { view, shots, stick, trial, roomy, pick }: Props = $props();
	const shares = { '1': 22, '2': 40, '3': 58 } as Record<string, number>;
	const fill = (sign: number, step: number) =>
		`color-mix(in srgb, var(--color-${sign > 0 ? 'flag' : 'chalk'}) ${shares[String(step)] ?? 22}%, var(--color-slab))`;
	/** Amounts at all shots where there is room; the worst always, none over another's or over a mark. */
	const named = $derived.by(() => {
		const marks = shots.shots.map((shot) => view.px(shot.at));
		const taken: XY[] = [];
		const said = new Set<number>();
		for (const shot of [...shots.shots].sort((a, b) => Math.abs(b.off_mm) - Math.abs(a.off_mm))) {
			const at = view.px(shot.at);
			const bad = shot.verdict !== 'inside';
			if (!bad && (!roomy || shots.shots.length > 90)) continue;
			const box: XY = bad ? [at[0] + 34, at[1]] : [at[0], at[1] + 15];
			if (taken.some((one) => Math.abs(one[0] - box[0]) < 40 && Math.abs(one[1] - box[1]) < 15)) continue;
			if (!bad && marks.some((one) => one[0] !== at[0] && Math.abs(one[0] - box[0]) < 24 && Math.abs(one[1] - box[1]) < 11))
				continue;
			taken.push(box);
			said.add(shot.number);
		}
		return said;
	});
	const inside = $derived(shots.shots.filter((shot) => shot.verdict === 'inside'));
	/** Those out of tolerance; of very many only as many as can be told apart, the worst first. */
	const out = $derived.by(() => {
		const all = shots.shots.filter((shot) => shot.verdict !== 'inside').sort((a, b) => Math.abs(b.off_mm) - Math.abs(a.off_mm));
		if (shots.count <= 120) return all;
		const kept: typeof all = [];
		for (const shot of all) {
			const at = view.px(shot.at);
			if (kept.every((one) => Math.hypot(view.px(one.at)[0] - at[0], view.px(one.at)[1] - at[1]) > 74)) kept.push(shot);
		}
		return kept;
	});
	/** The number of each contour, where no shot says a worse one. */
	const contourMarks = $derived(
		shots.bands
			.flatMap((band) => band.marks as [XY, string][])
			.filter(([at]) => {
				const spot = view.px(at);
				return shots.shots.every((shot) => {
					const p = view.px(shot.at);
					const wide = shot.verdict === 'inside' ? 16 : 62;
					return Math.abs(p[0] - spot[0]) > wide || Math.abs(p[1] - spot[1]) > 20;
				});
			})
	);
	function press(event: MouseEvent) {
		const frame = (event.currentTarget as SVGElement).ownerSVGElement?.getBoundingClientRect();
		if (frame) pick(view.mm(event.clientX - frame.left, event.clientY - frame.top));
	}
</script>

{#each shots.bands as band}
	{#if band.sign}<path
			d={view.path(band.rings)}
			fill={fill(band.sign, band.step)}
			fill-rule="evenodd"
			stroke="var(--color-ink2)"
			stroke-width=".8"
			class="band pointer-events-none"
			data-sign={band.sign}
		/>{/if}
{/each}
{#each contourMarks as [at, text]}
	{@const [x, y] = view.px(at)}
	<text
		{x}
		y={y + 5}
		text-anchor="middle"
		class="fill-ink2 stroke-slab stroke-4 text-note font-[620] [paint-order:stroke] [stroke-linejoin:round]"
		><SvgFrac {text} /></text
	>
{/each}
{#each inside as shot}
	{@const [x, y] = view.px(shot.at)}
	<path
		d="M{x - 4.5} {y - 4.5}l9 9m0-9l-9 9"
		class={['fill-none stroke-paint stroke-[2.6px]', shot.doubt && '[fill-opacity:0.35] [stroke-dasharray:2_2]']}
	/>
	{#if named.has(shot.number)}<text
			{x}
			y={y + 19}
			text-anchor="middle"
			class="fill-ink stroke-slab stroke-4 text-note font-[620] [paint-order:stroke] [stroke-linejoin:round]"
			><SvgFrac text={shot.off_text} /></text
		>{/if}
{/each}
{#each out as shot}
	{@const [x, y] = view.px(shot.at)}
	<path
		d={shot.verdict === 'high' ? `M${x} ${y - 9}l9 16h-18z` : `M${x} ${y + 9}l9-16h-18z`}
		class={['fill-paint stroke-ink stroke-[1.4px]', shot.doubt && '[fill-opacity:0.35] [stroke-dasharray:2_2]']}
		data-shot={shot.number}
		data-verdict={shot.verdict}
	/>
	{#if named.has(shot.number)}<text
			x={x + (stick && Math.hypot(stick[0] - shot.at[0], stick[1] - shot.at[1]) < 60 ? 22 : 12)}
			y={y + 6}
			class="fill-ink stroke-slab stroke-4 text-read font-[760] [paint-order:stroke] [stroke-linejoin:round]"
			><SvgFrac text="{shot.off_mm > 0 ? '+' : '−'}{shot.off_text}" /></text
		>{/if}
{/each}
{#each trial as at}
	{@const [x, y] = view.px(at)}
	<circle cx={x} cy={y} r="4" class="trial fill-sheet stroke-paint stroke-[2.4px]" />
{/each}
{#if shots.enough.next_at && !shots.enough.enough}
	{@const [x, y] = view.px(shots.enough.next_at)}
	<circle cx={x} cy={y} r="11" class="fill-none stroke-ink stroke-2 [stroke-dasharray:4_3]" />
{/if}
{#if stick}
	{@const [x, y] = view.px(stick)}
	<circle cx={x} cy={y} r="17" class="fill-none stroke-ink stroke-[2.6px]" />
	<path
		d="M{x} {y - 34}v34m-5 0h10"
		class="fill-none stroke-paint stroke-[2.6px]"
		data-stick="{stick[0].toFixed(0)},{stick[1].toFixed(0)}"
	/>
{/if}
<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the sheet has its own keys) -->
<rect width="100%" height="100%" fill="transparent" class="cursor-pointer" onclick={press} />
