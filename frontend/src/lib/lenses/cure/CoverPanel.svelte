<script lang="ts">
	/** Is it wet and warm enough: the round that is due, what lies on it, alarms, blankets tried. */
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { cureWords } from '../../words/cure';
	import AlarmRows from './AlarmRows.svelte';
	import type { CureData } from './cure.svelte';
	import RoundString from './RoundString.svelte';
	let { data }: { data: CureData } = $props();
	const words = cureWords.cover;
	const told = $derived(data.told);
	const waits = $derived(told?.rounds.filter((one) => one.state !== 'done') ?? []);
	const next = $derived(
		waits.find((one) => one.state === 'due') ?? waits.find((one) => one.state === 'missed') ?? waits[0] ?? null
	);
	const bare = $derived(data.zones.length > 0 && data.zones.every((zone) => !zone.what));
	let where = $state('');
	const zones = $derived(where ? [where] : []);
	const lies = (what: string) => data.zones.filter((zone) => (!where || zone.zone === where) && zone.what === what).length > 0;
	async function give(key: string, to: string, was: string) {
		if (to.trim() !== was && to.trim()) await data.say('round', { round: key, to: to.trim() });
	}
	async function lay() {
		if (await data.say('cover', { what: 'blankets', zones: $state.snapshot(data.tries) })) data.turnTry(false);
	}
</script>

{#if told}
	<Verdict
		text={next ? words.verdict(words.wet, next.at_text) : bare ? words.none : words.quiet}
		under={bare ? words.noneUnder : words.quietUnder(told.drying_text)}
		is={next?.state === 'missed' ? 'bad' : 'plain'}
	/>
	{#if next}
		<div class="mt-8 flex flex-wrap items-center gap-10">
			<Act kind="main" class="min-h-60 min-w-200" onclick={() => void data.say('round', { round: next.key, at: data.at })}
				>{words.done(next.at_text)}</Act
			>
			{#if next.note}<p class="min-w-0 flex-1 text-read font-heavy text-flag max-phone:flex-none">{next.note}</p>{/if}
		</div>
	{/if}
	<AlarmRows {data} />
	<h2 class="panel-head">{words.lies}</h2>
	<div class="flex flex-wrap gap-6" role="group" aria-label={words.where}>
		<Act kind="quiet" on={!where} onclick={() => (where = '')}>{words.all}</Act>
		{#each data.zones as zone (zone.zone)}<Act kind="quiet" on={where === zone.zone} onclick={() => (where = zone.zone)}
				>{zone.name}</Act
			>{/each}
	</div>
	<ul class="mt-8">
		{#each told.schools as one (one.key)}
			{@const on = lies(one.key)}
			<li
				class="grid grid-cols-[150px_minmax(0,1fr)] items-center gap-x-12 border-b border-hair py-6 max-phone:grid-cols-1"
				data-cover={one.key}
			>
				<Act
					kind={on ? 'main' : 'plain'}
					class="min-h-48 w-full"
					aria-pressed={on}
					aria-label={on ? words.off(words.names[one.key] ?? '') : words.on(words.names[one.key] ?? '')}
					onclick={() => void data.say('cover', { what: one.key, zones, off: on })}>{words.names[one.key]}</Act
				>
				<p class="text-note leading-tight">
					{one.words.join(' ')}{#if one.key === 'compound'}
						<b><Frac text={words.litres(told.litres_text)} /></b>{/if}
				</p>
			</li>
		{/each}
	</ul>
	<div class="mt-10 flex flex-wrap items-center gap-10">
		{#if data.trying}
			<Act kind="main" class="min-h-48" disabled={!data.tries.length} onclick={() => void lay()}>{words.lay}</Act>
			<Act kind="quiet" onclick={() => data.turnTry(false)}>{words.let}</Act>
		{:else}<Act class="min-h-48" onclick={() => data.turnTry(true)}>{words.tryIt}</Act>{/if}
		<p class="min-w-0 flex-1 text-note" data-trying={data.trying}>
			{#if data.trying}<b>{told.verdict}</b>.
			{/if}{words.tryHow}
		</p>
	</div>
	{#if told.rounds.length}
		<h2 class="panel-head">{words.rounds}</h2>
		<p class="text-note">{words.roundsHow}</p>
		<RoundString {data} />
		<ol>
			{#each told.rounds as one (one.key)}
				<li
					class="grid min-h-52 grid-cols-[116px_minmax(0,1fr)_auto] items-center gap-8 border-b border-hair py-4"
					data-round={one.key}
					data-round-state={one.state}
				>
					<span class="text-read">{one.day_text.split(' ')[0]} <b class="text-key">{one.at_text}</b></span>
					<span class={['text-note', one.state === 'missed' && 'font-heavy text-flag']}
						>{one.state === 'done'
							? cureWords.by(`${words.doneIs} ${one.done_text}`, one.by)
							: one.state === 'missed'
								? words.missed
								: one.rate_text}</span
					>
					<span class="flex items-center gap-6">
						{#if one.state === 'done'}<Act
								kind="quiet"
								aria-label="{cureWords.takeBack}, {one.at_text}"
								onclick={() => void data.strike(one.record)}>{cureWords.takeBack}</Act
							>
						{:else}
							<input
								class="h-44 w-100 border-2 border-ink bg-well px-8 font-pencil text-key text-pencil"
								aria-label={words.who(`${one.day_text} ${one.at_text}`)}
								placeholder={words.anybody}
								value={one.to}
								maxlength="80"
								onchange={(event) => void give(one.key, event.currentTarget.value, one.to)}
								onkeydown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
							/>
						{/if}
					</span>
				</li>
			{/each}
		</ol>
	{/if}
{/if}
<FindingList findings={data.findings('cover')} />
