<script lang="ts">
	import Yard from '#lib/yard/Yard.svelte';
</script>

<svelte:head><title>Humble Trowel</title></svelte:head>
<Yard />
