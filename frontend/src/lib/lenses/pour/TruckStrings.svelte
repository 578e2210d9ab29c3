<script lang="ts">
	/** Trucks as strings: a hollow ring batched, a tick here, a bead a yard, a flag tick at the age limit; dashed what is not said yet. */
	import type { TruckNow } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import { pourWords as words } from '../../words/pour';
	import { clockOf, later } from './minutes';
	import type { PourData } from './pour.svelte';
	let { data }: { data: PourData } = $props();
	const HIGH = 30;
	const NAME = 96;
	let wide = $state(640);
	const rows = $derived(data.trucks.slice(-8));
	const now = $derived(data.told?.now_min ?? 0);
	const from = $derived(Math.min(now, ...rows.map((one) => one.batch_min)) - 5);
	const until = $derived(Math.max(now, ...rows.map((one) => one.end_min)) + 70);
	const x = (minute: number) => NAME + ((minute - from) / Math.max(1, until - from)) * (wide - NAME - 10);
	const ticks = $derived.by(() => {
		const start = data.told?.start_at ?? '';
		const step = until - from > 260 ? 60 : 30;
		const out: { at: number; text: string }[] = [];
		for (let minute = Math.ceil(from / step) * step; minute < until - 10; minute += step)
			out.push({ at: x(minute), text: clockOf(later(start, minute)) });
		return out;
	});
	const per = $derived(data.store.units === 'mm' ? 1 : 0.764554857984);
	const beads = (one: TruckNow) => {
		const count = Math.max(1, Math.round(one.m3 / per));
		return Array.from({ length: count }, (_, k) => {
			const minute = one.unload_min + ((k + 0.5) / count) * (one.end_min - one.unload_min);
			return { at: x(minute), full: one.here && minute <= now };
		});
	};
	const says = (one: TruckNow) =>
		one.empty
			? words.gone(one.end_text, one.age_min)
			: one.here
				? words.here(one.age_min, one.end_text)
				: one.held
					? words.sayBy(data.left?.say_by_text ?? '')
					: words.coming(one.arrive_text);
	const right = (one: TruckNow) => x(one.end_min) + 14;
</script>

<section class="mt-12" aria-label={words.trucks}>
	<h3 class="text-read font-heavy">{words.trucks}</h3>
	<div bind:clientWidth={wide}>
		<svg
			width={wide}
			height={rows.length * HIGH + 30}
			role="img"
			aria-label={rows.map((one) => `${words.truck(one.n)} ${one.text}: ${says(one)}`).join('. ')}
		>
			{#each ticks as tick (tick.at)}
				<path d="M{tick.at} 22V{rows.length * HIGH + 26}" class="stroke-hair" />
				<text x={tick.at} y="15" text-anchor="middle" class="fill-ink text-label font-mid">{tick.text}</text>
			{/each}
			{#each rows as one, i (one.n)}
				{@const y = 40 + i * HIGH}
				{@const old = one.limit_min + one.batch_min}
				<text x="0" y={y + 5} class="fill-ink text-read font-heavy">{one.held ? words.lastHeld : one.n}</text>
				<text x={one.held ? 34 : 20} y={y + 5} class="fill-ink text-note">{one.text}{one.held ? '?' : ''}</text>
				<path
					d="M{x(one.batch_min)} {y}H{x(one.arrive_min)}"
					class={['stroke-ink stroke-2', !one.here && '[stroke-dasharray:5_4]']}
				/>
				<circle cx={x(one.batch_min)} cy={y} r="5" class="fill-bench stroke-ink stroke-2" />
				<path d="M{x(one.arrive_min)} {y - 9}v18" class="stroke-ink stroke-[3px]" />
				{#each beads(one) as bead, k (k)}<circle
						cx={bead.at}
						cy={y}
						r="5"
						class={['stroke-chalk stroke-[1.8px]', bead.full ? 'fill-chalk' : 'fill-bench']}
					/>{/each}
				{#if !one.empty && old < until}<path d="M{x(old)} {y - 9}v18" class="stroke-flag stroke-[3px]" />{/if}
				{#if right(one) < wide - 120}<text
						x={right(one)}
						y={y + 5}
						class={['stroke-bench stroke-[5px] text-label font-mid [paint-order:stroke]', one.held ? 'fill-flag' : 'fill-ink']}
						>{says(one)}</text
					>{:else if x(one.batch_min) - 14 > NAME + 110}<text
						x={x(one.batch_min) - 10}
						y={y + 5}
						text-anchor="end"
						class={['stroke-bench stroke-[5px] text-label font-mid [paint-order:stroke]', one.held ? 'fill-flag' : 'fill-ink']}
						>{says(one)}</text
					>{/if}
			{/each}
			<path d="M{x(now)} 20V{rows.length * HIGH + 26}" class="stroke-ink stroke-[2.4px]" />
			<path d="M{x(now) - 6} {rows.length * HIGH + 22}h12l-6 8z" class="fill-ink" />
		</svg>
	</div>
	{#each data.trucks.filter((one) => one.here && !one.empty) as one (one.n)}
		<p class="text-note">
			<b>{words.truck(one.n)}</b>
			<Frac text={one.text} />, {words.free(one.free_min)}{one.charge_text ? `, ${one.charge_text}` : ''}
		</p>
	{/each}
</section>
