<script lang="ts">
	/** Rounds with water as knots on a string at the hours the drying asks for, the drying under it. */
	import type { CureData } from './cure.svelte';
	import { cureWords } from '../../words/cure';
	let { data }: { data: CureData } = $props();
	const words = cureWords.cover;
	let wide = $state(640);
	const rows = $derived(data.told?.rounds ?? []);
	const now = $derived(data.told?.now_h ?? 0);
	const from = $derived(Math.min(now - 2, rows[0]?.at_h ?? now) - 1);
	const until = $derived(from + 48);
	const x = (hour: number) => 10 + ((hour - from) / (until - from)) * (wide - 20);
	const seen = $derived(rows.filter((one) => one.at_h <= until));
	const dry = $derived((data.told?.drying ?? []).filter(([hour]) => hour >= from && hour <= until));
	const most = $derived(Math.max(0.6, ...dry.map(([, rate]) => rate)));
	const line = $derived(dry.map(([hour, rate]) => `${x(hour)} ${150 - (Math.max(0, rate) / most) * 60}`).join('L'));
	const days = $derived((data.told?.days ?? []).filter(([hour]) => hour > from && hour < until));
	/** where the time of a knot has room */
	const told = $derived.by(() => {
		let last = -99;
		return seen.map((one) => {
			const free = x(one.at_h) - last > 44;
			if (free) last = x(one.at_h);
			return free;
		});
	});
</script>

<div class="mt-6" bind:clientWidth={wide}>
	<svg
		width={wide}
		height="172"
		role="img"
		aria-label={seen.map((one) => `${one.day_text} ${one.at_text}: ${one.to || one.state}`).join('. ')}
	>
		{#each days as [hour, name] (hour)}
			<path d="M{x(hour)} 8V156" class="stroke-hair" />
			<text x={x(hour) + 4} y="168" class="fill-ink2 text-label">{name}</text>
		{/each}
		<path d="M{x(from)} 44H{x(until)}" class="stroke-ink stroke-[1.6px] [stroke-dasharray:5_4]" />
		{#each seen as one, i (one.key)}
			{@const at = x(one.at_h)}
			{#if one.state === 'done'}<path d="M{at - 9} 44c3 -8 15 -8 18 0c-3 8 -15 8 -18 0z" class="fill-chalk" />
			{:else}<circle
					cx={at}
					cy="44"
					r="7"
					class={[
						'stroke-2',
						one.state === 'missed'
							? 'fill-flag stroke-flag'
							: one.state === 'due'
								? 'fill-ink stroke-ink'
								: 'fill-bench stroke-ink'
					]}
				/>{/if}
			{#if told[i]}<text x={at} y="26" text-anchor="middle" class="fill-ink text-label font-heavy">{one.at_text}</text>
				<text x={at} y="70" text-anchor="middle" class="fill-ink font-pencil text-note">{one.to}</text>{/if}
		{/each}
		{#if line}<path d="M{line}" class="fill-none stroke-ink stroke-2" />{/if}
		<path d="M{x(from)} 150H{x(until)}" class="stroke-ink" />
		<path d="M{x(now)} 12V152" class="stroke-ink stroke-2" /><path d="M{x(now) - 6} 150h12l-6 8z" class="fill-ink" />
	</svg>
</div>
<p class="text-note text-ink2">{words.drying}: {data.told?.drying_text}</p>
