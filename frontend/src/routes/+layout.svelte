<script lang="ts">
	import '../app.css';
	import { outbox } from '#lib/outbox/outbox.svelte.ts';
	import { session } from '#lib/state/session.svelte.ts';
	let { children } = $props();
	$effect(() => {
		document.documentElement.dataset['light'] = session.dim ? 'dim' : 'day';
	});
	$effect(() => {
		void outbox.start();
	});
	$effect(() => {
		session.loadWays().catch(() => undefined);
	});
</script>

{@render children()}
