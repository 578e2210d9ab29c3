<script lang="ts">
	/** The trucks, drawn as drums filled to their loads. */
	import type { Ordered } from '../../api/schema';
	import Frac from '../../ui/Frac.svelte';
	import { loadRuns } from '../../words/loads';
	import { orderWords } from '../../words/order';
	let { ordered, unit }: { ordered: Ordered; unit: string } = $props();
	/* equal loads one after another are one drum with their number */
	const runs = $derived(loadRuns(ordered.trucks.map((truck) => truck.text)));
	const size = (text: string) => ordered.trucks.find((truck) => truck.text === text)?.load_m3 ?? 0;
	const most = $derived(Math.max(...ordered.trucks.map((truck) => truck.load_m3), 1));
</script>

<h2 class="mt-8">{orderWords.loads}</h2>
<ol class="flex flex-wrap gap-x-14 gap-y-4">
	{#each runs as { load, n }, i}
		<li class="text-center text-body">
			<svg class="block" width="74" height="44" aria-hidden="true">
				<clipPath id="drum{i}"><path d="M10 14L40 4L62 12V26L40 34L10 24Z" /></clipPath>
				<g clip-path="url(#drum{i})"
					><rect width="74" height="44" fill="var(--color-well)" /><rect
						y={34 - 30 * (size(load) / most)}
						width="74"
						height="44"
						fill="var(--color-water)"
					/></g
				>
				<path d="M10 14L40 4L62 12V26L40 34L10 24Z" fill="none" stroke="var(--color-ink)" stroke-width="2.2" />
				<path d="M4 36H70" stroke="var(--color-ink)" stroke-width="2.4" /><circle
					cx="18"
					cy="38"
					r="5"
					fill="var(--color-ink)"
				/><circle cx="54" cy="38" r="5" fill="var(--color-ink)" />
			</svg>
			<b class="text-size"
				>{#if n > 1}{n} ×&nbsp;{/if}<Frac text={load} /></b
			>
			{unit}
		</li>
	{/each}
</ol>
<p class="mt-2 text-note font-mid"><Frac text={ordered.last_load} /></p>
