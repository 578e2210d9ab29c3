<script lang="ts">
	/** Joints: what may crack, three layouts by rule, a call for one more, the held joint, and what is cut. */
	import type { Proposal } from '../../api/schema';
	import type { XY } from '../../drawing/viewport';
	import { onTab } from '../../state/findings';
	import type { Edit } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Switch from '../../ui/Switch.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { joints as words } from '../../words/joints';
	import CallBox from '../CallBox.svelte';
	import ProposalCard from './ProposalCard.svelte';
	import type { ScreedData } from './screed.svelte';
	let { data }: { data: ScreedData } = $props();
	const store = $derived(data.store);
	const found = $derived(data.found);
	const doubts = $derived(onTab(data.findings, 'joints'));
	const wrong = $derived(doubts.filter((row) => row.severity !== 'note').length);
	const outline = $derived((store.document?.outline ?? []) as XY[]);
	const openings = $derived((store.document?.openings ?? []) as XY[][]);
	const openingIds = $derived(store.document?.opening_ids ?? []);
	const isolated = $derived(store.document?.joints?.isolated ?? []);
	const shapes = Object.entries(words.shapes).map(([value, label]) => ({ value, label }));
	const near = (a: readonly number[] | undefined, b: readonly number[] | undefined) =>
		Math.hypot((a?.[0] ?? 0) - (b?.[0] ?? 9e9), (a?.[1] ?? 0) - (b?.[1] ?? 9e9)) < 2;
	/** whether the joints there are, are those of a layout */
	const taken = (row: Proposal) =>
		row.lines.length > 0 &&
		row.lines.length === data.lines.length &&
		row.lines.every((line) => data.lines.some((one) => near(one.start, line[0]) && near(one.end, line[1])));
	const take = (row: Proposal) => void data.keep({ op: 'lay_joints', lines: row.lines, ratio_n: row.ratio_n }, 'joints-lay');
</script>

<Verdict
	text={!found ? words.none : wrong ? words.wrong(wrong) : words.good(found.panels.length)}
	under={found ? words.under(found.limit_text, found.depth_text) : words.noneUnder}
	is={found && wrong ? 'bad' : found ? 'good' : 'plain'}
/>
<FindingList findings={doubts} />
<h2 class="panel-head">{words.byRule}</h2>
<p class="label">{words.byRuleHow}</p>
<div class="mt-6 grid grid-cols-3 gap-8 max-phone:grid-cols-1">
	{#each data.proposals as row (row.ratio_n)}<ProposalCard
			{outline}
			{openings}
			{row}
			fails={found?.fails[`${row.ratio_n}`]}
			on={taken(row)}
			take={() => take(row)}
		/>{/each}
</div>
{#if store.problemFor('joints-lay')}<p class="wrong mt-4" role="alert">{store.problemFor('joints-lay')?.detail}</p>{/if}
<CallBox
	{store}
	at="joint-call"
	name={words.call}
	hint={words.hint[store.units]}
	heardName={words.heard}
	edit={(text) => ({ op: 'call_joint', text }) as Edit}
	done={() => data.load()}
/>
{#if data.held}
	{@const held = data.held}
	<section class="mt-12 border-t-2 border-ink pt-8" data-held-joint>
		<h2 class="text-key font-[800]">{words.joint(data.lines.indexOf(held) + 1)}, <Frac text={held.length_text} /></h2>
		<p><Frac text={held.chalk} /></p>
		{#if held.how === 'construction'}<p>{words.dayEnd}</p>{/if}
		<div class="mt-6 flex flex-wrap items-end gap-8">
			<Choice
				name={words.how}
				rows={Object.entries(words.hows).map(([value, label]) => ({ value, label }))}
				value={held.how}
				pick={(how) => how && void data.keep({ op: 'set_joint', joint: held.id, how })}
			/>
			<Act kind="quiet" onclick={() => void data.keep({ op: 'take_out_joint', joint: held.id })}>{words.out}</Act>
		</div>
	</section>
{/if}
{#if store.problemFor('joint')}<p class="wrong mt-4" role="alert">{store.problemFor('joint')?.detail}</p>{/if}
{#if openingIds.length}
	<h2 class="panel-head">{words.openings}</h2>
	<div class="flex flex-wrap gap-6">
		{#each openingIds as id, i (id)}<Switch
				on={isolated.includes(id)}
				set={(on) => void data.keep({ op: 'isolate_opening', opening: id, on }, 'isolate')}>{words.isolate(i + 1)}</Switch
			>{/each}
	</div>
{/if}
{#if found?.columns.length}
	<h2 class="panel-head">{words.columns}</h2>
	<ul>
		{#each found.columns as row (row.id)}
			<li class="flex min-h-48 flex-wrap items-center justify-between gap-10 border-b border-hair">
				<b>{row.name}</b>
				<Choice
					name={words.shapeOf(row.name)}
					rows={shapes}
					value={row.shape || 'none'}
					pick={(now) => void data.keep({ op: 'isolate_column', column: row.id, shape: now === 'none' ? null : now }, 'isolate')}
				/>
			</li>
		{/each}
	</ul>
{/if}
{#if found}
	<h2 class="panel-head">{words.saw}</h2>
	<p><b>{words.cut(found.saw_text)}</b> {words.hours(found.saw_hours_share, found.blades_share)}</p>
	<p>{words.isolation(found.isolation_text)}</p>
	<ol class="mt-6">
		{#each data.lines as row, i (row.id)}
			<li class="border-b border-hair">
				<button
					type="button"
					class={['flex min-h-44 w-full items-center justify-between gap-10 text-left', data.held?.id === row.id && 'text-chalk']}
					aria-pressed={data.held?.id === row.id}
					onclick={() => data.hold(row.id)}
				>
					<span
						><b>{i + 1}</b>
						{words.hows[row.how]}
						<Frac text={row.chalk} />{#if row.strip}<span class="label">, {words.after(row.strip)}</span>{/if}</span
					><span class="text-note"><Frac text={row.length_text} /></span>
				</button>
			</li>
		{/each}
	</ol>
	<p class="mt-8">{words.order}</p>
	{#if data.day}<p data-day><a class="underline" href="/job/{data.store.id}/gate">{data.day}</a></p>{/if}
	<p>{words.dust}</p>
{/if}
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
