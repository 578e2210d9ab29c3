<script lang="ts">
	import PracticePage from '#lib/practice/PracticePage.svelte';
</script>

<svelte:head><title>Practice yard · Humble Trowel</title></svelte:head>
<PracticePage />
