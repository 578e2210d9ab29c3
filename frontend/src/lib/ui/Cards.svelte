<script lang="ts" generics="R extends { value: string }">
	/** One of a few that need more than a word: a card each, a drawing or sentences in it. Arrows move. */
	import { RadioGroup } from 'bits-ui';
	import type { Snippet } from 'svelte';
	let {
		rows,
		value,
		pick,
		name,
		card,
		class: more = 'flex flex-wrap gap-6',
		each = ''
	}: {
		rows: readonly R[];
		value: R['value'] | '';
		pick: (value: R['value']) => void;
		name: string;
		card: Snippet<[R]>;
		/** how the cards stand, and what each of them is */
		class?: string;
		each?: string;
	} = $props();
</script>

<RadioGroup.Root class={more} aria-label={name} bind:value={() => value, (now) => pick(now as R['value'])}>
	{#each rows as row (row.value)}
		<RadioGroup.Item
			value={row.value}
			class={[
				'min-h-44 border-[1.5px] border-ink bg-well data-[state=checked]:shadow-[inset_0_0_0_3px_var(--color-ink)]',
				each
			].join(' ')}
		>
			{@render card(row)}
		</RadioGroup.Item>
	{/each}
</RadioGroup.Root>
