<script lang="ts">
	/** What it came to, how one comes to what loses nothing, and the one rule that would have helped. */
	import type { Exercise } from '../api/schema';
	import Frac from '../ui/Frac.svelte';
	import { practiceWords as words } from '../words/practice';
	import { rules as ruleWords } from '../words/rules';
	import type { Marked } from './mark';
	let { exercise, marked }: { exercise: Exercise; marked: Marked } = $props();
	const standing = (key: string) => ruleWords.standing[key as 'standard'] ?? key;
</script>

<section class="mt-8" aria-label={words.how}>
	{#each marked.words as line, i (i)}<p class="text-read font-mid"><Frac text={line} /></p>{/each}
	<div class="mt-8 grid gap-4 bg-slip px-16 py-12 text-board-ink">
		<h3>{words.how}</h3>
		{#each exercise.why as line, i (i)}<p class="text-read"><Frac text={line} /></p>{/each}
		<p class="mt-4 border-t border-board-ink/40 pt-6 text-read">
			<b>{words.ruleHead}:</b>
			<Frac text={exercise.rule.words} />
			<span class="text-note">{standing(exercise.rule.standing)}{exercise.rule.source ? `, ${exercise.rule.source}` : ''}.</span>
			{#if exercise.rule.name}<a
					class="inline-flex min-h-24 items-center underline underline-offset-2"
					href="/rules?rule={exercise.rule.name}">{words.inBook}</a
				>{/if}
		</p>
	</div>
</section>
