<script lang="ts">
	/** The sheet to take along: risers to tick, tests in their order, loops leg by leg. */
	import PaperRow from '../../ui/PaperRow.svelte';
	import { underslab as words } from '../../words/underslab';
	let { job }: { job: string } = $props();
</script>

<h2 class="panel-head">{words.print}</h2>
<PaperRow href="/api/jobs/{job}/underslab.pdf" />
<p class="label mt-4">{words.printHow}</p>
