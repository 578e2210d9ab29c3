<script lang="ts">
	import '../app.css';
	import { session } from '#lib/state/session.svelte.ts';
	let { children } = $props();
	$effect(() => {
		document.documentElement.dataset['light'] = session.dim ? 'dim' : 'day';
	});
	$effect(() => {
		session.loadWays().catch(() => undefined);
	});
</script>

{@render children()}
