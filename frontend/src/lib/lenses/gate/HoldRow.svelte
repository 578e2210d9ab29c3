<script lang="ts">
	/** One thing that holds the pour: what, what it stops, who lifts it and when, the way there; a soft one can be taken on by name. */
	import { goto } from '$app/navigation';
	import type { GateHold } from '../../api/schema';
	import { note, restored } from '../../state/remember.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { holdWords as words } from '../../words/holds';
	import { whenText } from '../../ui/days';
	import type { GateData } from './holds.svelte';
	let { data, row, go }: { data: GateData; row: GateHold; go: () => void } = $props();
	let asking = $state(false);
	// svelte-ignore state_referenced_locally (one hold for the life of this row)
	const key = `${data.store.id}/hold/${row.code}`;
	const old = restored<{ by: string; reason: string }>(key);
	let by = $state(old?.by ?? session.who);
	let reason = $state(old?.reason ?? '');
	$effect(() => note(key, reason ? { by, reason } : ''));
	let wrong = $state('');
	async function keep() {
		const ok = await data.record('overruled', { hold: row.code, by: by.trim(), reason: reason.trim() });
		wrong = ok ? '' : data.wrong;
		if (ok) [asking, reason] = [false, ''];
	}
	function there() {
		if (row.goes[0] === 'gate') return go();
		void goto(`/job/${data.store.id}/${row.goes[0]}${row.goes[1] ? `?tab=${row.goes[1]}` : ''}`);
	}
</script>

<li
	class={[
		'grid grid-cols-[30px_minmax(0,1fr)_104px_auto] items-start gap-x-10 border-b border-ink py-8',
		'max-phone:grid-cols-[30px_minmax(0,1fr)]'
	]}
	data-hold={row.code}
	data-hard={row.hard}
>
	<svg width="30" height="38" viewBox="2 0 30 40" aria-hidden="true">
		<path d="M11 14l-8 24 8-5 4 6 4-24zM23 14l8 24-8-5-4 6-4-24z" class={[row.hard ? 'fill-flag' : 'fill-bench', 'stroke-ink']} />
		<rect x="9" y="2" width="16" height="15" class={[row.hard ? 'fill-flag' : 'fill-bench', 'stroke-ink stroke-[1.6px]']} />
	</svg>
	<div class="min-w-0">
		<h2 class="text-key leading-tight font-heavy"><Frac text={row.title} /></h2>
		<p class="text-note"><Frac text={row.words} /> {words.stops(row.stops)}.</p>
	</div>
	<p class="text-note max-phone:col-start-2">
		<b class="block text-body">{row.lifts_at ? whenText(row.lifts_at) : ''}{row.late ? `, ${words.late}` : ''}</b>{row.who}
	</p>
	<div class="flex gap-4 max-phone:col-start-2 max-phone:mt-4">
		{#if !row.hard}<Act kind="quiet" class="min-h-44" aria-expanded={asking} onclick={() => (asking = !asking)}
				>{words.overrule}</Act
			>{/if}
		<Act kind="plain" onclick={there}>{row.act}</Act>
	</div>
	{#if asking}
		<div class="col-span-full mt-8 flex flex-wrap items-end gap-8" role="group" aria-label="{words.overrule}: {row.title}">
			<label class="label w-160">{words.name}<input class="well w-full" maxlength="80" bind:value={by} /></label>
			<label class="label min-w-200 flex-1"
				>{words.reason}<input
					class="well w-full"
					maxlength="400"
					bind:value={reason}
					onkeydown={(event) => event.key === 'Enter' && void keep()}
				/></label
			>
			<Act kind="main" onclick={() => void keep()}>{words.keep}</Act>
			<Act kind="quiet" onclick={() => (asking = false)}>{words.cancel}</Act>
			<p class="label w-full">{words.overruleHow}</p>
			{#if wrong}<p class="wrong w-full" role="alert">{wrong}</p>{/if}
		</div>
	{/if}
</li>
