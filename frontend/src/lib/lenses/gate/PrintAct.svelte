<script lang="ts">
	/** A heel pressed in: what the foreman sees re-fits the clock of that place and load; others move by what they share alone. */
	import type { DaySheet } from '../../api/schema';
	import Act from '../../ui/Act.svelte';
	import { gateWords } from '../../words/gate';
	import type { DayData, Seen } from './gate.svelte';
	import { clock } from './tape';
	let { data, sheet }: { data: DayData; sheet: DaySheet } = $props();
	const words = gateWords.print;
	const row = $derived(data.ribbon);
	const at = $derived(data.seenAt);
	const last = $derived(sheet.prints.at(-1) ?? null);
	const float = $derived(data.next?.events.find((one) => one.key === 'float_at') ?? null);
	let busy = $state(false);
	async function see(seen: Seen) {
		busy = true;
		await data.see(seen);
		busy = false;
	}
	async function lesson() {
		await data.record('set-lesson', {
			ratio: sheet.pace.pace_ratio,
			sd_share: sheet.pace.sd_share,
			prints: sheet.prints.length,
			mix: data.state?.mix ?? '',
			plant: data.state?.plant ?? '',
			day: sheet.start_local.slice(0, 10)
		});
	}
</script>

{#if row}
	<section class="mt-10 border-t-2 border-ink pt-8" aria-label={words.title} data-prints={sheet.prints.length}>
		<h2>{words.title}</h2>
		<p class="text-note">
			{at.live ? words.now(row.name, row.truck) : words.peg(row.name, row.truck, clock(data.hour, sheet.jumps))}.
			{#if data.next && float?.at_text}<b>{words.wait(`${data.next.name}, ${float.at_text}`)}.</b>{/if}
		</p>
		<button
			type="button"
			class={[
				'mt-6 flex min-h-72 w-full items-center gap-16 border-2 border-ink bg-chalk px-14 text-left text-ask',
				'font-black text-on-chalk disabled:opacity-60'
			]}
			disabled={busy}
			onclick={() => void see('print')}
		>
			<svg width="96" height="48" viewBox="0 0 96 48" class="flex-none" aria-hidden="true">
				<path d="M0 26H30V36H64V26H96V48H0Z" class="fill-on-chalk opacity-30" />
				<path d="M0 26H30V36H64V26H96" class="fill-none stroke-on-chalk stroke-[2.4px]" />
				<path d="M32 34V8h14v12q12 4 18 10v4z" class="fill-on-chalk" />
				<path d="M70 26v10M66 36h10" class="stroke-on-chalk" /><text x="72" y="20" class="fill-on-chalk text-label font-heavy"
					>{words.depth}</text
				>
			</svg>
			<span>{words.ask}</span>
		</button>
		<div class="mt-6 grid grid-cols-3 gap-8">
			<Act kind="plain" class="min-h-48" disabled={busy} onclick={() => void see('soft')}>{words.soft}</Act>
			<Act kind="plain" class="min-h-48" disabled={busy} onclick={() => void see('none')}>{words.none}</Act>
			{#if last}<Act kind="plain" class="min-h-48" onclick={() => void data.unsee()}
					>{words.undo(clock(last.at_h, sheet.jumps))}</Act
				>{/if}
		</div>
		<p class="mt-6 text-note" data-pace>{sheet.pace.words}</p>
		{#if sheet.prints.length}{#if sheet.pace.kept}<p class="label">{words.kept}</p>
			{:else}<Act kind="quiet" onclick={() => void lesson()}>{words.lesson}</Act>{/if}{/if}
	</section>
{/if}
