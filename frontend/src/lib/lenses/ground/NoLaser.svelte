<script lang="ts">
	/** No rod reading without a laser: said first, with the way to it. */
	import Act from '../../ui/Act.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { ground as groundWords } from '../../words/ground';
</script>

<Verdict text={groundWords.noLaser} under={groundWords.laserFirst} />
<div class="my-8"><Act kind="main" href="?tab=laser">{groundWords.toLaser}</Act></div>
