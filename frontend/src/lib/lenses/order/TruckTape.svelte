<script lang="ts">
	/** Every truck as a string: batched, on the road, here, waiting (a sag), a bead a yard as it is given;
	 * the crew's own string sags while it stands. */
	import type { DeliveryTold, TruckTold } from '../../api/schema';
	import { follow } from '../../drawing/follow';
	import { orderWords } from '../../words/order';
	import type { OrderData } from './order.svelte';
	import { unloadedOf } from './play';
	let { data, told }: { data: OrderData; told: DeliveryTold } = $props();
	const words = orderWords.trucks;
	const LEFT = 92;
	const MOST = 8;
	let wide = $state(640);
	const row_high = $derived(told.trucks.length > 3 ? 34 : 42);
	/* many trucks: the first ones and the last */
	const shown = $derived(
		told.trucks.length > MOST ? [...told.trucks.slice(0, MOST - 1), told.trucks.at(-1) as TruckTold] : told.trucks
	);
	const from = $derived(Math.min(...told.trucks.map((one) => one.batch_min)));
	const to = $derived(Math.max(...told.trucks.map((one) => one.end_min)));
	const x = (minute: number) => LEFT + ((minute - from) / Math.max(1, to - from)) * (wide - LEFT - 92);
	const high = $derived(34 + (shown.length + 1) * row_high + 8);
	const per = $derived(data.store.units === 'mm' ? 1 : 0.764554857984);
	const now = $derived(data.minutes ?? null);
	const beads = (one: TruckTold) => {
		const count = Math.max(1, Math.round(one.m3 / per));
		const given = now === null ? count : Math.round((unloadedOf(one, now) / one.m3) * count);
		const [a, b] = [x(one.unload_min), x(one.end_min)];
		const step = (b - a) / count;
		return { step, rows: Array.from({ length: count }, (_, i) => ({ at: a + step * (i + 0.5), full: i < given })) };
	};
	/** whole half hours on the clock */
	const ticks = $derived.by(() => {
		const [h, m] = told.start_text.split(':').map(Number);
		const base = m === undefined || Number.isNaN(h) ? 0 : (h as number) * 60 + m;
		const span = to - from > 300 ? 60 : 30;
		const rows: { at: number; text: string }[] = [];
		for (let t = Math.ceil((base + from) / span) * span; t <= base + to; t += span)
			rows.push({
				at: t - base,
				text: base ? `${Math.floor(t / 60) % 24}:${`${t % 60}`.padStart(2, '0')}` : t < 0 ? `−${-t}` : `+${t}`
			});
		return rows;
	});
	let held = $state<{ load: number; from: number; was: number } | null>(null);
	/** a stake dragged along its string makes that truck late; arrows do it by five minutes */
	function drag(one: TruckTold, event: PointerEvent) {
		const target = event.currentTarget as SVGElement;
		target.setPointerCapture(event.pointerId);
		event.preventDefault();
		const [load, per_px] = [one.n - 1, (to - from) / Math.max(1, wide - LEFT - 92)];
		const [start, was] = [event.clientX, data.late[load] ?? 0];
		follow(
			target,
			(now) => data.delay(load, Math.round(was + (now.clientX - start) * per_px)),
			() => (held = null)
		);
		held = { load, from: start, was };
	}
	function press(one: TruckTold, event: KeyboardEvent) {
		const by = event.key === 'ArrowRight' ? 5 : event.key === 'ArrowLeft' ? -5 : 0;
		if (!by) return;
		event.preventDefault();
		data.delay(one.n - 1, (data.late[one.n - 1] ?? 0) + by);
	}
	const sag = (a: number, b: number, y: number) => `M${x(a)} ${y}Q${(x(a) + x(b)) / 2} ${y + 22} ${x(b)} ${y}`;
	const done = $derived(shown.length);
</script>

