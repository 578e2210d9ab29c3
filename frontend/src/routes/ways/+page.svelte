<script lang="ts">
	import WaysPage from '#lib/ways/WaysPage.svelte';
</script>

<svelte:head><title>Ways · Humble Trowel</title></svelte:head>
<WaysPage />
