<script lang="ts">
	/** The tabs of a bench with what stands under them. Arrow keys turn them; on a phone they are one choice and two arrows. */
	import { Tabs } from 'bits-ui';
	import type { Snippet } from 'svelte';
	import Choose from './Choose.svelte';
	import { act } from './act';
	import { w } from '../words/words';
	/** tight: one choice instead of a row on a phone, so that the instrument stands higher */
	let {
		rows,
		here,
		turn,
		name,
		tight = true,
		children
	}: {
		rows: readonly { value: string; label: string }[];
		here: string;
		turn: (key: string) => void;
		name: string;
		tight?: boolean;
		children: Snippet;
	} = $props();
	let width = $state(900);
	/** a row that does not fit is set narrower before it wraps */
	const narrow = $derived(rows.reduce((sum, row) => sum + row.label.length * 7.6 + 20, 0) > width);
	const at = $derived(rows.findIndex((row) => row.value === here));
</script>

<Tabs.Root value={here} onValueChange={(key) => key !== here && turn(key)}>
	{#if tight}
		<div class="mb-2 hidden grid-cols-[46px_1fr_46px] gap-4 max-phone:grid side:grid">
			{#each [-1, 1] as by}
				<button
					type="button"
					class={act('quiet', false, by === 1 ? 'order-3' : '')}
					aria-label={by === 1 ? w.turns.next : w.turns.before}
					disabled={!rows[at + by]}
					onclick={() => turn(rows[at + by]?.value ?? here)}
					><svg width="16" height="20" class={['fill-none stroke-current stroke-3', by === -1 && 'rotate-180']} aria-hidden="true"
						><path d="M4 3l8 7-8 7" /></svg
					></button
				>
			{/each}
			<Choose class="order-2 text-center text-key font-[740]" {name} {rows} value={here} pick={turn} />
		</div>
	{/if}
	<div class="h-0" bind:clientWidth={width}></div>
	<Tabs.List
		aria-label={name}
		class="mt-6 mb-4 flex flex-wrap gap-x-2 border-b-2 border-ink {tight ? 'max-phone:hidden side:hidden' : ''}"
	>
		{#each rows as row (row.value)}
			<Tabs.Trigger
				value={row.value}
				class={[
					narrow ? 'px-7 text-[15px] font-stretch-[84%]' : 'px-9',
					'min-h-38 py-7 font-[660] text-ink data-[state=active]:bg-ink data-[state=active]:text-sheet',
					'max-phone:min-h-46 max-phone:px-10 max-phone:py-11 pointer-coarse:min-h-44'
				].join(' ')}>{row.label}</Tabs.Trigger
			>
		{/each}
	</Tabs.List>
	<Tabs.Content value={here} tabindex={-1}>{@render children()}</Tabs.Content>
</Tabs.Root>
