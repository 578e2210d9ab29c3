<script lang="ts">
	/** The sheet to take along: risers to tick, tests in their order, loops leg by leg. */
	import Act from '../../ui/Act.svelte';
	import { underslab as words } from '../../words/underslab';
	import { w } from '../../words/words';
	let { job }: { job: string } = $props();
	const PAPERS = ['letter', 'a4'] as const;
</script>

<h2 class="panel-head">{words.print}</h2>
<p class="flex flex-wrap gap-4">
	{#each PAPERS as paper (paper)}<Act kind="quiet" href="/api/jobs/{job}/underslab.pdf?paper={paper}" download
			>{w.lines.paper[paper]}</Act
		>{/each}
</p>
<p class="label mt-4">{words.printHow}</p>
