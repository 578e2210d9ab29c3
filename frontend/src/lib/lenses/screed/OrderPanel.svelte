<script lang="ts">
	/** The order of strips: nobody walled in, trucks reach, neighbours meet in time; the slab fills as the bob is slid. */
	import { onMount } from 'svelte';
	import { onTab } from '../../state/findings';
	import type { Edit } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { screed as words } from '../../words/screed';
	import CallBox from '../CallBox.svelte';
	import PourString from './PourString.svelte';
	import type { StripsData } from './strips.svelte';
	let { data }: { data: StripsData } = $props();
	const store = $derived(data.store);
	const found = $derived(data.found);
	const doubts = $derived(onTab(data.findings, 'order'));
	const late = $derived(!!found && found.oldest_min > found.limit_min);
	const now = $derived(data.minutes ?? 0);
	const brings = Object.entries(words.brings).map(([value, label]) => ({ value, label }));
	const TICK_MS = 80;
	let timer: ReturnType<typeof setInterval> | undefined;
	let playing = $state(false);
	function stop() {
		clearInterval(timer);
		playing = false;
	}
	function play() {
		if (playing) return stop();
		if (now >= (found?.end_min ?? 0) - 1) data.minutes = 0;
		playing = true;
		timer = setInterval(() => {
			const next = (data.minutes ?? 0) + 1;
			data.minutes = Math.min(next, found?.end_min ?? next);
			if (next >= (found?.end_min ?? 0)) stop();
		}, TICK_MS);
	}
	onMount(() => {
		data.minutes = 0;
		return () => {
			stop();
			data.minutes = null;
		};
	});
	const text = $derived.by(() => {
		if (!found) return words.none;
		if (found.trapped) return words.trapped;
		if (found.unreached) return words.unreached(found.unreached);
		if (late) return words.late(Math.round(found.oldest_min));
		return found.clock ? words.orderGood(found.end_text) : words.orderPlain(found.end_text);
	});
	const bad = $derived(!!found && (found.trapped || found.unreached > 0 || late));
	const head = $derived(data.now);
	function press(event: KeyboardEvent) {
		const typing =
			event.target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT', 'BUTTON'].includes(event.target.tagName);
		if (event.key !== ' ' || typing) return;
		event.preventDefault();
		play();
	}
</script>

<svelte:window onkeydown={press} />
<Verdict
	{text}
	under={found?.edges_min ? words.edgesFirst(Math.round(found.edges_min)) : ''}
	is={!found ? 'plain' : bad ? 'bad' : 'good'}
/>
{#if found}
	<PourString {data} {now} go={(minutes) => (stop(), (data.minutes = minutes))} />
	<div class="flex items-center gap-10">
		<Act kind="main" onclick={play} aria-pressed={playing}>{playing ? words.stop : words.play}</Act>
		<span class="text-key font-[800]" data-pour-now
			>{head ? words.at(found.times[Math.round(now)] ?? '', head.strip.n) : found.end_text}</span
		>
	</div>
	<ul class="mt-10">
		<li class="border-b border-hair py-4">
			<b class={found.trapped ? 'text-flag' : 'text-chalk'}>{found.trapped ? words.broken : words.meetsWord}</b>
			{words.judge.way}
		</li>
		<li class="border-b border-hair py-4">
			<b class={late ? 'text-flag' : 'text-chalk'}>{late ? words.broken : words.meetsWord}</b>
			{words.judge.edges(Math.round(found.oldest_min), found.limit_min)}
		</li>
		{#if found.stands.length}<li class="border-b border-hair py-4">
				<b class={found.unreached ? 'text-flag' : 'text-chalk'}>{found.unreached ? words.broken : words.meetsWord}</b>
				{words.judge.reach(found.stands.length)}
			</li>{/if}
		{#each found.forms as form (form.side)}<li class="border-b border-hair py-4">
				<b>{words.formWord}</b>
				{words.judge.form(form.side, form.strip, form.start_text)}
			</li>{/each}
	</ul>
	<FindingList findings={doubts.filter((row) => row.code !== 'form-back')} />
	<p class="label mt-8">{words.orderHow}</p>
	<ol>
		{#each data.strips as row (row.id)}
			<li
				class={['flex min-h-48 items-center gap-8 border-b border-hair', head?.strip.id === row.id && 'bg-chalk-tint']}
				data-order-row={row.n}
			>
				<b class="w-30 text-call font-black">{row.n}</b>
				<span class="flex-1 leading-tight"
					><b>{row.name}</b>
					<span class="text-note"
						>{row.start_text}, {row.toward}{row.hand.length
							? `, ${words.handWord.toLowerCase()} ${row.hand.join(', ')}`
							: ''}</span
					></span
				>
				<Act
					kind="quiet"
					disabled={row.n === 1 || !row.named}
					aria-label="{words.earlier}, {words.strip(row.n)}"
					onclick={() => void data.move(row.id, -1)}>↑</Act
				>
				<Act
					kind="quiet"
					disabled={row.n === data.strips.length || !row.named}
					aria-label="{words.later}, {words.strip(row.n)}"
					onclick={() => void data.move(row.id, 1)}>↓</Act
				>
			</li>
		{/each}
	</ol>
	{#if store.problemFor('screed-order')}<p class="wrong mt-4" role="alert">{store.problemFor('screed-order')?.detail}</p>{/if}
	<h2 class="panel-head">{words.stands}</h2>
	{#if !found.stands.length}<p>{words.noStands}</p>{/if}
	<ul>
		{#each found.stands as row, i (row.id)}
			<li class="flex min-h-48 flex-wrap items-center gap-8 border-b border-hair py-4" data-stand={i + 1}>
				<span class="min-w-160 flex-1"
					><b>{words.standName(i + 1)}</b> <Frac text={row.place} />, <Frac text={words.reaches(row.reach_text)} /></span
				>
				<Choose
					name="{words.bringsName}, {words.standName(i + 1)}"
					rows={brings}
					value={row.brings}
					pick={(by) => void data.keep({ op: 'set_truck_stand', stand: row.id, brings: by })}
				/>
				<Act
					kind="quiet"
					aria-label="{words.out}, {words.standName(i + 1)}"
					onclick={() => void data.keep({ op: 'take_out_truck_stand', stand: row.id })}>{words.out}</Act
				>
			</li>
		{/each}
	</ul>
{/if}
<CallBox
	{store}
	at="screed-call"
	name={words.call}
	hint={words.hint[store.units]}
	heardName={words.heard}
	edit={(said) => ({ op: 'call_screed', text: said }) as Edit}
	done={() => data.load()}
/>
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
