<script lang="ts">
	/** The turns of a bench, as links. */
	let { turns, here, name }: { turns: { key: string; name: string }[]; here: string; name: string } = $props();
</script>

<nav class="turns" aria-label={name}>
	{#each turns as one}<a href="?turn={one.key}" class:here={here === one.key} aria-current={here === one.key ? 'page' : undefined} data-sveltekit-noscroll>{one.name}</a>{/each}
</nav>

<style>
	.turns {
		display: flex;
		flex-wrap: wrap;
		gap: 0 2px;
		margin: 6px 0 4px;
		border-bottom: 2px solid var(--ink);
	}
	a {
		padding: 7px 9px;
		min-height: 38px;
		font-weight: 660;
		color: var(--ink);
	}
	a.here {
		background: var(--ink);
		color: var(--sheet);
	}
	@media (max-width: 600px) {
		a {
			min-height: 46px;
			padding: 11px 10px;
		}
	}
</style>
