<script lang="ts">
	/** What is handed over: what is still open, the hand-over for the owner of the slab, the bill, the whole box. */
	import { note, restored } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import BindFile from '../../ui/BindFile.svelte';
	import { today } from '../../ui/days';
	import Fold from '../../ui/Fold.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Table from '../../ui/Table.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { afterWords } from '../../words/after';
	import type { AfterData } from './after.svelte';
	let { data }: { data: AfterData } = $props();
	const words = afterWords.papers;
	const PAPERS = ['letter', 'a4'] as const;
	const hand = $derived(data.hand);
	const bill = $derived(hand?.invoice ?? null);
	const money = (cents: number) =>
		`$${(Math.abs(cents) / 100).toLocaleString('en', { minimumFractionDigits: 2, maximumFractionDigits: 2 })}`;
	const of = (file: string) => `/api/jobs/${data.store.id}/${file}`;
	// svelte-ignore state_referenced_locally (one store for the life of this part)
	const key = `${data.store.id}/invoice`;
	let typed = $state<Record<string, string>>(restored<Record<string, string>>(key) ?? {});
	$effect(() => note(key, typed));
	const value = (name: 'number' | 'on' | 'due_on') => typed[name] ?? bill?.[name] ?? '';
	async function went() {
		const said = { number: value('number').trim(), on: value('on'), due_on: value('due_on'), cents: bill?.total_cents ?? 0 };
		if (await data.say('invoiced', said)) typed = {};
	}
	const kinds = $derived([
		...PAPERS.map((paper) => ({
			key: paper,
			label: `${words.bound}, ${words.paper[paper]}`,
			address: (reading: string) => `${of('pack.pdf')}?paper=${paper}&today=${today()}&reading=${reading}`,
			otherwise: 'box.pdf'
		})),
		...(bill
			? [
					{
						key: 'zip',
						label: words.archive,
						address: (reading: string) => `${of('archive.zip')}?reading=${reading}`,
						otherwise: 'job.zip'
					}
				]
			: [])
	]);
	const lists = $derived(
		hand
			? ([
					[words.built, hand.told.built],
					[words.treat, hand.told.treat],
					[words.tested, hand.told.tested],
					[words.warnings, hand.told.warnings]
				] as const)
			: []
	);
	const IN = 'block w-160 min-h-48 border-2 border-ink bg-well px-8 text-body';
</script>

{#if hand}
	<Verdict
		text={words.verdict(hand.told.open.length)}
		under={hand.told.open.length ? words.under : ''}
		is={hand.told.open.length ? 'plain' : 'good'}
	/>
	{#if hand.told.open.length}
		<ul class="mt-8 border-2 border-ink bg-well px-14 py-8 text-read" aria-label={words.open} data-open={hand.told.open.length}>
			{#each hand.told.open as one (one)}<li class="py-2"><Frac text={one} /></li>{/each}
		</ul>
	{/if}
	<h2 class="panel-head">{words.owner}</h2>
	<p class="flex flex-wrap items-center gap-6">
		{#each PAPERS as paper (paper)}<Act kind="main" href="{of('hand-over.pdf')}?paper={paper}&today={today()}" download=""
				>{words.handOver}, {words.paper[paper]}</Act
			>{/each}
		<span class="text-note">{words.photos(hand.photos)}</span>
	</p>
	{#if hand.told.use.length}
		<h3 class="mt-8 font-heavy">{words.when}</h3>
		<div class="overflow-x-auto">
			<Table name={words.when} heads={['', ...hand.told.heads]} class="w-full text-note">
				{#each hand.told.use as row (row.zone)}<tr class="border-b border-hair"
						><th scope="row" class="py-6 pr-8 text-left font-heavy">{row.zone}</th>
						{#each row.texts as text, n (n)}<td class="py-6 pr-8">{text}</td>{/each}</tr
					>{/each}
			</Table>
		</div>
	{/if}
	{#each lists as [name, rows] (name)}{#if rows.length}<Fold {name} aside={String(rows.length)}>
				<ul class="ml-20 list-disc text-read">
					{#each rows as row (row)}<li><Frac text={row} /></li>{/each}
				</ul>
			</Fold>{/if}{/each}
	{#if bill}
		<h2 class="panel-head">{words.invoice}</h2>
		<table class="w-full text-read" aria-label={words.invoice} data-invoice={bill.total_cents}>
			<tbody>
				{#each bill.rows as row (row.words)}<tr class="border-b border-hair"
						><th scope="row" class="py-6 text-left font-mid">{row.words}</th><td class="text-right font-heavy"
							>{row.cents < 0 ? '−' : ''}{money(row.cents)}</td
						></tr
					>{/each}
				<tr class="border-b-2 border-ink"
					><th scope="row" class="py-6 text-left font-heavy">{words.sum}</th><td class="text-right text-key font-black"
						>{money(bill.total_cents)}</td
					></tr
				>
			</tbody>
		</table>
		{#if bill.not_in.length}<p class="mt-4 text-note text-flag">{words.notIn}: {bill.not_in.join('; ')}</p>{/if}
		{#if bill.went}<p class="mt-6 text-read" data-went-out>{words.wentIs(bill.number, bill.on)}</p>
			{#if bill.moved_cents}<p class="text-read font-heavy text-flag">
					{words.moved((bill.moved_cents > 0 ? words.more : words.less)(money(bill.moved_cents)))}
				</p>{/if}{/if}
		<div class="mt-6 flex flex-wrap items-end gap-8">
			<label class="text-note"
				>{words.number}<input
					class={IN}
					maxlength="40"
					bind:value={() => value('number'), (now) => (typed['number'] = now)}
				/></label
			>
			<label class="text-note"
				>{words.on}<input class={IN} type="date" bind:value={() => value('on'), (now) => (typed['on'] = now)} /></label
			>
			<label class="text-note"
				>{words.due}<input class={IN} type="date" bind:value={() => value('due_on'), (now) => (typed['due_on'] = now)} /></label
			>
			<Act class="min-h-48" disabled={!value('number').trim()} onclick={() => void went()}>{words.went}</Act>
			{#each PAPERS as paper (paper)}<Act kind="plain" href="{of('invoice.pdf')}?paper={paper}&today={today()}" download=""
					>{words.invoice}, {words.paper[paper]}</Act
				>{/each}
		</div>
	{/if}
	{#if data.wrong}<p class="wrong mt-6" role="alert">{data.wrong}</p>{/if}
	<h2 class="panel-head">{words.box}</h2>
	<p class="text-note">{words.boxHow}</p>
	<BindFile {kinds} making={words.making} notMade={words.notMade} />
{/if}
