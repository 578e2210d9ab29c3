<script lang="ts">
	/** One core to scale, each layer tied by a line to the row that edits it. */
	import { HATCHES } from '../../drawing/hatches';
	import type { Kind } from './stack';
	let { rows }: { rows: { kind: Kind; mm: number }[] } = $props();
	let width = $state(150);
	let tall = $state(240);
	const step = $derived(tall / Math.max(1, rows.length));
	const all = $derived(rows.reduce((sum, row) => sum + row.mm, 0) || 1);
	const scale = $derived((tall - 34) / all);
	const tops = $derived(rows.map((_, i) => 8 + rows.slice(0, i).reduce((sum, row) => sum + row.mm * scale, 0)));
	const wide = $derived(Math.min(76, width - 26));
	const middle = (i: number) => (tops[i] ?? 0) + ((rows[i]?.mm ?? 0) * scale) / 2 + (rows[i]?.kind === 'native' ? 12 : 0);
</script>

<div class="relative min-h-full" bind:clientWidth={width} bind:clientHeight={tall}>
	<svg class="absolute inset-0" {width} height={tall} aria-hidden="true">
		{#each rows as row, i}
			{@const y = tops[i] ?? 0}
			{#if row.kind === 'native'}
				<rect x="4" {y} width={wide} height="24" fill="url(#soil)" /><path d="M4 {y}h{wide}" class="stroke-soil stroke-3" />
			{:else if row.kind === 'barrier'}
				<path d="M0 {y}h{wide + 8}" class="stroke-ink stroke-[4.5px] [stroke-dasharray:9_4]" />
			{:else}
				<rect x="4" {y} width={wide} height={Math.max(2, row.mm * scale)} class="fill-well" />
				<rect
					x="4"
					{y}
					width={wide}
					height={Math.max(2, row.mm * scale)}
					fill="url(#{HATCHES[row.kind] ?? 'conc'})"
					class="cut stroke-ink stroke-[2.4px]"
				/>
			{/if}
			<path d="M{wide + 8} {middle(i)}L{width - 10} {step * (i + 0.5)}H{width}" class="fill-none stroke-ink2 stroke-[1.1px]" />
		{/each}
	</svg>
</div>
