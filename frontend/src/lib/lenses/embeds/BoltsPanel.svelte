<script lang="ts">
	/** Bolts: how many, where on the board, how high, and whether this one may stand there. Dragged or called, kept with a reason. */
	import { onTab } from '../../state/findings';
	import type { Edit } from '../../state/job.svelte';
	import { note, restored } from '../../state/remember.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { embeds as words } from '../../words/embeds';
	import CallBox from '../CallBox.svelte';
	import BoltCut from './BoltCut.svelte';
	import type { EmbedsData } from './embeds.svelte';
	import PlatePart from './PlatePart.svelte';
	import { nearest, roomsOf, stationText, type Part } from './room';
	import WallTape from './WallTape.svelte';
	let { data }: { data: EmbedsData } = $props();
	const store = $derived(data.store);
	const found = $derived(data.found);
	const wall = $derived(data.wall);
	const bolt = $derived(data.bolt);
	const doubts = $derived(onTab(data.findings, 'bolts'));
	const wrong = $derived(doubts.filter((row) => row.severity !== 'note').length);
	let back = $state(false);
	/** where it is dragged to, mm; null while it rests */
	let dragged = $state<number | null>(null);
	const at = $derived(dragged ?? bolt?.at_mm ?? 0);
	const rooms = $derived(wall && bolt ? roomsOf(wall, bolt) : []);
	const grid = $derived(store.units === 'mm' ? 5 : 3.175);
	const HALF_MM = 850;
	const part = $derived.by((): Part => {
		const mid = bolt?.at_mm ?? 0;
		return [mid - HALF_MM, mid + HALF_MM];
	});
	const free = $derived(nearest(rooms, at, grid));
	const told = (mm: number) => stationText(back ? (wall?.size_mm ?? 0) - mm : mm, store.units);
	const room = $derived(rooms.find(([low, high]) => free !== null && free >= low - 0.01 && free <= high + 0.01));
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	const key = `${store.id}/bolt-reason`;
	let reason = $state(restored<string>(key) ?? '');
	$effect(() => note(key, reason));
	async function keep(edit: object) {
		if (wall && bolt) data.hold(wall.id, bolt.n); // so that it stays held once it is right
		await store.keep([edit as Edit], 'bolt');
		dragged = null;
		await data.load();
	}
	const put = (mm: number, why = '') =>
		wall &&
		bolt &&
		void keep({ op: 'set_bolt', wall: wall.id, was: bolt.at_mm, at: mm, others: bolt.others, reason: why }).then(
			() => why && (reason = '')
		);
	function another() {
		if (!wall || !bolt) return;
		const next = wall.bolts.find((row) => row.at_mm > bolt.at_mm && bolt.others.includes(row.at_mm));
		const before = wall.bolts.findLast((row) => row.at_mm < bolt.at_mm && bolt.others.includes(row.at_mm));
		const other = next ?? before;
		const mid = other ? Math.round((bolt.at_mm + other.at_mm) / 2 / grid) * grid : bolt.at_mm + 300;
		void keep({ op: 'set_bolt', wall: wall.id, was: null, at: mid, others: [bolt.at_mm, ...bolt.others] });
	}
</script>

<Verdict
	text={wrong ? words.wrong(wrong) : found ? words.counts(found.counts) || words.none : words.none}
	under={found && found.counts['bolt'] ? words.spare(found.spare, found.set_min) : found ? '' : words.noneUnder}
	is={wrong ? 'bad' : 'plain'}
/>
<FindingList findings={doubts} />
{#if wall}
	<div class="mt-8">
		<Choice
			name={words.tabsName}
			rows={data.walls.map((row) => ({ value: row.id, label: `${row.name}: ${row.bolts.length || '–'}` }))}
			value={wall.id}
			pick={(id) => id && data.hold(id)}
		/>
	</div>
	{#if wall.comes !== 'framed'}<p class="mt-8">{words.comes[wall.comes]}. {wall.comes === 'whole' ? words.whole : ''}</p>{/if}
{/if}
{#if wall && bolt && found}
	<div class="mt-10 flex flex-wrap items-end justify-between gap-8">
		<h2 class="text-key font-[800]">{words.outside(wall.name)}</h2>
		<Act kind="quiet" onclick={() => (back = !back)}>{words.hook(back ? wall.corner : wall.far_corner)}</Act>
	</div>
	<WallTape {wall} {data} units={store.units} {back} {part} />
	<PlatePart
		{wall}
		{bolt}
		units={store.units}
		{back}
		{part}
		{rooms}
		{at}
		move={(mm) => (dragged = Math.min(wall.end_mm, Math.max(wall.start_mm, mm)))}
		drop={() => dragged !== null && put(dragged)}
		hold={(n) => data.hold(wall.id, n)}
	/>
	<p class={['mt-6 text-key font-[800]', free === null ? 'text-flag' : 'text-chalk']}>
		<Frac text={free === null ? words.nowhere : words.here(told(room?.[0] ?? free), told(room?.[1] ?? free))} />
	</p>
	<div class="mt-8 grid grid-cols-[1fr_210px] items-start gap-12 max-phone:grid-cols-1">
		<div>
			{#key bolt.key}<CallBox
					{store}
					at="bolt-{bolt.key}"
					name={words.callBolt(bolt.n, wall.corner)}
					hint={words.boltHint(bolt.at_text, wall.far_corner)}
					heardName={words.heard}
					edit={(text) => ({ op: 'set_bolt', wall: wall.id, was: bolt.at_mm, at: text, others: bolt.others }) as Edit}
					done={() => data.load()}
				/>{/key}
			<div class="mt-8 flex flex-wrap gap-6">
				{#if free !== null && !bolt.ok}<Act kind="main" onclick={() => put(free)}><Frac text={words.putAt(told(free))} /></Act
					>{/if}
				<Act kind="quiet" onclick={another}>{words.addBolt}</Act>
				<Act
					kind="quiet"
					onclick={() => void keep({ op: 'set_bolt', wall: wall.id, was: bolt.at_mm, at: '', others: bolt.others })}
					>{words.outBolt}</Act
				>
				{#if wall.by_hand}<Act kind="quiet" onclick={() => void keep({ op: 'bolts_by_rule', wall: wall.id })}>{words.byRule}</Act
					>{/if}
			</div>
			{#if store.problemFor('bolt')}<p class="wrong mt-4" role="alert">
					<Frac text={store.problemFor('bolt')?.detail ?? ''} />
				</p>{/if}
			{#if wall.by_hand}<p class="label mt-4">{words.byHand(wall.by_hand)}</p>{/if}
			{#if !bolt.ok && !bolt.kept}
				<label class="label mt-8 block"
					>{words.keepAgainst}<input class="well w-full" maxlength="200" bind:value={reason} /></label
				>
				<div class="mt-4 flex">
					<Act kind="plain" disabled={!reason.trim()} onclick={() => put(bolt.at_mm, reason)}>{words.keepIt}</Act>
				</div>
			{/if}
		</div>
		<BoltCut {found} edge={wall.edge_text} plate={wall} />
	</div>
{/if}
{#if session.ways && session.schools['setting']}
	<p class="mt-14 font-[760]">{words.school}: {words.schools[session.ways.embeds.setting]}</p>
	{#each session.schools['setting'] ?? [] as row (row.key)}{#if row.key === session.ways.embeds.setting}
			<p class="text-note">{row.pro} {row.con}</p>
		{/if}{/each}
	<p><a class="inline-flex min-h-44 items-center underline" href="/ways">{words.inWays}</a></p>
{/if}
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
