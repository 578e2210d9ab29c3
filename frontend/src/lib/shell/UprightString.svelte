<script lang="ts">
	/** The whole string, upright, for a phone: a knot and its two words a line. */
	import { page } from '$app/state';
	import type { JobDoubts } from '../api/schema';
	import Frac from '../ui/Frac.svelte';
	import { finder } from '../finder/finder.svelte';
	import Knot from './Knot.svelte';
	import { knots } from './knots';
	let { job, doubts }: { job: string; doubts: JobDoubts | null } = $props();
	const rows = $derived(knots(doubts?.stages ?? null));
</script>

<ol class="hidden max-phone:block">
	{#each rows as row, i (row.id)}
		<li>
			<a
				href="/job/{job}/{row.id}"
				class="grid min-h-50 grid-cols-[44px_1fr] items-center aria-[current]:font-black"
				aria-current={page.params['lens'] === row.id ? 'step' : undefined}
				onclick={() => finder.close(false)}
			>
				<svg width="34" height="50" viewBox="-17 38 34 50" aria-hidden="true"
					><path d="M0 {i ? 38 : 63}V{i === rows.length - 1 ? 63 : 88}" stroke="var(--color-ink2)" stroke-width="2" /><Knot
						state={row.state}
						ground="var(--color-bench)"
					/></svg
				>
				<span><b class="text-key font-heavy">{row.name}</b> <span class="text-ink2"><Frac text={row.says} /></span></span>
			</a>
		</li>
	{/each}
</ol>
