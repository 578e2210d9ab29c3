<script lang="ts">
	/** Copies, the second place, one put back; everything out and in. */
	import { api } from '../api/api';
	import type { CopiesState, CopyRow } from '../api/schema';
	import { Resource, troubleOf } from '../state/resource.svelte';
	import type { Problem } from '../api/schema';
	import { whenText } from '../ui/days';
	import Act from '../ui/Act.svelte';
	import Field from '../ui/Field.svelte';
	import Verdict from '../ui/Verdict.svelte';
	import { siteWords as words } from '../words/site';
	import FileIn from '../ui/FileIn.svelte';
	const asked = new Resource(() => api.copies());
	$effect(() => void asked.load());
	let busy = $state('');
	let wrong = $state<{ at: string; words: string } | null>(null);
	let told = $state('');
	let ask = $state.raw<CopyRow | null>(null);
	const safe = $derived(asked.value);
	const age = (at: string) => words.ago((Date.now() - Date.parse(at)) / 60_000);
	const newest = $derived(safe?.copies.reduce<CopyRow | null>((best, row) => (best && best.at > row.at ? best : row), null));
	const problem = $derived<Problem | null>(
		wrong?.at === 'second'
			? { type: '', code: '', title: '', status: 422, detail: wrong.words, path: '', choices: [], head: null }
			: null
	);
	async function act<T>(at: string, act: () => Promise<T>): Promise<T | null> {
		[busy, wrong, told] = [at, null, ''];
		try {
			return await act();
		} catch (error) {
			wrong = { at, words: troubleOf(error).words };
			return null;
		} finally {
			busy = '';
		}
	}
	const show = (got: CopiesState | null) => {
		if (got) asked.value = got;
		return got !== null;
	};
	async function back(row: CopyRow) {
		const got = await act('back', () => api.putBack(row.name, row.second));
		ask = null;
		if (got) told = got.words;
		await asked.load();
	}
	async function bring(file: File) {
		const got = await act('bring', () => api.bringAll(file));
		if (got) told = got.words;
		await asked.load();
	}
</script>

{#if safe}
	<Verdict text={newest ? words.copiesHead(age(newest.at)) : words.copiesNone} under={words.held(safe.held)} />
	<p class="mt-10">
		<Act kind="main" disabled={busy === 'copy'} onclick={async () => void show(await act('copy', () => api.copyNow()))}
			>{words.copyNow}</Act
		>
	</p>
	{#if told}<p class="mt-8 border-l-6 border-chalk pl-10 font-mid" role="status">{told}</p>{/if}
	{#if wrong && wrong.at !== 'second'}<p class="wrong" role="alert">{wrong.words}</p>{/if}
	<div class="mt-14">
		<Field
			label={words.second}
			value={safe.second}
			placeholder={words.secondNone}
			calm
			mode="text"
			{problem}
			keep={async (typed) => show(await act('second', () => api.setSecond(typed)))}
		/>
		<p class={['mt-4 text-body', safe.trouble ? 'font-mid text-flag' : 'text-ink2']} data-second>
			{safe.trouble ? words.secondWrong(safe.trouble) : safe.second_at ? words.secondAt(age(safe.second_at)) : ''}
			{words.secondUnder}
		</p>
	</div>
	{#if safe.copies.length}<h2 class="panel-head">{words.copies}</h2>{/if}
	{#if ask}
		<div
			class="mt-8 flex flex-wrap items-center gap-12 border-l-6 border-flag pl-10"
			role="alertdialog"
			aria-label={words.putBack}
		>
			<span class="min-w-0 flex-1 font-mid">{words.putBackAsk(whenText(ask.at))}</span>
			<Act kind="main" disabled={busy === 'back'} onclick={() => ask && void back(ask)}>{words.putBackYes}</Act>
			<Act onclick={() => (ask = null)}>{words.putBackNo}</Act>
		</div>
	{/if}
	<ul>
		{#each safe.copies as row (`${row.second} ${row.name}`)}
			<li class="flex flex-wrap items-center gap-x-14 gap-y-4 border-t border-hair py-4" data-copy={row.name}>
				<b class="w-150 text-read font-strong">{whenText(row.at)}</b>
				<span class="min-w-0 flex-1 text-body text-ink2"
					>{age(row.at)}, {words.size(row.size_bytes)}, {row.second ? words.there : words.here}</span
				>
				<Act kind="quiet" onclick={() => (ask = row)} aria-label="{words.putBack} {whenText(row.at)}">{words.putBack}</Act>
			</li>
		{/each}
	</ul>
	<h2 class="panel-head">{words.all}</h2>
	<p class="text-body text-ink2">{words.allUnder}</p>
	<p class="mt-8 flex flex-wrap gap-10">
		<Act href="/api/site/everything.zip" download>{words.takeAll}</Act>
		<FileIn label={words.bringAll} accept=".zip,application/zip" disabled={busy === 'bring'} take={bring} />
	</p>
{:else if asked.problem}<p class="wrong" role="alert">{asked.problem}</p>{/if}
