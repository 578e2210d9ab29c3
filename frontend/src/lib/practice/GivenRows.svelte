<script lang="ts">
	/** One for tomorrow morning, and those that are set. */
	import Act from '../ui/Act.svelte';
	import { session } from '../state/session.svelte';
	import { self } from '../site/me.svelte';
	import { dayText } from '../ui/days';
	import { practiceWords as words } from '../words/practice';
	import type { Practice } from './practice.svelte';
	let { practice }: { practice: Practice } = $props();
	const given = $derived(practice.yard.value?.given ?? []);
	const titleOf = (kind: string) => practice.yard.value?.kinds.find((one) => one.key === kind)?.title ?? kind;
</script>

{#if !self.looks}
	<section class="mt-16 border-t-2 border-ink pt-8" aria-label={words.given}>
		<h3>{words.given}</h3>
		{#if session.who}<Act kind="quiet" class="mt-4 min-h-44" onclick={() => void practice.give(session.who)}>{words.give}</Act>
		{:else}<p class="label">{words.noName}</p>{/if}
		{#if practice.gave}<p class="mt-4 font-mid" role="status">{words.gave(dayText(practice.gave))}</p>{/if}
		<ul>
			{#each given as row (row.id)}
				<li class="grid grid-cols-[1fr_auto_auto] items-center gap-8 border-t border-hair py-3" data-given={row.id}>
					<span><b>{titleOf(row.kind)}</b> <span class="label">{words.givenFor(dayText(row.day), row.who)}</span></span>
					<Act kind="quiet" class="min-h-44" onclick={() => void practice.show(row.kind, row.level, row.seed)}>{words.start}</Act>
					<Act kind="quiet" class="min-h-44" onclick={() => void practice.takeBack(row.id)}>{words.takeBack}</Act>
				</li>
			{/each}
		</ul>
	</section>
{/if}
