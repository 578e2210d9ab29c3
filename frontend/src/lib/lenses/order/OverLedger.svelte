<script lang="ts">
	/** Letters of the ledger's rows over the plan, slabs with their volume. */
	import type { LedgerPart } from '../../api/schema';
	import type { Viewport } from '../../drawing/viewport';
	let { view, parts }: { view: Viewport; parts: readonly LedgerPart[] } = $props();
</script>

{#each parts as part (part.letter)}
	{@const [x, y] = view.px(part.at)}
	<g transform="translate({x} {y})" data-on-plan={part.letter}>
		<circle class="fill-well stroke-ink stroke-[1.8px]" r="13" /><text
			class="fill-ink text-body font-heavy"
			text-anchor="middle"
			y="5">{part.letter}</text
		>
		{#if part.kind === 'slab'}<text
				text-anchor="middle"
				y="31"
				class="fill-ink stroke-slab stroke-5 text-note font-mid [paint-order:stroke]">{part.text}</text
			>{/if}
	</g>
{/each}
