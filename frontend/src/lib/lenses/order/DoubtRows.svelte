<script lang="ts">
	/** What is added over what is drawn: its middle, its spread, why; a guessed spread is a pencil field of this job. */
	import type { SureTold } from '../../api/schema';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { orderWords } from '../../words/order';
	import type { OrderData } from './order.svelte';
	let { data, told }: { data: OrderData; told: SureTold } = $props();
	const words = orderWords.sure;
	let open = $state('');
	const reach = $derived(Math.max(...told.doubts.map((row) => row.mean_m3 + row.sd_m3), 1e-6));
	const low = $derived(Math.max(...told.doubts.map((row) => row.sd_m3 - row.mean_m3), 0));
	const x = (m3: number) => 6 + ((m3 + low) / (reach + low)) * 108;
	const typed = (way: string, text: string) => (way.endsWith('_share') ? Number(text.replace(',', '.')) / 100 : text);
</script>

<p class="label border-b-2 border-ink">{words.added} <span class="float-right">{told.unit}</span></p>
<ul>
	{#each told.doubts as row (row.key)}
		<li class="border-b border-hair" data-doubt={row.key}>
			<div class="grid min-h-42 grid-cols-[30px_1fr_120px_76px] items-center gap-6 py-2 max-phone:min-h-48">
				<b
					class="flex size-24 items-center justify-center rounded-full border-[1.8px] border-ink bg-well text-note leading-none"
					aria-hidden="true">{row.letter}</b
				>
				<span class="leading-[1.15]"
					><b>{row.name}</b><span class={['block text-label', !row.measured && 'font-pencil text-pencil']}
						><Frac text={row.why} /></span
					></span
				>
				<svg width="120" height="20" aria-hidden="true">
					<path d="M{x(0)} 0V20" class="stroke-line stroke-[1px] [stroke-dasharray:2_2]" />
					<path
						d="M{x(row.mean_m3 - row.sd_m3)} 10H{x(row.mean_m3 + row.sd_m3)}M{x(row.mean_m3 - row.sd_m3)} 5v10M{x(
							row.mean_m3 + row.sd_m3
						)} 5v10"
						class="stroke-ink stroke-[3px]"
					/>
					<path d="M{x(row.mean_m3)} 3v14" class="stroke-chalk stroke-[2.4px]" />
				</svg>
				<span class="text-right leading-[1.15]"
					><b>{row.mean_text}</b>
					{#if row.way}<button
							type="button"
							class="pen block w-full text-right text-note max-phone:min-h-30 pointer-coarse:min-h-44"
							aria-expanded={open === row.key}
							aria-label={`± ${row.sd_text}, ${words.spreadOf(row.name)}`}
							onclick={() => (open = open === row.key ? '' : row.key)}>± {row.sd_text}</button
						>{:else}<span class="block text-note">± <Num working={row.spread} text={row.sd_text} /></span>{/if}</span
				>
			</div>
			{#if open === row.key}
				<div class="flex items-end gap-10 pb-6">
					<Field
						label={words.spreadOf(row.name)}
						value={row.way_text}
						width="230px"
						problem={data.store.problemFor(`sure-${row.key}`)}
						keep={async (said) => {
							const kept = await data.set({ [`ways.${row.way}`]: typed(row.way, said) }, `sure-${row.key}`);
							if (kept) open = '';
							return kept;
						}}
					/>
					<span class="text-note">{row.way.endsWith('_share') ? words.inHundred : ''} <Num working={row.spread} /></span>
				</div>
			{/if}
		</li>
	{/each}
</ul>
<p class="mt-2 text-key font-[760]">
	{words.sum(told.drawn_text, told.likely_text, told.need_text)}, ± <Num working={told.spread} text={told.sd_text} />
</p>
