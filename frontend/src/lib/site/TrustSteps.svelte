<script lang="ts">
	/** How a phone is told to trust the locked line. */
	import { api } from '../api/api';
	import type { Me } from '../api/schema';
	import Act from '../ui/Act.svelte';
	import { siteWords as words } from '../words/site';
	let { me }: { me: Me | null } = $props();
	let not = $state(false);
	async function tries() {
		const locked = me?.locked_url ?? '';
		not = !(locked && (await api.hello(locked)));
		if (!not) location.assign(`${locked}/in`);
	}
</script>

<h1 class="px-6 pt-12">{words.trustTitle}</h1>
<p class="px-6 text-read">{words.trustWhy}</p>
<ol class="mt-8 grid gap-10 px-6">
	{#each words.trust as step, i}
		<li class="grid grid-cols-[30px_1fr] text-read">
			<b class="text-ask leading-[1.1] font-black">{i + 1}</b><span>{step}</span>
		</li>
	{/each}
</ol>
<p class="mt-12 px-6 text-note text-ink2">{words.trustMark}</p>
<p class="px-6 text-call font-black" data-mark>{me?.mark ?? ''}</p>
<p class="mt-10 grid gap-8">
	<Act kind="main" href="/api/site/authority.crt" download>{words.trustTake}</Act>
	<Act onclick={() => void tries()}>{words.trustTry}</Act>
</p>
{#if not}<p class="wrong px-6" role="alert">{words.trustNot}</p>{/if}
<p class="mt-10 px-6 text-body text-ink2">{words.trustWhat}</p>
<p class="mt-6 px-6"><a class="flex min-h-44 items-center underline" href="/in">‹ {words.inBack}</a></p>
