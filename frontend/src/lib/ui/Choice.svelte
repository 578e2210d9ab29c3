<script lang="ts" generics="T extends string">
	/** One of a few, side by side. Arrow keys go along, Enter or Space takes one; nothing is taken in passing. */
	import { ToggleGroup } from 'bits-ui';
	import Frac from './Frac.svelte';
	import { act, type ActKind } from './act';
	/** clears: pressing the chosen one again takes none. plain: no gap of its own, for a row that has others in it */
	let {
		rows,
		value,
		pick,
		name,
		kind = 'quiet',
		clears = false,
		class: more = ''
	}: {
		rows: readonly { value: T; label: string }[];
		value: T | null;
		pick: (value: T | null) => void;
		name: string;
		kind?: ActKind;
		clears?: boolean;
		class?: string;
	} = $props();
	const chosen = (now: string) => {
		if (now) pick(now as T);
		else if (clears) pick(null);
	};
</script>

<ToggleGroup.Root
	type="single"
	class="flex flex-wrap items-end gap-4 {more}"
	aria-label={name}
	bind:value={() => value ?? '', chosen}
>
	{#each rows as row (row.value)}
		<ToggleGroup.Item value={row.value} class={act(kind)}><span><Frac text={row.label} /></span></ToggleGroup.Item>
	{/each}
</ToggleGroup.Root>
