<script lang="ts">
	/** The section bench: the drawing, what the side is, its rules, and the edge types. */
	import { remember } from '../../state/remember.svelte';
	import type { EdgeCheck } from '../../api/schema';
	import type { Pick } from '../../drawing/pick.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { EXAMPLES } from '../../words/examples';
	import { edges as edgeWords } from '../../words/edges';
	import { rules as ruleWords } from '../../words/rules';
	import Verdict from '../../ui/Verdict.svelte';
	import EdgeFaces from './EdgeFaces.svelte';
	import SectionDrawing from './SectionDrawing.svelte';
	import { nextMark } from './section_edits';
	import type { EdgesData } from './edges.svelte';
	import Choice from '../../ui/Choice.svelte';
	import Act from '../../ui/Act.svelte';
	let { store, data, pick }: { store: JobStore; data: EdgesData; pick: Pick } = $props();
	const plan = $derived(store.document);
	const place = $derived(data.own ? null : data.place);
	const side = $derived(place?.kind === 'side' ? place.row : null);
	const mark = $derived(place?.mark ?? '');
	const type = $derived(plan?.edge_types.find((one) => one.mark === mark) ?? null);
	/** the least along the side and what it is at this cut are two numbers: each says where it is */
	const hasOf = (check: EdgeCheck) => {
		const here = data.section?.ends.find((end) => end.side === check.side)?.buried_text ?? '';
		return check.least_at ? edgeWords.leastAt(check.least_at, check.has, here) : check.has;
	};
	const checks = $derived(
		(store.figure?.checks ?? []).filter((one) => (one.side === null ? one.name.endsWith(mark) : one.side === side))
	);
	const NONE = '-';
	const edgeRows = $derived([
		...(plan?.edge_types ?? []).map((one) => ({
			value: one.mark,
			label: `${one.mark}${one.kind === 'thickened' ? '' : ` ${edgeWords.kinds[one.kind]}`}`
		})),
		{ value: NONE, label: edgeWords.plain }
	]);
	const KINDS = ['thickened', 'against-wall', 'dowelled', 'block-wall', 'overhang'] as const;
	const LETTER: Record<string, string> = { thickened: 'E', 'against-wall': 'W', dowelled: 'D', 'block-wall': 'H', overhang: 'L' };
	let kind = $state<(typeof KINDS)[number]>('thickened');
	let newText = $state('');
	let cutText = $state('');
	let lineText = $state('');
	let grow = $state<'left' | 'right'>('left');
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/cut`,
		() => ({ newText, cutText, lineText }),
		(old) => ({ newText, cutText, lineText } = old)
	);
	function cutAt(where: string) {
		const [kind, row] = where.split(' ');
		if (kind === 'side') pick.chooseSide(Number(row));
		else pick.none();
		if (kind && row) data.choose(kind, Number(row));
	}
	async function give(to: string | null, all = false) {
		const sides = all ? (plan?.outline ?? []).map((_, i) => i) : [side ?? 0];
		await store.keep([{ op: 'set_side_type', sides: sides.map((side) => store.cornerId(side)), type: to }], 'edge');
	}
	async function keepCut() {
		if (type && (await store.keep([{ op: 'set_edge_type', mark: type.mark, text: cutText }], 'cut'))) cutText = '';
	}
	async function newEdge() {
		const fresh = nextMark(
			LETTER[kind] ?? 'E',
			(plan?.edge_types ?? []).map((t) => t.mark)
		);
		if (await store.keep([{ op: 'set_edge_type', mark: fresh, kind, text: kind === 'thickened' ? newText : '' }], 'new-edge'))
			newText = '';
	}
	async function newLine() {
		const thick = plan?.edge_types.find((t) => t.kind === 'thickened')?.mark ?? '';
		if (await store.keep([{ op: 'add_along', text: lineText, grow, type: thick }], 'new-line')) lineText = '';
	}
	const named = (is: string) =>
		checks
			.filter((check) => check.verdict === is)
			.map((check) => check.name.toLowerCase())
			.join(', ');
	/** what is short goes first, then what nobody has said */
	const verdict = $derived.by((): { text: string; is: 'good' | 'bad' | 'plain' } => {
		if (named('short')) return { text: edgeWords.shortOf(named('short')), is: 'bad' };
		if (named('not set')) return { text: edgeWords.notSetOf(named('not set')), is: 'plain' };
		return checks.length ? { text: edgeWords.meetsAll, is: 'good' } : { text: edgeWords.nothingAsked, is: 'plain' };
	});
</script>

{#if data.section}
	<Verdict {...verdict} />
{/if}
<div class="panel-row">
	<span class="label" aria-hidden="true">{edgeWords.cutHere}</span>
	<Choose
		class="w-210"
		name={edgeWords.cutHere}
		rows={[
			...(data.own ? [{ value: 'own', label: edgeWords.ownLine }] : []),
			...data.places.map((one) => ({
				value: `${one.kind} ${one.row}`,
				label: edgeWords.placeName(one.kind, one.name, one.row)
			}))
		]}
		value={data.own ? 'own' : `${place?.kind} ${place?.row}`}
		pick={cutAt}
	/>
</div>
{#if data.section}
	<p class="label" aria-live="polite">{data.section.words} {edgeWords.area} <Frac text={data.section.area_text} />.</p>
	<SectionDrawing {store} section={data.section} />
{/if}
{#if data.problem}<p class="wrong" role="alert">{data.problem}</p>{/if}
{#each checks as check}
	<div
		class="grid grid-cols-[62px_1fr_auto_auto] items-baseline gap-x-10 gap-y-2 border-t border-hair px-0 py-3"
		class:short={check.verdict === 'short'}
	>
		<b class={{ short: 'text-flag', meets: 'text-chalk', 'not set': 'text-ink2 italic' }[check.verdict]}
			>{edgeWords.checks[check.verdict]}</b
		><span>{check.name}</span><span class="text-right font-[760]"><Frac text={hasOf(check)} /></span>
		{#if check.rule}<abbr class="border-[1.5px] border-ink px-6 py-0 text-note no-underline" title={check.source_words}
				><Frac text={check.rule} /></abbr
			>{/if}
		{#if check.verdict !== 'meets'}<span class="col-[2_/_-1] text-note"
				><Frac text={check.remedy} />
				<span class="label"
					>{check.source_words} <a class="in-book" href="/rules?source={check.source}">{ruleWords.inBook}</a></span
				></span
			>{/if}
	</div>
{/each}
{#if side !== null}
	<div class="panel-row">
		<span class="choices">
			<span class="label">{edgeWords.side(place?.name ?? '')}</span>
			<Choice
				rows={edgeRows}
				value={mark || NONE}
				pick={(now) => now && void give(now === NONE ? null : now)}
				name={edgeWords.side(place?.name ?? '')}
			/>
			<Act kind="quiet" onclick={() => void give(mark || null, true)}>{edgeWords.allSides} {mark || edgeWords.plain}</Act>
		</span>
	</div>
{:else if place?.kind === 'along'}
	<div class="panel-row">
		<Act
			kind="quiet"
			onclick={() =>
				void store.keep([{ op: 'remove_along', line: store.rowId('edges', place.row) }], 'edge').then(() => {
					pick.none();
					data.unpick();
				})}>{edgeWords.out}</Act
		>
	</div>
{/if}
{#if type}
	<div class="panel-row">
		{#if type.kind === 'thickened'}
			<label class="label long" for="cut-call"
				>{edgeWords.cutCall(type.mark)}<input
					id="cut-call"
					class="well call font-pencil"
					placeholder={edgeWords.beamHint(store.units === 'mm').replace('16', '18')}
					bind:value={cutText}
					onkeydown={(event) => event.key === 'Enter' && void keepCut()}
				/></label
			>
		{/if}
		<EdgeFaces {store} {type} />
	</div>
	{#if store.problemFor('cut')}<p class="wrong" role="alert">{store.problemFor('cut')?.detail}</p>{:else}<p class="label">
			{edgeWords.cutHint}
		</p>{/if}
{/if}
<p class="label">{edgeWords.pressSize} {edgeWords.dragCut}</p>
<h2 class="panel-head">{edgeWords.newEdge}</h2>
<div class="panel-row">
	<Choice
		rows={KINDS.map((one) => ({ value: one, label: edgeWords.kinds[one] ?? one }))}
		value={kind}
		pick={(one) => one && (kind = one)}
		name={edgeWords.kind}
	/>
	{#if kind === 'thickened'}<label class="label long"
			><span class="sr-only">{edgeWords.newEdge}</span><input
				class="well call font-pencil"
				aria-label={edgeWords.newEdge}
				placeholder={EXAMPLES[store.units].cut}
				bind:value={newText}
				onkeydown={(e) => e.key === 'Enter' && void newEdge()}
			/></label
		>{/if}
	<Act kind="quiet" onclick={() => void newEdge()}>+ {edgeWords.newEdge}</Act>
	{#each plan?.edge_types ?? [] as one}<Act
			kind="quiet"
			onclick={() => void store.keep([{ op: 'remove_edge_type', mark: one.mark }], 'edge')}>{edgeWords.out} {one.mark}</Act
		>{/each}
</div>
{#if store.problemFor('new-edge')}<p class="wrong" role="alert">{store.problemFor('new-edge')?.detail}</p>{/if}
{#if plan?.edge_types.some((one) => one.kind === 'thickened')}
	<div class="panel-row">
		<label class="label long"
			>{edgeWords.line}<input
				class="well call font-pencil"
				aria-label={edgeWords.line}
				placeholder={edgeWords.lineHint}
				bind:value={lineText}
				onkeydown={(e) => e.key === 'Enter' && void newLine()}
			/></label
		>
		<Act kind="quiet" onclick={() => (grow = grow === 'left' ? 'right' : 'left')}>{edgeWords.grow[grow]}</Act>
		<Act kind="quiet" onclick={() => void newLine()}>+</Act>
	</div>
	{#if store.problemFor('new-line')}<p class="wrong" role="alert">{store.problemFor('new-line')?.detail}</p>{/if}
{/if}
