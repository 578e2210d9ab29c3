<script lang="ts">
	import SitePage from '#lib/site/SitePage.svelte';
</script>

<svelte:head><title>On site · Humble Trowel</title></svelte:head>
<SitePage />
