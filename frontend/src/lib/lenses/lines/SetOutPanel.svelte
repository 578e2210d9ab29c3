<script lang="ts">
	/** The set-out sheet: by two tapes, by offsets, by diagonals, by 3-4-5; and on paper. */
	import type { SetOutSheet } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { w } from '../../words/words';
	import Choice from '../../ui/Choice.svelte';
	import Act from '../../ui/Act.svelte';
	import Table from '../../ui/Table.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	let { sheet, store }: { sheet: SetOutSheet; store: JobStore } = $props();
	const jobId = $derived(store.id);
	const units = $derived(store.units);
	const own = $derived(store.kept?.document.ways?.profile_mm);
	const ways = ['swing', 'offsets', 'diagonals', 'three', 'nails', 'stakes'] as const;
	let way = $state<(typeof ways)[number]>('swing');
	const file = (name: string) => `/api/jobs/${jobId}/${name}`;
	const paper = $derived(units === 'mm' ? ['a4', 'letter'] : ['letter', 'a4']);
</script>

<Verdict text={w.lines.heldWords(sheet.baseline, sheet.baseline_text)} under={w.lines.profilesOut(sheet.profile_text)} />
<Choice
	rows={ways.map((one) => ({ value: one, label: w.lines.setOutBy[one] }))}
	value={way}
	pick={(one) => one && (way = one)}
	name={w.lines.setOutWays}
	class="row mx-0 my-6 flex flex-wrap gap-4"
/>
{#if way === 'swing'}
	<Table heads={[w.lines.corner, { says: w.lines.firstTape, span: 2 }, { says: w.lines.secondTape, span: 2 }]}>
		{#each sheet.swing as row}
			<tr
				><th scope="row">{row.name}</th><td>{w.lines.fromCorner} {row.a_name}</td><td
					class="num text-size font-[700] whitespace-nowrap"><Num working={row.a} /></td
				><td>{w.lines.fromCorner} {row.b_name}</td><td class="num text-size font-[700] whitespace-nowrap"
					><Num working={row.b} /></td
				></tr
			>
			{#if row.weak}<tr><td></td><td colspan="4" class="wrong">{w.lines.flat}</td></tr>{/if}
		{/each}
	</Table>
{:else if way === 'offsets'}
	<Table heads={[w.lines.corner, w.lines.along(sheet.baseline), w.lines.leftOf]}
		>{#each sheet.corners as row}<tr
				><th scope="row">{row.name}</th><td class="num text-size font-[700] whitespace-nowrap"><Frac text={row.x_text} /></td><td
					class="num text-size font-[700] whitespace-nowrap"><Frac text={row.y_text} /></td
				></tr
			>{/each}</Table
	>
{:else if way === 'diagonals'}
	{#each sheet.squares as square}
		<div class="grid grid-cols-[1fr_auto] border-t border-hair px-0 py-5">
			<span><Frac text={w.lines.rectangle(square.long_text, square.short_text)} /></span><b
				class="num text-size font-[700] whitespace-nowrap"><Num working={square.diagonal} /></b
			>
			{#each square.ends as ends}<span class="label"><Frac text={`${ends.from} to ${ends.to}`} /></span><span></span>{/each}
		</div>
	{:else}<p>{w.lines.noSquares}</p>{/each}
{:else if way === 'three'}
	<Table
		>{#each sheet.three_four_five as row}<tr><th scope="row">{row.name}</th><td><Frac text={row.words} /></td></tr>{/each}</Table
	>
	<p class="label">{w.lines.threeHow}</p>
{:else if way === 'nails'}
	<Table heads={[w.lines.string, w.lines.nearEnd, w.lines.farEnd]}>
		{#each sheet.strings as line}
			<tr
				><th scope="row">{line.name}</th>{#each [line.start, line.end] as nail}<td
						><Frac text={nail.beyond_text} />
						{w.lines.past}
						{nail.beyond}{nail.board.length ? '' : `, ${w.lines.onIt} ${nail.on}`}</td
					>{/each}</tr
			>
		{/each}
	</Table>
{:else}
	<p>{w.lines.stakesHow(sheet.profile_text)}</p>
	<Table heads={[w.lines.pastCorner, w.lines.inLine, w.lines.along(sheet.baseline), w.lines.leftOf]}
		>{#each sheet.stakes as stake}<tr
				><th scope="row">{stake.name}</th><td>{stake.in_line_with}</td><td class="num text-size font-[700] whitespace-nowrap"
					><Frac text={stake.along_text} /></td
				><td class="num text-size font-[700] whitespace-nowrap"><Frac text={stake.left_text} /></td></tr
			>{/each}</Table
	>
{/if}
<Field
	label={w.lines.profileHere}
	width="270px"
	calm
	placeholder={sheet.profile_text}
	value={own ? sheet.profile_text : ''}
	problem={store.problemFor('profile')}
	keep={(typed) => store.keep([{ op: 'set_fields', values: { 'ways.profile_mm': typed.trim() || null } }], 'profile')}
/>
<h2 class="mt-14">{w.lines.take}</h2>
<div class="row mx-0 my-6 flex flex-wrap gap-4">
	{#each paper as size}<Act kind="quiet" href="{file('set-out.pdf')}?paper={size}" download
			>{w.lines.paper[size as 'a4' | 'letter']}</Act
		>{/each}
	<Act kind="quiet" href={file('set-out.csv')} download>{w.lines.csvSheet}</Act>
	<Act kind="quiet" href={file('points.csv')} download>{w.lines.csvPoints}</Act>
	<Act kind="quiet" href={file('plan.dxf')} download>{w.lines.dxf}</Act>
</div>
<p class="label">{w.lines.services}</p>
