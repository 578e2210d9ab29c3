<script lang="ts">
	/** What is wrong with what was typed, beside it, and the ways out to press where it can be read in two. */
	import type { Problem } from '../api/schema';
	import Act from './Act.svelte';
	import Frac from './Frac.svelte';
	let { problem, choose }: { problem: Problem | null; choose: (text: string, path: string) => void } = $props();
</script>

{#if problem}<p class="wrong" role="alert">
		<Frac text={problem.detail} />
		{#each problem.choices ?? [] as choice}<Act kind="quiet" onclick={() => choose(choice.text, problem.path)}>{choice.label}</Act
			>{/each}
	</p>{/if}
