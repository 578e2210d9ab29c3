{#if import.meta.env.DEV}
	{#await import('#lib/ui/Kit.svelte') then { default: Kit }}<Kit />{/await}
{/if}
