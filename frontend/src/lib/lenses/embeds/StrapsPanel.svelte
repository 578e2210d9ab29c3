<script lang="ts">
	/** Straps, hold-downs, brackets, thresholds and leave-outs along sides; groups of bolts with their template. */
	import { cornerName } from '../../drawing/pick.svelte';
	import { onTab } from '../../state/findings';
	import type { Edit } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { shownLength } from '../../ui/typed';
	import Verdict from '../../ui/Verdict.svelte';
	import { embeds as words } from '../../words/embeds';
	import CallBox from '../CallBox.svelte';
	import type { EmbedsData } from './embeds.svelte';
	let { data }: { data: EmbedsData } = $props();
	const store = $derived(data.store);
	const straps = $derived(data.found?.straps ?? []);
	const groups = $derived(data.found?.groups ?? []);
	const ids = $derived(store.document?.corner_ids ?? []);
	const sides = $derived(ids.map((id, i) => ({ value: id, label: `${cornerName(i)} to ${cornerName((i + 1) % ids.length)}` })));
	let picked = $state('');
	const side = $derived(ids.includes(picked) ? picked : (ids[0] ?? ''));
	const bySide = $derived(
		sides.map((row, i) => ({ ...row, own: straps.filter((one) => one.side === i) })).filter((row) => row.own.length)
	);
	const pads = $derived(
		(store.document?.pads ?? []).map((pad) => ({ id: pad.id ?? '', name: pad.type, at: pad.at as [number, number] }))
	);
	const keep = (edit: object) => void store.keep([edit as Edit], 'strap').then(() => data.load());
	const total = $derived(straps.length + groups.length);
</script>

<Verdict text={total ? words.straps(total) : words.strapsNone} under={data.found ? words.counts(data.found.counts) : ''} />
<FindingList findings={onTab(data.findings, 'straps')} />
{#if sides.length}
	<div class="mt-12 grid grid-cols-[200px] items-end">
		<Choose label name={words.side} rows={sides} value={side} pick={(now) => (picked = now)} />
	</div>
	{#key side}<CallBox
			{store}
			at="strap-{side}"
			name={words.strapCall(sides.find((row) => row.value === side)?.label ?? '')}
			hint={words.strapHint[store.units]}
			heardName={words.heard}
			edit={(text) => ({ op: 'call_strap', side, text }) as Edit}
			done={() => data.load()}
		/>{/key}
{/if}
{#each bySide as row (row.value)}
	<h2 class="panel-head">{row.label}</h2>
	<ul>
		{#each row.own as one (one.key)}
			<li class="flex min-h-44 items-center justify-between gap-10 border-b border-hair" data-strap-row={one.what}>
				<span
					><b>{one.name || words.what[one.what]}</b>
					<Frac text={one.at_text} />{#if one.width_text}, <Frac text={one.width_text} />{/if}
					{#if one.by_rule}<span class="label">{words.crewRule}</span>{/if}</span
				>
				{#if !one.by_rule}<Act kind="quiet" onclick={() => keep({ op: 'take_out_strap', strap: one.key })}>{words.out}</Act>{/if}
			</li>
		{/each}
	</ul>
{/each}
{#if data.others.length}
	<h2 class="panel-head">{words.others}</h2>
	<ul>
		{#each data.others as row (row.what + row.name)}
			<li class="flex min-h-44 items-center justify-between gap-10 border-b border-hair" data-other={row.what}>
				<span><b>{row.name}</b> {row.count > 1 ? `${row.count} ${row.what}` : row.name.includes(row.what) ? '' : row.what}</span>
				<Act kind="quiet" href="/job/{store.id}/{row.lens}?tab={row.tab}">{words.otherStage[row.lens]}</Act>
			</li>
		{/each}
	</ul>
{/if}
<h2 class="panel-head">{words.groups}</h2>
<p class="label">{words.groupPress}</p>
<div class="mt-6 flex flex-wrap gap-6">
	{#each pads as pad (pad.id)}<Act kind="quiet" onclick={() => (data.spot = pad.at)}>{words.groupPad(pad.name)}</Act>{/each}
</div>
{#if data.spot}
	{@const at = data.spot}
	<p class="mt-6 font-[760]">
		{words.groupAt}
		<Frac text={shownLength(at[0], store.units)} />, <Frac text={shownLength(at[1], store.units)} />
	</p>
	<CallBox
		{store}
		at="group"
		name={words.groupCall}
		hint={words.groupHint[store.units]}
		heardName={words.heard}
		edit={(text) => ({ op: 'call_group', at: [...at], text }) as Edit}
		done={() => ((data.spot = null), data.load())}
	/>
{/if}
<ul>
	{#each groups as group (group.id)}
		<li class="flex min-h-44 flex-wrap items-center justify-between gap-10 border-b border-hair" data-group={group.name}>
			<span><b>{group.name}</b> <Frac text={group.words} /></span>
			<span class="flex gap-6">
				<Act kind="quiet" href="/api/jobs/{store.id}/embeds/groups/{group.id}/template.pdf" download>{words.template}</Act>
				<Act kind="quiet" onclick={() => keep({ op: 'take_out_group', group: group.id })}>{words.out}</Act>
			</span>
		</li>
	{/each}
</ul>
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
