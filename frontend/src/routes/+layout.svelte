<script lang="ts">
	import '../app.css';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { untrack } from 'svelte';
	import { outbox } from '#lib/outbox/outbox.svelte.ts';
	import OutOf from '#lib/site/OutOf.svelte';
	import { events } from '#lib/site/events.svelte.ts';
	import { self } from '#lib/site/me.svelte.ts';
	import { who } from '#lib/site/who.svelte.ts';
	import { session } from '#lib/state/session.svelte.ts';
	let { children } = $props();
	$effect(() => {
		document.documentElement.dataset['light'] = session.dim ? 'dim' : 'day';
	});
	$effect(() => {
		untrack(() => {
			void outbox.start();
			void self.load();
		});
	});
	$effect(() => {
		session.loadWays().catch(() => undefined);
		const heard = [
			events.on('yard', () => void session.loadWays().catch(() => undefined)),
			events.on('here', () => who.news()),
			events.on('me', () => void self.load()),
			events.on('out', () => void self.load()),
			events.on('back', () => {
				outbox.flush();
				who.again();
				who.news();
			})
		];
		return () => heard.forEach((stop) => stop());
	});
	/** one who has not joined, and was not thrown out of what is on the screen, joins first */
	$effect(() => {
		if (self.outside && !self.out && page.url.pathname !== '/in')
			void goto(`/in?then=${encodeURIComponent(page.url.pathname + page.url.search)}`, { replaceState: true });
	});
</script>

{#if self.out}<OutOf />{/if}
{@render children()}
