<script lang="ts">
	/** The tabs of a bench, as links. */
	import { goto } from '$app/navigation';
	/** tight: one choice instead of a row of links on a phone, so that the instrument stands higher */
	let {
		tabs,
		here,
		name,
		tight = false
	}: { tabs: { key: string; name: string }[]; here: string; name: string; tight?: boolean } = $props();
</script>

{#if tight}
	<select class="plain-select small" aria-label={name} value={here} onchange={(e) => void goto(`?tab=${e.currentTarget.value}`)}>
		{#each tabs as one}<option value={one.key}>{one.name}</option>{/each}
	</select>
{/if}
<nav class="tabs" class:tight aria-label={name}>
	{#each tabs as one}<a
			href="?tab={one.key}"
			class:here={here === one.key}
			aria-current={here === one.key ? 'page' : undefined}
			data-sveltekit-noscroll>{one.name}</a
		>{/each}
</nav>

<style>
	.tabs {
		display: flex;
		flex-wrap: wrap;
		gap: 0 2px;
		margin: 6px 0 4px;
		border-bottom: 2px solid var(--color-ink);
	}
	a {
		padding: 7px 9px;
		min-height: 38px;
		font-weight: 660;
		color: var(--color-ink);
	}
	a.here {
		background: var(--color-ink);
		color: var(--color-sheet);
	}
	.small {
		display: none;
	}
	@media (max-width: 600px) {
		.tabs.tight {
			display: none;
		}
		.small {
			display: block;
			width: 100%;
			min-height: 46px;
			font-size: 17px;
			font-weight: 740;
		}
		a {
			min-height: 46px;
			padding: 11px 10px;
		}
	}
</style>
