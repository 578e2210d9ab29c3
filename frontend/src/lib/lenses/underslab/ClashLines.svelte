<script lang="ts">
	/** Clashes, one line each: what, where, and the act as the button. */
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Flag from './Flag.svelte';
	import type { UnderslabData } from './underslab.svelte';
	let { data, most = 99 }: { data: UnderslabData; most?: number } = $props();
	const store = $derived(data.store);
	const shown = $derived(data.clashes.slice(0, most));
</script>

<ul>
	{#each shown as clash, i (clash.code + clash.where + clash.other + clash.s0_mm)}
		<li class="grid min-h-46 grid-cols-[36px_1fr_auto] items-center gap-8 border-b border-hair py-3" data-clash={clash.code}>
			<svg width="34" height="40" aria-hidden="true"><Flag n={i + 1} x={5} y={36} /></svg>
			<button
				type="button"
				class="min-h-44 text-left"
				onclick={() => data.hold(clash.code.startsWith('riser') ? 'riser' : 'run', clash.where)}
				><b class="font-[760]"><Frac text={clash.words} /></b> <Frac text={clash.remedy} /></button
			>
			{#if clash.edits?.length}<Act kind="quiet" onclick={() => void store.keep(clash.edits as never, `clash-${i}`)}
					>{clash.act}</Act
				>{/if}
		</li>
		{#if store.problemFor(`clash-${i}`)}<li class="wrong" role="alert">{store.problemFor(`clash-${i}`)?.detail}</li>{/if}
	{/each}
</ul>
{#if data.clashes.length > shown.length}<p class="mt-4">
		<Act kind="quiet" href="?tab=clashes">+ {data.clashes.length - shown.length}</Act>
	</p>{/if}
