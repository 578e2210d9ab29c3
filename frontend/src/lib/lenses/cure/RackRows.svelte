<script lang="ts">
	/** Boards of the forms back to the rack, once all sides are off: one press, and the next cut plan takes them first. */
	import { onDestroy } from 'svelte';
	import { api } from '../../api/api';
	import type { RackState } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import { Resource, troubleOf } from '../../state/resource.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { cureWords } from '../../words/cure';
	let { store, at, off }: { store: JobStore; at: () => string; off: boolean } = $props();
	const words = cureWords.work;
	const AGAIN_MS = 700;
	const rack = new Resource<RackState>(() => api.rack(store.id));
	const now = $derived(rack.value);
	let wrong = $state('');
	let busy = $state(false);
	let timer: ReturnType<typeof setTimeout> | undefined;
	async function ask() {
		await rack.load();
		if (typeof rack.value?.counting === 'number') timer = setTimeout(() => void ask(), AGAIN_MS);
	}
	$effect(() => {
		if (off) void ask();
	});
	onDestroy(() => clearTimeout(timer));
	async function put(back: boolean) {
		[busy, wrong] = [true, ''];
		try {
			rack.value = await api.putOnRack(store.id, { back, at: at(), author: session.who });
			void store.load();
		} catch (error) {
			wrong = troubleOf(error).words;
		} finally {
			busy = false;
		}
	}
</script>

<h2 class="panel-head">{words.rack}</h2>
{#if !off}<p class="text-note">{words.rackHow} {words.rackWait}</p>
{:else if now}
	<p class="text-note">{words.rackHow}</p>
	{#if typeof now.counting === 'number'}<p class="text-read" role="status">{words.counting}</p>
	{:else}
		<ul class="flex flex-wrap gap-x-16 text-read" data-rack={now.record ? 'back' : 'open'}>
			{#each now.back as one (one)}<li><Frac text={one} /></li>{/each}
		</ul>
		{#if now.short}<p class="text-note">{words.rackShort(now.short)}</p>{/if}
		{#if now.record}<p class="mt-4 flex items-center gap-10 text-read">
				{words.onRack(now.done_text, now.by)}
				{#if now.may}<Act kind="quiet" disabled={busy} onclick={() => void put(false)}>{cureWords.takeBack}</Act>{/if}
			</p>
		{:else if now.may && now.back.length}<Act class="mt-6 min-h-48" kind="main" disabled={busy} onclick={() => void put(true)}
				>{words.toRack}</Act
			>
		{:else if !now.may}<p class="text-note">{words.rackOwner}</p>{/if}
	{/if}
	{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
{:else if rack.problem}<p class="wrong" role="alert">{rack.problem}</p>{/if}
