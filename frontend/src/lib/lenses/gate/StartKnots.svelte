<script lang="ts">
	/** Starts as knots on a string, half hour by half hour: tight where every rule holds, flagged where one fails; press one to read why. */
	import type { DaySheet, StartTold } from '../../api/schema';
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import { gateWords as words } from '../../words/gate';
	import type { DayData } from './gate.svelte';
	let { data, sheet }: { data: DayData; sheet: DaySheet } = $props();
	const days = $derived([...new Set(sheet.starts.map((one) => one.day))]);
	const best = $derived(sheet.starts.find((one) => one.at_h === sheet.best_h) ?? null);
	let asked = $state('');
	const day = $derived(days.includes(asked) ? asked : (best?.day ?? days.find((one) => one === sheet.day) ?? days[0] ?? ''));
	let pressed = $state<number | null>(null);
	/** those of the day about the best one: eight have room */
	const rows = $derived.by(() => {
		const own = sheet.starts.filter((one) => one.day === day);
		const middle = own.findIndex((one) => one.at_h === (best?.at_h ?? sheet.start_h));
		const found = middle < 0 ? own.findIndex((one) => one.passes) : middle;
		const first = Math.max(0, Math.min(own.length - 8, (found < 0 ? 2 : found) - 3));
		return own.slice(first, first + 8);
	});
	const chosen = $derived(
		sheet.starts.find((one) => one.at_h === pressed && one.day === day) ??
			rows.find((one) => one.at_h === sheet.best_h) ??
			rows[0] ??
			null
	);
	const booked = (one: StartTold) => Math.abs(one.at_h - sheet.start_h) < 0.01;
	async function take(one: StartTold) {
		await data.set({ 'order.pour_at': one.local }, 'start');
	}
	const STEP = 46;
</script>

<div data-starts={sheet.starts.length}>
	<h2>{words.starts(day)}</h2>
	{#if days.length > 1}<Choice
			rows={days.slice(0, 5).map((one) => ({ value: one, label: one.split(' ').slice(0, 2).join(' ') }))}
			value={day}
			pick={(one) => one && ((asked = one), (pressed = null))}
			name={words.starts('')}
			class="mt-4"
		/>{/if}
	{#if rows.length}
		<div class="mt-4 overflow-x-auto">
			<svg width={rows.length * STEP + 8} height="74" class="block overflow-visible" role="group" aria-label={words.starts(day)}>
				{#each rows as one, i (one.at_h)}
					{#if i}<path
							d="M{(i - 1) * STEP + 26} 22{one.passes && rows[i - 1]?.passes ? `H${i * STEP + 26}` : `q${STEP / 2} 12 ${STEP} 0`}"
							class={[
								'fill-none',
								one.passes && rows[i - 1]?.passes
									? 'stroke-chalk stroke-[3px]'
									: 'stroke-ink2 stroke-[1.8px] [stroke-dasharray:5_4]'
							]}
						/>{/if}
				{/each}
				{#each rows as one, i (one.at_h)}
					{@const x = i * STEP + 26}
					<g
						role="button"
						tabindex="0"
						class="cursor-pointer"
						aria-label="{one.text}, {one.passes ? words.passes : one.short}"
						aria-pressed={chosen === one}
						onclick={() => (pressed = one.at_h)}
						onkeydown={(event) => {
							if (event.key !== 'Enter' && event.key !== ' ') return;
							event.preventDefault();
							pressed = one.at_h;
						}}
						data-start={one.text}
						data-passes={one.passes}
					>
						<rect x={x - STEP / 2} y="0" width={STEP} height="70" class="fill-transparent" />
						{#if one.passes}<ellipse cx={x} cy="22" rx="11" ry="8" class="fill-chalk" /><path
								d="M{x - 5} 15q5 7 0 14M{x + 1} 15q5 7 0 14"
								class="fill-none stroke-bench stroke-[1.6px]"
							/>
						{:else}<path
								d="M{x - 6} 15h12v12h-12zM{x - 5} 27l-6 14 6-4 4 4 2-14zM{x + 5} 27l6 14-6-4-4 4-2-14z"
								class="fill-flag stroke-ink"
							/>{/if}
						<text {x} y="58" text-anchor="middle" class={['fill-ink text-note', chosen === one ? 'font-black' : 'font-mid']}
							>{one.text}</text
						>
						{#if chosen === one}<path d="M{x - 18} 65h36" class="stroke-chalk stroke-[3px]" />{/if}
					</g>
				{/each}
			</svg>
		</div>
		{#if chosen}
			<p class="text-note" aria-live="polite" data-why-not>
				<b>{chosen.text}</b>
				{booked(chosen) ? `${words.booked}: ` : ''}{chosen.words.length ? chosen.words.join(' ') : `${words.passes}.`}
				{chosen.usual ? words.usual : ''}
			</p>
			{#if !booked(chosen)}<Act kind={chosen.passes ? 'main' : 'plain'} class="mt-6" onclick={() => void take(chosen)}
					>{words.startAt(chosen.text)}</Act
				>{/if}
		{/if}
	{:else}<p class="label">{words.noStarts}</p>{/if}
</div>
