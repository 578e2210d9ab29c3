<script lang="ts">
	/** What was changed on site: said in words, or as a call that draws it; what it does to yards, steel, price and visit; agreed by whom. */
	import PhotoStrip from '../../photos/PhotoStrip.svelte';
	import type { ChangeTold, Effect } from '../../api/schema';
	import { remember } from '../../state/remember.svelte';
	import { session } from '../../state/session.svelte';
	import type { Edit } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { holdWords } from '../../words/holds';
	import { dayText } from '../../ui/days';
	import type { GateData } from './holds.svelte';
	import SignBox from './SignBox.svelte';
	let { data }: { data: GateData } = $props();
	const words = holdWords.changes;
	const store = $derived(data.store);
	const rows = $derived(data.state?.changes ?? []);
	const effect = $derived(data.state?.effect ?? null);
	let said = $state('');
	let call = $state('');
	let agreed = $state<Record<string, string>>({});
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${store.id}/change`,
		() => ({ said, call }),
		(old) => ({ said, call } = old)
	);
	const edit = (text: string) => ({ op: 'call', text, at: data.spot }) as unknown as Edit;
	function typeCall(text: string) {
		call = text;
		if (text.trim()) void store.try([edit(text)], 'change');
		else store.dropDraft();
	}
	async function keep() {
		if (!said.trim()) return void (data.wrong = words.words);
		const does = call.trim() ? effect : null;
		if (call.trim() && !(await store.keep([edit(call)], 'change'))) return;
		const ok = await data.record('site-change', {
			words: said.trim(),
			spot: data.spot,
			concrete_m3: does?.concrete_m3 ?? 0,
			steel_kg: does?.steel_kg ?? 0,
			price_cents: does?.price_cents ?? 0,
			visit: does?.visit ?? false,
			revision: store.kept?.revision ?? null,
			by: session.who
		});
		if (ok) [said, call, data.spot] = ['', '', null];
	}
	const rowsOf = (one: Effect): [string, string][] => [
		[words.concrete, one.concrete_text],
		[words.steel, one.steel_text],
		[words.price, one.price_text],
		[words.visit, one.visit ? words.mustSee : words.needNot]
	];
	const agree = (row: ChangeTold) =>
		data.record(
			'site-change',
			{
				words: row.words,
				spot: row.spot,
				concrete_m3: row.effect.concrete_m3,
				steel_kg: row.effect.steel_kg,
				price_cents: row.effect.price_cents,
				visit: row.effect.visit,
				revision: row.revision,
				by: row.by,
				at: row.at,
				agreed_by: (agreed[row.record] ?? '').trim()
			},
			row.record
		);
</script>

{#snippet does(one: Effect)}
	<dl class="mt-4 grid grid-cols-4 gap-10 max-phone:grid-cols-2">
		{#each rowsOf(one) as [name, text] (name)}
			<div>
				<dt class="label">{name}</dt>
				<dd class="text-key font-heavy"><Frac text={text ?? ''} /></dd>
			</div>
		{/each}
	</dl>
{/snippet}

<Verdict
	text={words.verdict(rows.length, rows.filter((row) => !row.agreed_by).length)}
	is={rows.some((row) => !row.agreed_by) ? 'bad' : 'plain'}
/>
<section class="mt-10" aria-label={words.add}>
	<h2>{words.add}</h2>
	<label class="label mt-6 block"
		>{words.words}<input class="well w-full font-pencil text-call text-pencil" maxlength="400" bind:value={said} /></label
	>
	<label class="label mt-6 block"
		>{words.call}<input
			class="well w-full font-pencil text-key text-pencil"
			placeholder={words.callHint}
			maxlength="200"
			value={call}
			oninput={(event) => typeCall(event.currentTarget.value)}
		/></label
	>
	{#if store.problemFor('change') && call.trim()}<p class="wrong" role="alert">{store.problemFor('change')?.detail}</p>
	{:else if effect && call.trim()}{@render does(effect)}{/if}
	<div class="mt-8 flex"><Act kind="main" onclick={() => void keep()}>{words.keep}</Act></div>
	{#if data.wrong}<p class="wrong" role="alert">{data.wrong}</p>{/if}
</section>
{#each rows as row (row.record)}
	<section class="mt-14 border-t-2 border-ink pt-8" aria-label="{row.n}. {row.words}" data-change-row={row.n}>
		<h2 class="text-ask font-black">{row.n}. {row.words}</h2>
		<p class="text-note">
			{row.by}, {dayText(row.at)}.
			<b class={row.agreed_by ? 'text-chalk' : 'text-flag'}>{row.agreed_by ? words.agreed(row.agreed_by) : words.notAgreed}</b>
		</p>
		{@render does(row.effect)}
		<PhotoStrip {store} of="gate/change/{row.record}" title={row.words} />
		<div class="mt-8 flex flex-wrap items-end gap-8">
			{#if !row.agreed_by}<label class="label w-200"
					>{words.agree}<input
						class="well w-full"
						maxlength="80"
						bind:value={() => agreed[row.record] ?? '', (text) => (agreed[row.record] = text)}
					/></label
				>
				<Act kind="plain" disabled={!(agreed[row.record] ?? '').trim()} onclick={() => void agree(row)}>{words.agreeIt}</Act>{/if}
			<Act kind="quiet" onclick={() => void data.strike(row.record)}>{words.strike}</Act>
		</div>
		<SignBox {data} of="change/{row.record}" title={holdWords.walk.sign} />
	</section>
{/each}
<p class="mt-12 border-t border-hair pt-6 text-note text-ink2">{holdWords.caution}</p>
