<script lang="ts" generics="T extends string">
	/** One of many: a list of our own under a mouse, the device's own under a thumb. */
	import { Select } from 'bits-ui';
	import { coarse } from './pointer.svelte';
	let {
		rows,
		value,
		pick,
		name,
		id,
		none = '',
		label = false,
		class: more = ''
	}: {
		rows: readonly { value: T; label: string; group?: string }[];
		value: T;
		pick: (value: T) => void;
		name: string;
		id?: string;
		/** said while none of them is taken */
		none?: string;
		/** its name stands over it, to be read */
		label?: boolean;
		class?: string;
	} = $props();
	const BOX = 'min-h-34 border-[1.5px] border-ink bg-well px-8 text-ink pointer-coarse:min-h-44 max-phone:min-h-46';
	const shown = $derived(rows.find((row) => row.value === value)?.label ?? none);
	const groups = $derived([...new Set(rows.map((row) => row.group ?? ''))]);
	/* the list takes an empty value for none at all, and here it is one of them */
	const key = (one: string) => `=${one}`;
</script>

{#snippet option(row: { value: T; label: string })}
	<Select.Item
		value={key(row.value)}
		label={row.label}
		class="cursor-pointer px-12 py-8 font-[620] data-highlighted:bg-chalk data-highlighted:text-on-chalk data-selected:font-black"
		>{row.label}</Select.Item
	>
{/snippet}

{#snippet box()}
	{#if coarse.now}
		<select {id} class="{BOX} {more}" aria-label={name} {value} onchange={(event) => pick(event.currentTarget.value as T)}>
			{#if !rows.some((row) => row.value === value)}<option {value} disabled>{none}</option>{/if}
			{#each groups as group}
				{#if group}<optgroup label={group}>{@render natives(group)}</optgroup>{:else}{@render natives(group)}{/if}
			{/each}
		</select>
	{:else}
		<Select.Root
			type="single"
			items={rows.map((row) => ({ value: key(row.value), label: row.label }))}
			bind:value={() => key(value), (now) => now && pick(now.slice(1) as T)}
		>
			<Select.Trigger
				{id}
				class="inline-flex items-center justify-between gap-10 text-left {BOX} {more}"
				aria-label="{name}: {shown}"
			>
				<span class="min-w-0 flex-1 overflow-hidden text-ellipsis whitespace-nowrap">{shown}</span>
				<svg width="11" height="8" class="flex-none fill-none stroke-current stroke-2" aria-hidden="true"
					><path d="M1 1l4.5 5 4.5-5" /></svg
				>
			</Select.Trigger>
			<Select.Portal>
				<Select.Content
					class="z-30 max-h-(--bits-select-content-available-height) min-w-160 border-2 border-ink bg-sheet text-ink"
					sideOffset={3}
				>
					<Select.Viewport>
						{#each groups as group}
							{#if group}
								<Select.Group>
									<Select.GroupHeading class="px-12 pt-8 text-label font-[640] text-ink2">{group}</Select.GroupHeading>
									{#each rows.filter((row) => row.group === group) as row (row.value)}{@render option(row)}{/each}
								</Select.Group>
							{:else}{#each rows.filter((row) => !row.group) as row (row.value)}{@render option(row)}{/each}{/if}
						{/each}
					</Select.Viewport>
				</Select.Content>
			</Select.Portal>
		</Select.Root>
	{/if}
{/snippet}

{#snippet natives(group: string)}
	{#each rows.filter((row) => (row.group ?? '') === group) as row (row.value)}<option value={row.value}>{row.label}</option
		>{/each}
{/snippet}

{#if label}<span class="inline-grid min-w-0"><span class="label" aria-hidden="true">{name}</span>{@render box()}</span
	>{:else}{@render box()}{/if}
