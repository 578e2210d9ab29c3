<script lang="ts">
	/** Offline, clashes and problems that belong to no field: said plainly, with the way out. */
	import OutboxStrip from '../outbox/OutboxStrip.svelte';
	import { saysOf } from '../outbox/says';
	import type { JobStore } from '../state/job.svelte';
	import { self } from '../site/me.svelte';
	import { clockText, dayText } from '../ui/days';
	import { siteWords } from '../words/site';
	import { w } from '../words/words';
	import Act from '../ui/Act.svelte';
	let { store }: { store: JobStore } = $props();
	/** which of two versions is on the sheet; '' while nobody asked to see */
	let looks = $state('');
	function look(which: 'mine' | 'theirs') {
		looks = which;
		void store.versions.look(which);
	}
	$effect(() => {
		if (!store.clash) looks = '';
	});
	const orphan = $derived(
		store.problem && ['', 'board', 'sheet', 'waiting', 'clash', 'units'].includes(store.problemAt) ? store.problem : null
	);
	const behind = $derived(store.waiting.filter((row) => row.state === 'waiting' && row.said.kind === 'edit').length);
	const unread = $derived((store.doubts?.findings ?? []).filter((one) => one.code === 'record-unread'));
	const faults = $derived((store.figure?.findings ?? []).filter((one) => one.code === 'cannot-compute'));
</script>

<OutboxStrip rows={store.waiting} />
{#if self.looks}
	<p class="border-b-[1.5px] border-line bg-well px-20 py-4 text-note font-mid text-ink" role="status" data-looks>
		{siteWords.looks}
		{self.me?.until ? siteWords.lookUntilSays(dayText(self.me.until.slice(0, 10))) : ''}
	</p>
{/if}
{#if store.seen}
	<p class="border-b-3 border-flag bg-well px-20 py-6 font-mid text-ink" role="status" data-seen>
		{siteWords.reach(clockText(store.seen))}
	</p>
{/if}
{#if store.clash}
	<div
		class={['flex flex-wrap gap-x-12 gap-y-6 border-b-3 border-flag bg-well px-20 py-6 font-mid text-ink', 'items-center']}
		role="alert"
	>
		<span>{store.clash.words} {w.outbox.yours(saysOf(store.clash))} {behind ? w.outbox.after(behind) : ''}</span>
		<Act kind="quiet" on={looks === 'theirs'} aria-pressed={looks === 'theirs'} onclick={() => look('theirs')}
			>{w.notices.seeTheirs}</Act
		>
		<Act kind="quiet" on={looks === 'mine'} aria-pressed={looks === 'mine'} onclick={() => look('mine')}>{w.notices.seeMine}</Act>
		<Act kind="quiet" onclick={() => void store.versions.reapply()}>{w.notices.reapply}</Act>
		<Act kind="quiet" onclick={() => store.versions.takeTheirs()}>{w.notices.theirs}</Act>
	</div>
{/if}
{#each faults as fault}
	<p
		class={['flex flex-wrap gap-x-12 gap-y-6 border-b-3 border-flag bg-well px-20 py-6 font-mid text-ink', 'items-center']}
		role="alert"
		data-fault={fault.where}
	>
		{fault.words}
		{fault.remedy}
	</p>
{/each}
{#if unread.length}
	<div
		class={['flex flex-wrap gap-x-12 gap-y-6 border-b-3 border-flag bg-well px-20 py-6 font-mid text-ink', 'items-center']}
		role="alert"
		data-unread={unread.length}
	>
		<span>{unread[0]?.words} {unread.length > 1 ? w.notices.moreUnread(unread.length - 1) : ''} {unread[0]?.remedy}</span>
		<Act kind="quiet" href="/api/jobs/{store.id}/as-stored" download>{w.notices.takeStored}</Act>
	</div>
{/if}
{#if orphan}
	<div
		class={['flex flex-wrap gap-x-12 gap-y-6 border-b-3 border-flag bg-well px-20 py-6 font-mid text-ink', 'items-center']}
		role="alert"
	>
		<span>{orphan.detail}</span>
		<Act kind="quiet" onclick={() => store.clearProblem()}>{w.slip.close}</Act>
	</div>
{/if}
