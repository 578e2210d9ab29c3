<script lang="ts">
	/** May we pour? The verdict, the line from now to the pour, what holds it and who lifts it, what was taken on, what is lifted. */
	import Field from '../../ui/Field.svelte';
	import Act from '../../ui/Act.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { holdWords as words } from '../../words/holds';
	import PaperRow from '../../ui/PaperRow.svelte';
	import { gateWords } from '../../words/gate';
	import type { GateData } from './holds.svelte';
	import HoldLine from './HoldLine.svelte';
	import HoldRow from './HoldRow.svelte';
	import LiftedString from './LiftedString.svelte';
	import SignBox from './SignBox.svelte';
	import VisitRow from './VisitRow.svelte';
	import WalkAsk from './WalkAsk.svelte';
	let { data, turn, small }: { data: GateData; turn: (tab: string) => void; small: boolean } = $props();
	const store = $derived(data.store);
	const told = $derived(data.told);
	let wide = $state(636);
	const visits = $derived((told?.holds ?? []).filter((row) => row.code.startsWith('visit/')));
	function go(code: string, place: string, tab: string) {
		if (tab !== 'holds') return turn(tab);
		if (place) data.picked = place;
		if (code.startsWith('visit/')) document.getElementById(code.replace('/', '-'))?.scrollIntoView({ block: 'center' });
		else document.getElementById('walk-ask')?.scrollIntoView({ block: 'center' });
	}
</script>

<div bind:clientWidth={wide}>
	{#if told}
		<Verdict text={told.verdict} under={told.beside} is={told.may_pour ? 'good' : 'bad'} />
		{#if !data.state?.weather}<p class="label mt-4" role="status">{words.laterWeather}</p>{/if}
		{#if small}<WalkAsk {data} />{/if}
		{#if told.passed || !told.pour_at}<div class="mt-10 max-w-320">
				<Field
					label={told.passed ? words.whichDay : words.bookDay}
					value={told.pour_at?.slice(0, 16) ?? ''}
					type="datetime-local"
					problem={store.problemFor('pour-day')}
					keep={(text) => data.keep([{ op: 'set_fields', values: { 'order.pour_at': text || null } }], 'pour-day')}
				/>
			</div>{/if}
		<HoldLine holds={told.holds} pourAt={told.pour_at} {wide} />
		<ul class="border-t-2 border-ink" aria-label={gateWords.tabsName}>
			{#each told.holds as row (row.code)}<HoldRow {data} {row} go={() => go(row.code, row.place, row.goes[1])} />{/each}
			{#each told.overruled as row (row.code)}
				<li
					class="grid grid-cols-[34px_minmax(0,1fr)_auto] items-center gap-x-10 border-b border-ink py-10"
					data-overruled={row.code}
				>
					<svg width="34" height="28" viewBox="0 0 34 28" aria-hidden="true"
						><ellipse cx="17" cy="14" rx="14" ry="10" class="fill-none stroke-chalk stroke-2 [stroke-dasharray:4_3]" /><path
							d="M12 5q5 9 0 18M20 5q5 9 0 18"
							class="fill-none stroke-chalk stroke-2"
						/></svg
					>
					<div>
						<h2 class="text-key font-heavy line-through">{row.title}</h2>
						<p class="text-note">{words.taken(row.overruled_by, row.reason)}</p>
					</div>
					<Act kind="plain" aria-label="{words.undo}: {row.title}" onclick={() => void data.strike(row.record)}>{words.undo}</Act>
				</li>
			{/each}
		</ul>
		{#each visits as row (row.code)}<VisitRow {data} {row} />{/each}
		<LiftedString rows={told.lifted} {wide} />
		<h2 class="panel-head">{words.list}</h2>
		<PaperRow href="/api/jobs/{store.id}/walk.pdf" />
		<SignBox {data} of="walk" title={words.walk.sign} />
	{:else}<Verdict text="…" under={words.working} />{/if}
	<p class="mt-12 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
</div>
