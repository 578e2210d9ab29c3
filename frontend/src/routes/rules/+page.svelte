<script lang="ts">
	import RuleBook from '#lib/rules/RuleBook.svelte';
</script>

<svelte:head><title>Rule book · Humble Trowel</title></svelte:head>
<RuleBook />
