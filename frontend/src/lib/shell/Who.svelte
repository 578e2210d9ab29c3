<script lang="ts">
	/** Who is working: a name from the crew list, kept in this browser. */
	import { Select } from 'bits-ui';
	import { session } from '../state/session.svelte';
	import { w } from '../words/words';
	const crew = $derived(session.ways?.crew ?? []);
	const items = $derived(crew.map((person) => ({ value: person.name, label: person.name })));
</script>

{#if crew.length}
	<Select.Root type="single" value={session.who} {items} onValueChange={(name) => session.setWho(name)}>
		<Select.Trigger class="act quiet who" aria-label={w.who.label}>{session.who || w.who.none} ▾</Select.Trigger>
		<Select.Portal>
			<Select.Content class="pick" sideOffset={4}>
				<Select.Viewport>
					{#each items as item}
						<Select.Item class="pick-row" value={item.value} label={item.label}>{item.label}</Select.Item>
					{/each}
				</Select.Viewport>
			</Select.Content>
		</Select.Portal>
	</Select.Root>
{:else}
	<a class="label" href="/ways">{w.who.crew}</a>
{/if}

<style>
	:global(.pick) {
		background: var(--color-sheet);
		color: var(--color-ink);
		border: 2px solid var(--color-ink);
		z-index: 30;
		min-width: 160px;
	}
	:global(.pick-row) {
		padding: 11px 14px;
		font-weight: 620;
		cursor: pointer;
	}
	:global(.pick-row[data-highlighted]) {
		background: var(--color-chalk);
		color: var(--color-on-chalk);
	}
	:global(.pick-row[data-selected]) {
		font-weight: 840;
	}
</style>
