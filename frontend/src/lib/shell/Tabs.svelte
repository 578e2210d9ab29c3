<script lang="ts">
	/** The tabs of a bench, as links. */
	import { goto } from '$app/navigation';
	/** tight: one choice instead of a row of links on a phone, so that the instrument stands higher */
	let {
		tabs,
		here,
		name,
		tight = false
	}: { tabs: { key: string; name: string }[]; here: string; name: string; tight?: boolean } = $props();
</script>

{#if tight}
	<select
		class={['plain-select hidden max-phone:block max-phone:min-h-46 max-phone:w-full max-phone:text-key', 'max-phone:font-[740]']}
		aria-label={name}
		value={here}
		onchange={(e) => void goto(`?tab=${e.currentTarget.value}`)}
	>
		{#each tabs as one}<option value={one.key}>{one.name}</option>{/each}
	</select>
{/if}
<nav
	class={['mx-0 mt-6 mb-4 flex flex-wrap gap-x-2 gap-y-0 border-b-2 border-ink', tight && 'max-phone:hidden']}
	aria-label={name}
>
	{#each tabs as one}<a
			class={[
				'min-h-38 px-9 py-7 font-[660] max-phone:min-h-46 max-phone:px-10 max-phone:py-11',
				here === one.key && 'bg-ink',
				here === one.key ? 'text-sheet' : 'text-ink'
			]}
			href="?tab={one.key}"
			aria-current={here === one.key ? 'page' : undefined}
			data-sveltekit-noscroll>{one.name}</a
		>{/each}
</nav>
