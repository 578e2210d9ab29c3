<script lang="ts">
	/** The board under it: how the last ten went, and who sees that. */
	import Act from '../ui/Act.svelte';
	import { session } from '../state/session.svelte';
	import { w } from '../words/words';
	import { practiceWords as words } from '../words/practice';
	import { lastOf, wayOf } from './book.svelte';
	import type { Practice } from './practice.svelte';
	let { practice }: { practice: Practice } = $props();
	const book = $derived(practice.book);
	const rows = $derived(lastOf(book.tries, practice.kind));
	const way = $derived(wayOf(rows));
	const wayText = $derived(
		way === null || !practice.open?.under ? '' : way === 0 ? words.straight : way < 0 ? practice.open.under : practice.open.over
	);
	let told = $state('');
	const cell = 'border-r-[1.5px] border-board-ink pt-6 pr-24 pl-20';
	const small = 'text-note font-[620] text-board-ink2';
	const big = 'block text-tally leading-[1.15] font-heavy font-stretch-[90%] max-phone:text-act';
	async function forget() {
		try {
			told = words.forgot(await book.forget());
			await practice.yard.load();
		} catch {
			told = w.notices.noAnswer;
		}
	}
</script>

<footer class="planed flex min-h-80 flex-none flex-wrap border-t-3 border-ink text-board-ink" aria-label={w.board.tally}>
	<div class={cell}>
		<p class={small}>{words.lastTen}</p>
		<b class={big}>{words.rightOf(rows.filter((row) => row.grade === 'right').length, rows.length)}</b>
	</div>
	{#if wayText}<div class="{cell} max-phone:hidden">
			<p class={small}>{words.way}</p>
			<b class={big}>{wayText}</b>
		</div>{/if}
	<div class="{cell} flex-1" style="border-right: 0">
		<p class={small}>{words.kept}{book.waits.length ? `, ${words.waits(book.waits.length)}` : ''}</p>
		<div class="flex flex-wrap items-center gap-x-12 gap-y-4">
			<b class="{big} max-phone:hidden">{book.keep ? words.by(book.keep) : words.here}</b>
			<span class="{small} max-phone:hidden">{book.keep ? words.byUnder : words.hereUnder}</span>
			{#if book.keep}
				<Act kind="quiet" class="min-h-44 text-board-ink" onclick={() => book.setKeep('')}>{words.stop}</Act>
				<Act kind="quiet" class="min-h-44 text-board-ink" onclick={() => void forget()}>{words.forget}</Act>
			{:else if session.who}<Act kind="quiet" class="min-h-44 text-board-ink" onclick={() => book.setKeep(session.who)}
					>{words.keepBy(session.who)}</Act
				>
			{:else}<span class={small}>{words.noName}</span>{/if}
			{#if told || book.problem}<span role="status">{book.problem || told}</span>{/if}
		</div>
	</div>
	<button
		type="button"
		class="my-auto mr-12 ml-12 h-44 border-[1.5px] border-board-ink px-10 font-[680] max-phone:hidden"
		onclick={() => session.toggleDim()}>{session.dim ? w.board.day : w.board.dim}</button
	>
</footer>
