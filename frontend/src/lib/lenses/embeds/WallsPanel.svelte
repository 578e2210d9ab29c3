<script lang="ts">
	/** Walls that will stand on the slab: taken from sides, called with their studs and doors, or said to come whole. */
	import { cornerName } from '../../drawing/pick.svelte';
	import { onTab } from '../../state/findings';
	import type { Edit } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { embeds as words } from '../../words/embeds';
	import CallBox from '../CallBox.svelte';
	import type { EmbedsData } from './embeds.svelte';
	import WallTape from './WallTape.svelte';
	let { data }: { data: EmbedsData } = $props();
	const store = $derived(data.store);
	const walls = $derived(data.walls);
	const ids = $derived(store.document?.corner_ids ?? []);
	const name = (i: number) => `${cornerName(i)} to ${cornerName((i + 1) % ids.length)}`;
	const INSIDE = 'inside';
	/** what a wall stands along: the id of its side, its own where it stands inside */
	const along = (row: { id: string; side: number }) => (row.side < 0 ? row.id : (ids[row.side] ?? ''));
	const sides = $derived([
		...ids.map((id, i) => ({ value: id, label: name(i) })),
		...walls.filter((row) => row.side < 0).map((row) => ({ value: row.id, label: row.name })),
		{ value: INSIDE, label: words.wallInside }
	]);
	const wall = $derived(data.wall);
	let picked = $state('');
	const side = $derived(sides.some((row) => row.value === picked) ? picked : wall ? along(wall) : (ids[0] ?? INSIDE));
	const here = $derived(walls.find((row) => along(row) === side) ?? null);
	const walked = $derived(side === INSIDE || (here?.side ?? 0) < 0);
	const found = $derived(onTab(data.findings, 'walls'));
	const wrong = $derived(found.filter((row) => row.severity !== 'note').length);
	const keep = (edit: object, at: string) => void store.keep([edit as Edit], at).then(() => data.load());
	function pick(id: string) {
		picked = id;
		const own = walls.find((row) => along(row) === id);
		if (own) data.hold(own.id);
	}
	/* the wall that is pressed on the plan comes up here; what is being typed of another stays */
	let last = '';
	$effect(() => {
		const now = wall ? along(wall) : '';
		if (now && now !== last) picked = last = now;
	});
</script>

<Verdict
	text={walls.length ? (wrong ? words.wrong(wrong) : words.walls(walls.length)) : words.none}
	under={walls.length ? '' : words.noneUnder}
	is={wrong ? 'bad' : 'plain'}
/>
{#if walls.filter((row) => row.side >= 0).length < ids.length}
	<div class="mt-8">
		<Act kind={walls.length ? 'plain' : 'main'} onclick={() => keep({ op: 'walls_all_round' }, 'walls')}>{words.allRound}</Act>
	</div>
	{#if store.problemFor('walls')}<p class="wrong mt-4" role="alert">{store.problemFor('walls')?.detail}</p>{/if}
{/if}
<FindingList findings={found} />
{#if sides.length}
	<div class="mt-12 grid grid-cols-[200px_1fr] items-end gap-12">
		<Choose label name={words.side} rows={sides} value={side} {pick} />
		<div class="flex flex-wrap gap-6">
			{#if here}<Act kind="quiet" onclick={() => keep({ op: 'take_out_stud_wall', wall: here.id }, 'wall-out')}>{words.out}</Act
				>{:else if !walked}<Act kind="quiet" onclick={() => keep({ op: 'call_wall', side, text: '' }, `wall-${side}`)}
					>{words.asCrew}</Act
				>{/if}
		</div>
	</div>
	{#if here}
		<h2 class="mt-10 text-key font-[800]">{here.name}: <span class="font-mid"><Frac text={here.words} /></span></h2>
		{#if here.comes === 'whole'}<p>{words.whole}</p>{/if}
		<WallTape wall={here} {data} units={store.units} />
	{/if}
	{#key side}<CallBox
			{store}
			at="wall-{side}"
			name={(walked ? words.walkCall : words.wallCall)(sides.find((row) => row.value === side)?.label ?? '')}
			hint={here?.call || (walked ? words.walkHint : words.wallHint)[store.units]}
			heardName={words.heard}
			edit={(text) =>
				(walked
					? { op: 'walk_wall', text, wall: here?.id ?? null }
					: { op: 'call_wall', side, text, wall: here?.id ?? null }) as Edit}
			done={() => data.load()}
		/>{/key}
{/if}
<ul class="mt-12">
	{#each walls as row (row.id)}
		<li class="border-t border-hair">
			<button
				type="button"
				class="flex min-h-44 w-full items-center justify-between gap-10 text-left"
				onclick={() => pick(along(row))}
			>
				<b>{row.name}</b><span class="text-note"><Frac text={row.words} /></span>
			</button>
		</li>
	{/each}
</ul>
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
