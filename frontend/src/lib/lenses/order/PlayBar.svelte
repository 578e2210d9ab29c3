<script lang="ts">
	/** Plays the pour: a minute after the other, or a yard at a time; the peg is dragged along the string. Space plays. */
	import { Slider } from 'bits-ui';
	import { onMount } from 'svelte';
	import type { DeliveryTold } from '../../api/schema';
	import Act from '../../ui/Act.svelte';
	import { orderWords } from '../../words/order';
	import type { OrderData } from './order.svelte';
	import { minuteOf, placedOf } from './play';
	/** keys: this one listens to the space bar */
	let { data, told, keys = false }: { data: OrderData; told: DeliveryTold; keys?: boolean } = $props();
	const words = orderWords.trucks;
	const TICK_MS = 80;
	let timer: ReturnType<typeof setInterval> | undefined;
	let playing = $state(false);
	const end = $derived(Math.ceil(told.done_min));
	const now = $derived(Math.min(data.minutes ?? end, end));
	const per = $derived(data.store.units === 'mm' ? 1 : 0.764554857984);
	const unit = $derived(data.store.units === 'mm' ? 'm³' : 'yd');
	const clock = $derived(clockOf(told.start_text, now));
	/** 7:41 on the clock of the pour; minutes where no day is said. */
	function clockOf(start: string, minute: number): string {
		const [h, m] = start.split(':').map(Number);
		if (m === undefined || h === undefined || Number.isNaN(h)) return `+${Math.round(minute)} min`;
		const all = h * 60 + m + Math.round(minute);
		return `${Math.floor(all / 60) % 24}:${`${all % 60}`.padStart(2, '0')}`;
	}
	function stop() {
		clearInterval(timer);
		playing = false;
	}
	function play() {
		if (playing) return stop();
		if (now >= end) data.minutes = 0;
		playing = true;
		timer = setInterval(() => {
			data.minutes = Math.min(end, (data.minutes ?? 0) + 1);
			if (data.minutes >= end) stop();
		}, TICK_MS);
	}
	function yard() {
		stop();
		data.minutes = now >= end ? 0 : Math.min(end, minuteOf(told, placedOf(told, now) + per));
	}
	onMount(() => stop);
	function press(event: KeyboardEvent) {
		const typing =
			event.target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT', 'BUTTON'].includes(event.target.tagName);
		if (!keys || event.key !== ' ' || typing || (event.target as HTMLElement).role === 'application') return;
		event.preventDefault();
		play();
	}
</script>

<svelte:window onkeydown={press} />
<div class="flex items-center gap-6" data-played={clock}>
	<Act kind="main" onclick={play} aria-pressed={playing} class="min-w-72">{playing ? words.stop : words.play}</Act>
	<Act kind="plain" onclick={yard}>{data.store.units === 'mm' ? words.metre : words.yard}</Act>
	<Slider.Root
		type="single"
		class="relative mx-10 flex h-44 min-w-80 flex-1 touch-none items-center"
		min={0}
		max={Math.max(1, end)}
		step={1}
		thumbPositioning="exact"
		bind:value={() => Math.round(now), (value) => (stop(), (data.minutes = value))}
	>
		<span class="absolute inset-x-0 h-3 bg-line"></span>
		<Slider.Range class="absolute h-4 bg-chalk" />
		<Slider.Thumb index={0} class="block size-44 cursor-grab" aria-label={words.slide} aria-valuetext={clock}>
			<svg viewBox="0 0 44 44" class="block size-44" aria-hidden="true"
				><path d="M13 8h18v16l-9 12l-9 -12z" class="fill-board stroke-board-ink stroke-2" /></svg
			>
		</Slider.Thumb>
	</Slider.Root>
</div>
<p class="text-key font-[760]">
	<span class="text-ask font-black">{clock}</span>
	{words.placed((placedOf(told, now) / per).toFixed(1), unit)}
</p>
