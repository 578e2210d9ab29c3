<script lang="ts">
	/** Who is working: a name from the crew list, kept in this browser. */
	import { session } from '../state/session.svelte';
	import Choose from '../ui/Choose.svelte';
	import { self } from '../site/me.svelte';
	import { w } from '../words/words';
	const crew = $derived(session.ways?.crew ?? []);
	const rows = $derived(crew.map((person) => ({ value: person.name, label: person.name })));
</script>

{#if self.me?.device}
	<a class="flex min-h-44 items-center font-mid underline underline-offset-2" href="/in" dir="auto">{self.me.name}</a>
{:else if crew.length}
	<Choose
		class="font-mid"
		name={w.who.label}
		{rows}
		value={session.who}
		none={w.who.none}
		pick={(name) => session.setWho(name)}
	/>
{:else}
	<a class="label" href="/ways">{w.who.crew}</a>
{/if}
