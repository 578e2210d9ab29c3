<script lang="ts">
	/** A box of leaves: a missing paper is a dashed leaf, one that was asked for has its corner turned down, one that is here is full. */
	import { api } from '../../api/api';
	import type { Paper } from '../../api/schema';
	import { outbox } from '../../outbox/outbox.svelte';
	import { newId } from '../../outbox/pressed';
	import { shrunk } from '../../photos/shrink';
	import type { Edit } from '../../state/job.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import BindFile from '../../ui/BindFile.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { holdWords } from '../../words/holds';
	import { w } from '../../words/words';
	import { dayText, today } from '../../ui/days';
	import type { GateData } from './holds.svelte';
	import FileIn from '../../ui/FileIn.svelte';
	let { data }: { data: GateData } = $props();
	const words = holdWords.papers;
	const PAPERS = ['letter', 'a4'] as const;
	const MOST = 16_000_000;
	const rows = $derived(data.state?.papers ?? []);
	const missing = $derived(rows.filter((row) => row.state !== 'here' && !row.after).length);
	const rest = $derived((data.state?.usual ?? []).filter((one) => !rows.some((row) => row.key === one.key)));
	let held = $state('');
	const one = $derived(rows.find((row) => row.key === held) ?? rows.find((row) => row.state !== 'here') ?? rows[0] ?? null);
	let from = $state('');
	let name = $state('');
	let busy = $state(false);
	let wrong = $state('');
	const put = (row: Paper, state: string, more: Record<string, unknown> = {}) =>
		data.record('paper', {
			paper: row.key,
			state,
			from_whom: from.trim() || row.from_whom,
			by: session.who,
			photo: row.photo,
			file_name: row.file_name,
			...more
		});
	async function say(row: Paper, state: string) {
		if (await put(row, state)) from = '';
	}
	async function bring(row: Paper, file: File) {
		wrong = '';
		busy = true;
		try {
			const pdf = file.type === 'application/pdf' || file.name.toLowerCase().endsWith('.pdf');
			if (pdf && file.size > MOST) return void (wrong = words.tooLarge);
			const small = pdf ? new Blob([await file.arrayBuffer()], { type: 'application/pdf' }) : await shrunk(file);
			if (!small) return void (wrong = words.noFile);
			const photo = newId();
			await outbox.holdPicture(photo, small);
			if (await put(row, 'here', { photo, file_name: file.name.slice(0, 80) })) from = '';
		} finally {
			busy = false;
		}
	}
	const kinds = $derived(
		PAPERS.map((paper) => ({
			key: paper,
			label: w.lines.paper[paper],
			address: (reading: string) => `/api/jobs/${data.store.id}/pack.pdf?paper=${paper}&today=${today()}&reading=${reading}`,
			otherwise: 'box.pdf'
		}))
	);
	const edit = (paper: string, needed: boolean) => data.keep([{ op: 'set_paper', paper, needed } as Edit], 'paper');
	async function add() {
		if (name.trim() && (await data.keep([{ op: 'set_paper', name: name.trim() } as Edit], 'paper'))) name = '';
	}
</script>

<Verdict text={rows.length ? words.verdict(missing) : words.none} is={missing ? 'bad' : 'good'} />
<ul
	class="mt-10 grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-10 border-x-8 border-b-8 border-board p-10"
	aria-label={words.box}
>
	{#each rows as row (row.key)}
		<li>
			<button
				type="button"
				class={[
					'relative block min-h-120 w-full px-10 py-8 text-left',
					row.state === 'here'
						? 'border-2 border-ink bg-well'
						: row.state === 'asked'
							? 'border-2 border-ink bg-sheet'
							: 'border-2 border-dashed border-ink',
					one?.key === row.key && 'outline-3 outline-chalk'
				]}
				aria-pressed={one?.key === row.key}
				onclick={() => (held = row.key)}
				data-paper={row.key}
				data-state={row.state}
			>
				{#if row.state === 'asked'}<svg class="absolute top-0 right-0" width="26" height="26" aria-hidden="true"
						><path d="M0 0L26 26H0Z" class="fill-slip stroke-ink" /><path d="M0 0H26V26Z" class="fill-bench" /></svg
					>{/if}
				<b class="block text-read leading-tight">{row.name}</b>
				<span class={['mt-4 block text-note font-mid', row.state === 'here' ? 'text-chalk' : 'text-flag']}
					>{words.states[row.state]}{row.after && row.state !== 'here' ? `, ${words.afterPour}` : ''}</span
				>
				<span class="block text-note">{row.from_whom || row.gives}{row.at ? `, ${dayText(row.at)}` : ''}</span>
			</button>
		</li>
	{/each}
</ul>
{#if one}
	<section class="mt-12" aria-label={one.name}>
		<h2 class="text-ask font-black">{one.name}</h2>
		<div class="mt-6 flex flex-wrap items-end gap-8">
			<label class="label w-200"
				>{words.from}<input
					class="well w-full"
					maxlength="80"
					placeholder={one.from_whom || one.gives}
					bind:value={from}
				/></label
			>
			{#if one.state !== 'here'}<Act kind="plain" onclick={() => void say(one, 'asked')}>{words.ask}</Act>
				<Act kind="main" onclick={() => void say(one, 'here')}>{words.here}</Act>
			{:else}<Act kind="plain" onclick={() => void say(one, 'missing')}>{words.missing}</Act>{/if}
			<FileIn
				label={busy ? words.reading : words.file}
				name="{words.file}, {one.name}"
				accept="application/pdf,image/*"
				disabled={busy}
				take={(file) => bring(one, file)}
			/>
			{#if one.photo}<Act kind="quiet" href={api.photoAddress(data.store.id, one.photo)} target="_blank"
					>{words.see} {one.file_name}</Act
				>{/if}
			<Act kind="quiet" onclick={() => void edit(one.key, false)}>{words.notNeeded}</Act>
		</div>
		{#if wrong || data.wrong}<p class="wrong mt-6" role="alert">{wrong || data.wrong}</p>{/if}
	</section>
{/if}
<h2 class="panel-head">{words.bind}</h2>
<p class="label">{words.bindHow}</p>
<BindFile {kinds} making={words.binding} notMade={words.notBound} />
<div class="mt-12 flex flex-wrap items-end gap-8">
	<label class="label w-240"
		>{words.add}<input
			class="well w-full"
			maxlength="80"
			bind:value={name}
			onkeydown={(event) => event.key === 'Enter' && void add()}
		/></label
	>
	<Act kind="plain" onclick={() => void add()}>{words.addIt}</Act>
</div>
{#if data.store.problemFor('paper')}<p class="wrong" role="alert">{data.store.problemFor('paper')?.detail}</p>{/if}
<Fold name={words.usual} class="mt-8" aside={`${rest.length}`}>
	<div class="flex flex-wrap gap-6">
		{#each rest as paper (paper.key)}<Act kind="quiet" onclick={() => void edit(paper.key, true)}>{paper.name}</Act>{/each}
	</div>
</Fold>
<p class="mt-12 border-t border-hair pt-6 text-note text-ink2">{holdWords.caution}</p>
