<script lang="ts">
	/** A day that runs faster than time: it is held, or called. */
	import type { Exercise } from '../api/schema';
	import Act from '../ui/Act.svelte';
	import Frac from '../ui/Frac.svelte';
	import { practiceWords as words } from '../words/practice';
	let {
		exercise,
		ask,
		value,
		said,
		set
	}: { exercise: Exercise; ask: Exercise['asks'][number]; value: string; said: boolean; set: (key: string) => void } = $props();
	const STEP_MS = 2200;
	let running = $state(false);
	const at = $derived(Number(value) || 0);
	const moments = $derived(exercise.moments ?? []);
	const moment = $derived(moments[at]);
	$effect(() => {
		if (!running || said) return;
		const timer = setInterval(() => {
			if (at + 1 < moments.length) set(String(at + 1));
			else running = false;
		}, STEP_MS);
		return () => clearInterval(timer);
	});
</script>

<div class="border-t border-hair py-8" data-ask={ask.id}>
	<div class="flex flex-wrap items-center gap-8">
		<b class="text-ask leading-none font-black" data-step={ask.id}>{words.minute(moment?.minute_min ?? 0)}</b>
		<Act disabled={said || at + 1 >= moments.length} onclick={() => (running = !running)}>{running ? words.hold : words.play}</Act
		>
		<p class="flex-1 text-read" role="status"><Frac text={moment?.words ?? ''} /></p>
	</div>
	<svg class="mt-6 h-24 w-full" viewBox="0 0 100 24" preserveAspectRatio="none" aria-hidden="true">
		<path d="M1 12H99" class="stroke-ink2 stroke-2" vector-effect="non-scaling-stroke" />
		{#each moments as one, i (i)}<path
				d="M{1 + (98 * i) / Math.max(1, moments.length - 1)} 4v16"
				class={i <= at ? 'stroke-chalk stroke-[4px]' : 'stroke-ink2 stroke-2'}
				vector-effect="non-scaling-stroke"
				data-minute={one.minute_min}
			/>{/each}
	</svg>
</div>