<div bind:clientWidth={wide} data-tape={told.trucks.length}>
	<svg width={wide} height={high} class="block" role="group" aria-label={words.tape}>
		{#each ticks as tick (tick.at)}
			<path d="M{x(tick.at)} 22V{high}" class="stroke-hair stroke-[1.2px]" />
			<text x={x(tick.at)} y="14" text-anchor="middle" class="fill-ink text-note font-mid">{tick.text}</text>
		{/each}
		<path d="M0 22H{wide}" class="stroke-ink stroke-[1.6px]" />
		{#each shown as one, i (one.n)}
			{@const y = 50 + i * row_high}
			{@const { step, rows } = beads(one)}
			<text x="0" y={y - 2} class="fill-ink text-body font-[760]">{one.held ? words.last : words.truck(one.n)}</text>
			<text x="0" y={y + 14} class="fill-ink text-label"
				>{one.text} {data.store.units === 'mm' ? 'm³' : 'yd'}{one.held ? `, ${words.held}` : ''}</text
			>
			<circle cx={x(one.batch_min)} cy={y} r="5" class="fill-bench stroke-ink stroke-[1.8px]" />
			<path d="M{x(one.batch_min) + 5} {y}H{x(one.arrive_min)}" class="stroke-ink stroke-[1.8px]" />
			<path d="M{x(one.leaves_min)} {y - 7}v14" class="stroke-ink stroke-[1.8px]" />
			<g
				class="cursor-ew-resize touch-none"
				role="slider"
				tabindex="0"
				aria-label={words.lateName(one.n)}
				aria-valuenow={data.late[one.n - 1] ?? 0}
				aria-valuetext={one.arrive_text}
				onpointerdown={(event) => drag(one, event)}
				onkeydown={(event) => press(one, event)}
				data-stake={one.n}
			>
				<rect x={x(one.arrive_min) - 22} y={y - 22} width="44" height="44" class="fill-transparent" />
				<path
					d="M{x(one.arrive_min)} {y - 9}v18"
					class={['stroke-[3.4px]', data.late[one.n - 1] || held?.load === one.n - 1 ? 'stroke-flag' : 'stroke-ink']}
				/>
			</g>
			<text x={x(one.arrive_min)} y={y - 13} text-anchor="middle" class="fill-ink text-note font-mid">{one.arrive_text}</text>
			{#if one.wait_min > 0.5}
				<path d={sag(one.arrive_min, one.place_min, y)} class="fill-none stroke-flag stroke-[2.6px]" />
				<text x={x(one.place_min) - 4} y={y + 24} text-anchor="end" class="fill-flag text-label font-[680]"
					>{words.waits(Math.round(one.wait_min))}</text
				>
			{:else}<path d="M{x(one.arrive_min)} {y}H{x(one.unload_min)}" class="stroke-ink stroke-[1.8px]" />{/if}
			<path d="M{x(one.unload_min)} {y}H{x(one.end_min)}" class="stroke-chalk stroke-[2.6px]" />
			{#each rows as bead, k (k)}<circle
					cx={bead.at}
					cy={y}
					r={Math.min(6, step / 2 - 0.5)}
					class={['stroke-chalk stroke-[1.8px]', bead.full ? 'fill-chalk' : 'fill-bench']}
				/>{/each}
			<text x={x(one.end_min) + 8} y={y + 5} class={['text-note font-mid', one.old ? 'fill-flag' : 'fill-ink']}
				>{words.old(Math.round(one.age_min))}</text
			>
		{/each}
		{#if told.trucks.length}
			{@const y = 50 + done * row_high}
			<text x="0" y={y + 4} class="fill-ink text-body font-[760]">{words.crew}</text>
			<path d="M{x(told.trucks[0]?.unload_min ?? 0)} {y}H{x(told.done_min)}" class="stroke-ink stroke-[2.6px]" />
			{#each told.idle as [a, b], i (i)}
				<path d="M{x(a ?? 0)} {y}H{x(b ?? 0)}" class="stroke-bench stroke-[4px]" />
				<path d={sag(a ?? 0, b ?? 0, y)} class="fill-none stroke-flag stroke-[2.6px]" />
				{#if told.idle.length < 5}<text
						x={(x(a ?? 0) + x(b ?? 0)) / 2}
						y={y + 26}
						text-anchor="middle"
						class="fill-ink text-label font-mid">{words.standsShort(Math.round((b ?? 0) - (a ?? 0)))}</text
					>{/if}
			{/each}
			<text x={x(told.done_min) + 8} y={y + 5} class="fill-ink text-note font-[760]">{told.done_text}</text>
		{/if}
		{#if now !== null}
			<path d="M{x(now)} 22V{high - 14}" class="stroke-ink stroke-2" />
			<path d="M{x(now) - 6} {high - 14}h12v4l-6 8l-6 -8z" class="fill-ink" />
		{/if}
	</svg>
</div>
<p class="label">{data.store.units === 'mm' ? words.beadM : words.bead}</p>
