<script lang="ts">
	/** Twenty pours side by side, least first, and the board that strikes them off at the order. Drag the board or its label. */
	import { Slider } from 'bits-ui';
	import type { SureTold } from '../../api/schema';
	import { follow } from '../../drawing/follow';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { orderWords } from '../../words/order';
	import { rowOf, scaleOf, shortOf } from './board';
	let { told, order, go }: { told: SureTold; order: number; go: (m3: number) => void } = $props();
	const words = orderWords.sure;
	const own = $props.id();
	const HIGH = 212;
	const LEFT = 92;
	const RIGHT = 78;
	const TOP = 26;
	const BASE = HIGH - 22;
	let wide = $state(640);
	const pours = $derived(told.pours_m3);
	const scale = $derived(scaleOf(pours, [told.called.order_m3, told.best.order_m3, order], told.step_m3));
	const y = (m3: number) => BASE - ((m3 - scale.low) / (scale.high - scale.low)) * (BASE - TOP);
	const each = $derived((wide - LEFT - RIGHT - 12) / pours.length);
	const x = (at: number) => LEFT + 8 + at * each;
	const over = $derived(shortOf(pours, order));
	const text = (m3: number) => rowOf(told, m3).text;
	const every = $derived(Math.max(1, Math.ceil(scale.steps.length / 6)));
	const index = $derived(Math.round((order - scale.low) / told.step_m3));
	const moved = $derived(Math.abs(order - told.called.order_m3) > 1e-6);
	/** a column with the rough top that fresh concrete has */
	function column(at: number, m3: number): string {
		const [a, b, top] = [x(at) + 1.5, x(at) + each - 1.5, y(m3)];
		const third = (b - a) / 3;
		return `M${a} ${BASE}V${top}q${third / 2} -4 ${third} 0t${third} 0t${third} 0V${BASE}Z`;
	}
	const set = (m3: number) => go(Math.max(told.step_m3, Math.round(m3 / told.step_m3) * told.step_m3));
	function drag(event: PointerEvent) {
		const target = event.currentTarget as SVGElement;
		const frame = target.ownerSVGElement?.getBoundingClientRect();
		if (!frame) return;
		target.setPointerCapture(event.pointerId);
		event.preventDefault();
		const frozen = scale;
		follow(
			target,
			(now) => set(frozen.low + ((BASE - (now.clientY - frame.top)) / (BASE - TOP)) * (frozen.high - frozen.low)),
			() => undefined
		);
	}
</script>

<div class="relative" bind:clientWidth={wide} data-pours={over}>
	<svg width={wide} height={HIGH} class="block" aria-hidden="true">
		<defs>
			<pattern id="{own}-short" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
				<path d="M0 0v8" class="stroke-flag stroke-[2.4px]" />
			</pattern>
		</defs>
		<rect x={LEFT - 22} y={TOP - 10} width="22" height={BASE - TOP + 10} class="fill-well stroke-ink stroke-[1.4px]" />
		{#each scale.steps as step, i (step)}
			<path d="M{LEFT - (i % every ? 9 : 20)} {y(step)}h{i % every ? 9 : 20}" class="stroke-ink stroke-[1.4px]" />
			{#if i % every === 0 && Math.abs(y(step) - y(order)) > 24}<text
					x={LEFT - 28}
					y={y(step) + 5}
					text-anchor="end"
					class="fill-ink text-body font-mid"><SvgFrac text={text(step)} /></text
				>{/if}
		{/each}
		{#each pours as m3, at (at)}
			<path d={column(at, m3)} class="fill-slab stroke-ink stroke-[1.4px]" data-over={m3 > order + 1e-9} />
			{#if m3 > order + 1e-9}<rect
					x={x(at) + 1.5}
					y={y(m3) - 2}
					width={Math.max(0, each - 3)}
					height={Math.max(0, y(order) - y(m3) + 2)}
					fill="url(#{own}-short)"
				/>{/if}
			{#if (at + 1) % 5 === 0}<text x={x(at) + each / 2} y={HIGH - 6} text-anchor="middle" class="fill-ink text-note font-mid"
					>{at + 1}</text
				>{/if}
		{/each}
		<path d="M{LEFT} {BASE}H{wide - RIGHT}" class="stroke-ink stroke-[2.4px]" />
		{#if moved}
			<path d="M{LEFT} {y(told.called.order_m3)}H{wide - RIGHT + 8}" class="stroke-ink stroke-[1.6px] [stroke-dasharray:7_4]" />
		{/if}
		<!-- svelte-ignore a11y_no_static_element_interactions (the label beside it is a slider with keys) -->
		<g class="cursor-grab touch-none" onpointerdown={drag} data-strike-board>
			<rect x={LEFT - 6} y={y(order) - 14} width={Math.max(0, wide - LEFT - RIGHT + 44)} height="28" class="fill-transparent" />
			<rect
				x={LEFT - 2}
				y={y(order) - 6}
				width={Math.max(0, wide - LEFT - RIGHT + 34)}
				height="12"
				class="fill-board stroke-board-ink stroke-[1.6px]"
			/>
			<rect x={wide - RIGHT + 8} y={y(order) - 20} width="16" height="40" class="fill-board stroke-board-ink stroke-[1.6px]" />
		</g>
		<text
			x={LEFT + 12}
			y={Math.max(14, y(order) - 12)}
			class="fill-ink stroke-bench stroke-[4px] text-note font-[760] [paint-order:stroke]"
			><SvgFrac text={wide < 460 ? words.over(over) : words.struck(text(order), over)} /></text
		>
	</svg>
	<Slider.Root
		type="single"
		orientation="vertical"
		class="absolute left-0 w-70 touch-none"
		style="top: {TOP}px; height: {BASE - TOP}px"
		min={0}
		max={scale.steps.length - 1}
		step={1}
		thumbPositioning="exact"
		bind:value={() => index, (now) => set(scale.low + now * told.step_m3)}
	>
		<Slider.Thumb
			index={0}
			class="left-0 flex h-44 w-66 translate-y-0 cursor-grab items-center justify-center bg-ink text-ask font-black text-sheet"
			aria-label={words.board}
			aria-valuetext="{text(order)} {told.unit}"
		>
			<Frac text={text(order)} />
		</Slider.Thumb>
	</Slider.Root>
	<div class="absolute top-0 right-0 grid gap-48">
		<Act kind="plain" class="min-w-60" onclick={() => set(order + told.step_m3)}><Frac text={words.more(told.step_text)} /></Act>
		<Act kind="plain" class="min-w-60" onclick={() => set(order - told.step_m3)}><Frac text={words.less(told.step_text)} /></Act>
	</div>
</div>
<p class="label">{pours.length > 1 ? words.pours : words.onePour}</p>
