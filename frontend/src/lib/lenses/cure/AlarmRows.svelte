<script lang="ts">
	/** Cold and heat to come: the rule, what helps, what that gains. */
	import Frac from '../../ui/Frac.svelte';
	import type { CureData } from './cure.svelte';
	let { data }: { data: CureData } = $props();
	const now = $derived(data.told?.now_h ?? 0);
	/** of days that dry fast the next one alone */
	const rows = $derived.by(() => {
		const ahead = (data.told?.alarms ?? []).filter((one) => one.until_h >= now);
		const dry = ahead.find((one) => one.kind === 'dry');
		return ahead.filter((one) => one.kind !== 'dry' || one === dry);
	});
</script>

{#each rows as one (one.kind + one.from_h)}
	<section class="mt-10 border-l-8 border-flag bg-well px-12 py-8" aria-label={one.title} data-alarm={one.kind}>
		<p class="text-key font-heavy"><Frac text={one.title} /></p>
		<p class="text-read font-heavy">{one.gain || one.remedy}</p>
		{#if one.gain}<p class="text-read">{one.remedy}</p>{/if}
		<p class="text-note text-ink2"><Frac text={one.rule} /></p>
	</section>
{/each}
