<script lang="ts">
	/** No rod reading without a laser: said first, with the way to it. */
	import Act from '../../ui/Act.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { w } from '../../words/words';
</script>

<Verdict text={w.ground.noLaser} under={w.ground.laserFirst} />
<div class="my-8"><Act kind="main" href="?tab=laser">{w.ground.toLaser}</Act></div>
