<script lang="ts">
	import JoinPage from '#lib/site/JoinPage.svelte';
</script>

<svelte:head><title>Join · Humble Trowel</title></svelte:head>
<JoinPage />
