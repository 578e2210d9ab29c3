<script lang="ts">
	/** Cost and quote: every row by its group, the margin, the price; other ways to build it; the paper for the owner. */
	import { untrack } from 'svelte';
	import { note, restored } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Field from '../../ui/Field.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { orderWords } from '../../words/order';
	import { w } from '../../words/words';
	import { dollars } from './board';
	import type { OrderData } from './order.svelte';
	import { today } from './order.svelte';
	let { data }: { data: OrderData } = $props();
	const words = orderWords.cost;
	const store = $derived(data.store);
	const told = $derived(data.cost);
	const GROUPS = ['material', 'machines', 'hands', 'other'] as const;
	const PAPERS = ['letter', 'a4'] as const;
	const groups = $derived(
		GROUPS.map((key) => ({ key, rows: (told?.rows ?? []).filter((row) => row.group === key) })).filter((one) => one.rows.length)
	);
	const sum = (rows: { total_cents: number }[]) => rows.reduce((all, row) => all + row.total_cents, 0);
	const exact = (cents: number) =>
		`$${(cents / 100).toLocaleString('en', { minimumFractionDigits: 2, maximumFractionDigits: 2 })}`;
	const key = untrack(() => `${data.store.id}/quote-line`);
	const before = restored<{ name: string; money: string }>(key);
	let name = $state(before?.name ?? '');
	let money = $state(before?.money ?? '');
	$effect(() => note(key, name || money ? { name, money } : ''));
	const cents = $derived(Math.round(Number(money.replace('$', '').replaceAll(',', '')) * 100));
	async function add() {
		if (!(await data.keep({ op: 'add_quote_line', name, cents }, 'quote-line'))) return;
		[name, money] = ['', ''];
	}
	const HEAD = 'border-b-2 border-ink pb-2 text-left text-label font-[600]';
	const CELL = 'border-b border-hair py-3 pr-8 align-top';
</script>

{#if told}
	<Verdict text={words.verdict(dollars(told.total_cents))} under={words.under(told.per_area_text, told.area_text)} />
	{#if told.stale}<p class="wrong" role="status" data-stale>
			{told.stale} <a class="inline-flex min-h-44 items-center underline" href="/ways">{words.prices}</a>
		</p>{/if}
	<FindingList findings={data.doubts('cost')} />
	<table class="mt-6 w-full border-collapse" aria-label={words.heads[0]} data-cost={told.total_cents}>
		<thead>
			<tr
				>{#each words.heads as head, i}<th class={[HEAD, i === 3 && 'text-right', i === 2 && 'max-phone:hidden']}>{head}</th
					>{/each}</tr
			>
		</thead>
		<tbody>
			{#each groups as group (group.key)}
				<tr
					><th colspan="2" scope="rowgroup" class="pt-8 text-left font-[800]">{words.groups[group.key]}</th>
					<td class="max-phone:hidden"></td>
					<td class="pt-8 text-right font-[800]">{exact(sum(group.rows))}</td></tr
				>
				{#each group.rows as row (row.key)}
					<tr data-cost-row={row.key}>
						<td class={CELL}
							>{row.name}
							{#if row.id}<Act
									kind="quiet"
									aria-label="{words.out}, {row.name}"
									onclick={() => void data.keep({ op: 'take_out_quote_line', line: row.id }, 'quote-line')}>{words.out}</Act
								>{:else}<a
									class="ml-6 text-label text-ink2 underline max-phone:inline-flex max-phone:min-h-44 max-phone:items-center"
									href="/job/{store.id}/{row.stage}">{w.lenses[row.stage as 'order']}</a
								>{/if}</td
						>
						<td class={CELL}><Frac text={row.quantity_text} /></td>
						<td class={[CELL, 'max-phone:hidden']}>{row.each_text}</td>
						<td class={[CELL, 'pr-0! text-right font-[680]']}>{exact(row.total_cents)}</td>
					</tr>
				{/each}
			{/each}
			<tr class="text-key font-[760]"
				><td colspan="2" class="border-t-2 border-ink pt-4">{words.before}</td><td class="border-t-2 border-ink max-phone:hidden"
				></td><td class="border-t-2 border-ink pt-4 text-right">{exact(told.rows_cents)}</td></tr
			>
			<tr
				><td colspan="2" class="py-2">{words.margin(`${+(told.margin_share * 100).toFixed(1)} %`)}</td><td class="py-2 text-right"
					>{exact(told.margin_cents)}</td
				></tr
			>
			<tr class="text-ask font-black"
				><td colspan="2">{words.total}</td><td class="max-phone:hidden"></td><td class="text-right">{exact(told.total_cents)}</td
				></tr
			>
		</tbody>
	</table>
	<div class="mt-10 flex flex-wrap items-end gap-12">
		<Field
			label={words.marginField}
			width="150px"
			mode="decimal"
			value={`${+(told.margin_share * 100).toFixed(1)}`}
			problem={store.problemFor('quote-margin')}
			keep={(text) =>
				data.set({ 'quote.margin_share': text.trim() === '' ? null : Number(text.replace(',', '.')) / 100 }, 'quote-margin')}
		/>
		<Field
			label={words.notIn}
			width="320px"
			calm
			placeholder={words.notInHint}
			value={told.not_in}
			problem={store.problemFor('quote-not-in')}
			keep={(text) => data.set({ 'quote.not_in': text.trim() }, 'quote-not-in')}
		/>
	</div>
	<h2 class="mt-12">{words.add}</h2>
	<form
		class="mt-4 flex flex-wrap items-end gap-8"
		onsubmit={(event) => {
			event.preventDefault();
			void add();
		}}
	>
		<label class="min-w-160 flex-1"
			><span class="label">{words.name}</span><input class="well w-full" maxlength="120" bind:value={name} /></label
		>
		<label class="w-200"
			><span class="label">{words.dollars}</span><input
				class="well w-full"
				inputmode="decimal"
				autocomplete="off"
				bind:value={money}
			/></label
		>
		<Act kind="plain" type="submit" disabled={!name.trim() || !money.trim() || !Number.isFinite(cents)}>{orderWords.sure.add}</Act
		>
	</form>
	{#if store.problemFor('quote-line')}<p class="wrong" role="alert">{store.problemFor('quote-line')?.detail}</p>{/if}
	<h2 class="mt-12">{words.alternates}</h2>
	<ul>
		{#each told.alternates as row (row.key)}
			<li class="flex min-h-40 items-baseline gap-10 border-b border-hair py-4" data-alternate={row.key}>
				<span class="flex-1"><b>{row.name}</b> <span class="text-note">{row.words}</span></span>
				<b class="whitespace-nowrap"
					>{row.by_cents >= 0 ? words.more(dollars(row.by_cents)) : words.less(dollars(-row.by_cents))}</b
				>
			</li>
		{/each}
	</ul>
	<h2 class="mt-12">{words.paper}</h2>
	<p class="mt-4 flex flex-wrap gap-8">
		{#each PAPERS as paper (paper)}<Act kind="quiet" href="/api/jobs/{store.id}/quote.pdf?paper={paper}&today={today()}" download
				>{words.pdf(w.lines.paper[paper])}</Act
			>{/each}
		<Act kind="quiet" href="/api/jobs/{store.id}/cost.xlsx?today={today()}" download>{words.xlsx}</Act>
	</p>
	<p class="mt-12 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
{/if}
