<script lang="ts">
	/** The answer of a tab in the largest type, and a line under it. is: good where it holds, bad where something is out. */
	import Frac from './Frac.svelte';
	let { text, under = '', is = 'plain' }: { text: string; under?: string; is?: 'plain' | 'good' | 'bad' } = $props();
</script>

<!-- in the hand it stays in sight above the system's keyboard while something is typed under it -->
<div
	class={[
		'border-b-2 border-ink bg-bench pt-2 pb-6',
		'max-phone:z-4 max-phone:in-[.bench:has(input:focus)]:sticky max-phone:in-[.bench:has(input:focus)]:top-0'
	]}
	data-verdict-is={is}
>
	<p
		class={[
			'text-verdict leading-[1.06] font-black font-stretch-[90%] max-phone:text-tally',
			is === 'good' ? 'text-chalk' : is === 'bad' ? 'text-flag' : 'text-ink'
		]}
	>
		<Frac {text} />
	</p>
	{#if under}<p class="mt-2 text-read font-label"><Frac text={under} /></p>{/if}
</div>
