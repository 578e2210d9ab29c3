<script lang="ts">
	/** How much is left: the last truck to say and by when, twenty pours, what each call risks, why. */
	import Act from '../../ui/Act.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { pourWords } from '../../words/pour';
	import CauseRows from './CauseRows.svelte';
	import { typedSize } from './minutes';
	import PlantPress from './PlantPress.svelte';
	import AheadTape from './AheadTape.svelte';
	import type { PourData } from './pour.svelte';
	import TwentyLast from './TwentyLast.svelte';
	let { data }: { data: PourData } = $props();
	const words = pourWords.left;
	const left = $derived(data.left);
	const full = $derived(data.strips.length > 0 && data.strips.every((row) => row.full));
	const said = $derived(left?.said_m3 !== null && left?.answer === 'held');
	const m3 = $derived(data.weighed ?? (said ? left?.said_m3 : left?.best_m3) ?? 0);
	const choice = $derived(left?.choices.find((one) => Math.abs(one.m3 - m3) < 1e-6) ?? null);
	const size = $derived(m3 > 0 ? `${typedSize(m3, data.store.units)} ${data.store.units === 'mm' ? 'm³' : 'yd'}` : '');
	const late = $derived(!!left && left.stands_min > 0 && !said);
	const verdict = $derived(
		!left
			? ''
			: full
				? words.full
				: said
					? words.saidVerdict(left.said_text)
					: left.best_m3 > 0
						? words.verdict(left.best_text, left.say_by_text)
						: words.verdictNone
	);
	const under = $derived(
		!left
			? ''
			: full
				? words.fullUnder(data.told?.after.left_over_text ?? '')
				: said
					? [
							words.saidBy(left.said_by, left.said_at_text, left.heard_by),
							left.number && words.numbered(left.number, left.due_text)
						]
							.filter(Boolean)
							.join('; ')
					: left.best_m3 > 0
						? words.under(left.left_text, left.sd_text, left.firm_text)
						: words.verdictNoneUnder
	);
	function step(by: number) {
		if (!left) return;
		const next = m3 + by * left.step_m3;
		data.weighed = by > 0 ? Math.min(left.most_m3, Math.max(left.least_m3, next)) : next < left.least_m3 - 1e-6 ? 0 : next;
	}
</script>

{#if left}
	<Verdict text={verdict} {under} is={late || (said && left.wrong) ? 'bad' : full || said ? 'good' : 'plain'} />
	{#if late && left.best_m3 > 0}<p class="mt-4 text-read font-heavy text-flag">{words.stands(left.stands_min)}</p>{/if}
	{#if left.depth_text}<p class="mt-4 text-read"><Frac text={words.depth(left.depth_text, left.depth_drawn_text)} /></p>{/if}
	{#if !full}
		<TwentyLast {data} {m3} />
		<div class="mt-6 flex flex-wrap items-center gap-8">
			<Act class="min-w-64" aria-label={words.less} onclick={() => step(-1)}>−</Act>
			<b class="min-w-100 text-center text-call" data-weighed><Frac text={size || words.sayNone} /></b>
			<Act class="min-w-64" aria-label={words.more} onclick={() => step(1)}>+</Act>
			{#if choice}<span class={['text-read font-heavy', choice.short_of > 2 && 'text-flag']}
					><Frac text={words.struckAt(size || '0', choice.short_of)} />{#if choice.rest_text}, <Frac
							text={words.rest(choice.rest_text)}
						/>{/if}</span
				>{/if}
		</div>
		<PlantPress {data} {m3} {size} {said} />
		<h2 class="panel-head">{words.risks}</h2>
		<ul>
			{#each left.choices as one (one.m3)}
				<li>
					<button
						type="button"
						class={[
							'grid min-h-48 w-full grid-cols-[88px_1fr_auto_auto] items-center gap-10 border-b border-hair px-6 text-left',
							Math.abs(one.m3 - m3) < 1e-6 && 'bg-well outline-2 outline-ink'
						]}
						onclick={() => (data.weighed = one.m3)}
						data-choice={one.text}
					>
						<b class="text-key"><Frac text={one.text} /></b>
						<span class={one.short_of ? 'font-heavy text-flag' : ''}>{words.short(one.short_of)}</span>
						<span class="text-note max-phone:hidden"><Frac text={one.rest_text ? words.rest(one.rest_text) : ''} /></span>
						<b class="text-right">{one.best ? words.least : one.over_text}</b>
					</button>
				</li>
			{/each}
		</ul>
	{/if}
	{#if !full}<AheadTape {data} />{/if}
	<h2 class="panel-head">{words.whySo}</h2>
	<CauseRows {data} />
	<Fold name={words.fronts}>
		<p class="text-note">{words.frontHow}</p>
		{#if !data.told?.fronts.length}<p>{words.none}</p>{/if}
		<ul>
			{#each (data.told?.fronts ?? []).toReversed() as one (one.record)}
				<li
					class={['flex min-h-48 flex-wrap items-center gap-10 border-b border-hair', !one.counts && 'line-through']}
					data-front-row
				>
					<b class="w-60">{one.at_text}</b>
					<span class="flex-1">{one.words}{one.truck ? `, ${words.ran(one.truck)}` : ''}{one.by ? `, ${one.by}` : ''}</span>
					<Act kind="quiet" aria-label="{words.strike}, {one.at_text}" onclick={() => void data.strike(one.record)}
						>{words.strike}</Act
					>
				</li>
			{/each}
		</ul>
	</Fold>
{/if}
