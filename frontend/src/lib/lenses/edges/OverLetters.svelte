<script lang="ts">
	/** The ledger's letters on the plan. */
	import type { LedgerPart } from '../../api/schema';
	import type { Viewport } from '../../drawing/viewport';
	let { view, parts }: { view: Viewport; parts: LedgerPart[] } = $props();
</script>

{#each parts as part}
	{@const [x, y] = view.px(part.at)}
	<circle cx={x} cy={y} r="11" fill="var(--color-well)" stroke="var(--color-ink)" stroke-width="1.6" pointer-events="none" />
	<text class="fill-ink text-note font-heavy" {x} y={y + 5} text-anchor="middle" pointer-events="none">{part.letter}</text>
{/each}
