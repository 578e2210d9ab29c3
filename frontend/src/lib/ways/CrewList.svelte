<script lang="ts">
	/** The crew: names to pick from. */
	import { api } from '../api/api';
	import type { Ways } from '../api/schema';
	import { remember } from '../state/remember.svelte';
	import { Resource } from '../state/resource.svelte';
	import { today } from '../ui/days';
	import { practiceWords } from '../words/practice';
	import { waysWords } from '../words/ways';
	import type { WaysStore } from './ways.svelte';
	import Act from '../ui/Act.svelte';
	let { store, ways }: { store: WaysStore; ways: Ways } = $props();
	const yard = new Resource(() => api.practice(today()));
	$effect(() => void yard.load());
	/** what somebody practised, of those who want it kept */
	const practised = (who: string) =>
		(yard.value?.done ?? [])
			.filter((row) => row.who === who)
			.map((row) => {
				const kind = yard.value?.kinds.find((one) => one.key === row.kind)?.name ?? row.kind;
				return `${kind} ${practiceWords.of(row.right, row.tried)}`;
			})
			.join(', ');
	let name = $state('');
	let phone = $state('');
	remember(
		'ways/crew',
		() => ({ name, phone }),
		(old) => ({ name, phone } = old)
	);
	async function add() {
		if (!name.trim()) return;
		if (await store.keep((x) => x.crew.push({ name: name.trim(), phone: phone.trim() }), 'crew')) name = phone = '';
	}
</script>

<ul>
	{#each ways.crew as person, i}
		<li class="grid grid-cols-[1fr_1fr_auto] items-center border-t border-hair px-0 py-3">
			<span class="pen justify-self-start text-key">{person.name}</span><span>{person.phone}</span>
			<Act
				kind="quiet"
				aria-label="{waysWords.remove} {person.name}"
				onclick={() => void store.keep((x) => x.crew.splice(i, 1), 'crew')}>{waysWords.remove}</Act
			>
			{#if practised(person.name)}<span class="label col-span-3" data-practised={person.name}
					>{practiceWords.crew}: {practised(person.name)}</span
				>{/if}
		</li>
	{/each}
</ul>
<div class="flex flex-wrap items-end gap-8">
	<label class="label w-180"
		>{waysWords.name}<input class="well" bind:value={name} onkeydown={(e) => e.key === 'Enter' && void add()} /></label
	>
	<label class="label w-180"
		>{waysWords.phone}<input
			class="well"
			inputmode="tel"
			bind:value={phone}
			onkeydown={(e) => e.key === 'Enter' && void add()}
		/></label
	>
	<Act kind="quiet" onclick={() => void add()}>{waysWords.add}</Act>
</div>
{#if store.problem && store.problemAt === 'crew'}<p class="wrong" role="alert">{store.problem}</p>{/if}
