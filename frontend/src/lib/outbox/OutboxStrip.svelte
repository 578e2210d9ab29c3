<script lang="ts">
	/** What waits on this device and what was refused, each row in sight with its reason and a way out. */
	import { Collapsible } from 'bits-ui';
	import { w } from '../words/words';
	import { outbox } from './outbox.svelte';
	import type { Row } from './rows';
	import { copyOf, saysOf } from './says';
	import Act from '../ui/Act.svelte';
	interface Props {
		rows: Row[];
		/** say which job each belongs to */
		named?: boolean;
	}
	let { rows, named = false }: Props = $props();
	let open = $state(false);
	let copied = $state('');
	const waiting = $derived(rows.filter((row) => row.state === 'waiting'));
	const refused = $derived(rows.filter((row) => row.state === 'refused'));
	const edits = $derived(waiting.filter((row) => row.said.kind === 'edit').length);
	const why = $derived(waiting.find((row) => row.words)?.words ?? '');
	/** what is on its way for the first time is not worth a word yet */
	const quiet = $derived(
		!outbox.offline &&
			!why &&
			waiting.every((row) => outbox.sending.includes(row.job)) &&
			Date.now() - Date.parse(waiting[0]?.made_at ?? '') < 5000
	);
	async function copy(row: Row) {
		const text = copyOf(row);
		try {
			await navigator.clipboard.writeText(text);
		} catch {
			const area = document.createElement('textarea');
			area.value = text;
			document.body.append(area);
			area.select();
			document.execCommand('copy');
			area.remove();
		}
		copied = row.id;
		setTimeout(() => (copied = ''), 2500);
	}
</script>

{#snippet line(row: Row)}
	<li class="flex flex-wrap items-center gap-x-12 gap-y-4 border-t border-hair py-6" data-row={row.state}>
		<span class="min-w-0 flex-1 basis-64">
			{#if row.state === 'refused'}<b class="text-flag">{w.outbox.refused}.</b>{/if}
			{#if named}<a class="underline" href="/job/{row.job}/lines">{row.name}</a> ·
			{/if}<span class="pen whitespace-normal!">{saysOf(row)}</span>
			{#if row.words}<span class="block font-[560]">{row.words}</span>{/if}
		</span>
		<span class="flex gap-8">
			<Act kind="quiet" onclick={() => void copy(row)}>{copied === row.id ? w.outbox.copied : w.outbox.copy}</Act>
			<Act kind="quiet" onclick={() => void outbox.letGo(row.id)}>{w.outbox.letGo}</Act>
		</span>
	</li>
{/snippet}

{#if waiting.length && !quiet}
	<Collapsible.Root
		bind:open
		class="border-b-[3px] border-flag bg-well px-20 py-6 font-[640] max-phone:px-12"
		data-outbox={waiting.length}
	>
		<div class="flex flex-wrap items-center gap-x-12 gap-y-4">
			<p class="min-w-0 flex-1 basis-64" role="status">
				{why ? `${why} ` : ''}{w.outbox.waits(edits, waiting.length - edits, outbox.offline, outbox.lasting)}
			</p>
			<span class="flex gap-8">
				<Collapsible.Trigger class="act quiet">{open ? w.outbox.hide : w.outbox.show}</Collapsible.Trigger>
				<Act kind="quiet" onclick={() => outbox.flush()}>{w.outbox.now}</Act>
			</span>
		</div>
		<Collapsible.Content>
			<ul class="mt-6 max-h-[30vh] overflow-auto" aria-label={w.outbox.title}>
				{#each waiting as row (row.id)}{@render line(row)}{/each}
			</ul>
		</Collapsible.Content>
	</Collapsible.Root>
{/if}
{#if refused.length}
	<ul class="max-h-[30vh] overflow-auto border-b-[3px] border-flag bg-well px-20 font-[640] max-phone:px-12" role="alert">
		{#each refused as row (row.id)}{@render line(row)}{/each}
	</ul>
{/if}
