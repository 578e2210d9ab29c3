<script lang="ts">
	/** Says that the bench goes on below: stands at its foot until it is seen to the end. */
	import { w } from '../words/words';
	let { of }: { of: HTMLElement | undefined } = $props();
	let more = $state(false);
	function look() {
		more = !!of && of.scrollHeight - of.clientHeight - of.scrollTop > 40;
	}
	$effect(() => {
		const own = of;
		if (!own) return;
		const watch = new ResizeObserver(look);
		watch.observe(own);
		for (const child of own.children) watch.observe(child);
		own.addEventListener('scroll', look, { passive: true });
		look();
		return () => {
			watch.disconnect();
			own.removeEventListener('scroll', look);
		};
	});
</script>

{#if more}<div class="pointer-events-none sticky bottom-0 z-2 -mt-26 flex h-26 flex-none justify-end pr-20" aria-hidden="true">
		<span class="border-x-2 border-t-2 border-ink bg-bench px-12 text-note leading-[24px] font-label">{w.moreBelow} ▾</span>
	</div>{/if}
