<script lang="ts">
	/** One core to scale, each layer tied by a line to the row that edits it. */
	import type { Kind } from './stack';
	let { rows }: { rows: { kind: Kind; mm: number }[] } = $props();
	const FILLS: Partial<Record<Kind, string>> = {
		slab: 'conc',
		foam: 'zig',
		stone: 'pebbles',
		graded: 'pebbles',
		blinding: 'sand',
		fill: 'filled',
		screed: 'sand',
		finish: 'sand'
	};
	let width = $state(150);
	let tall = $state(240);
	const step = $derived(tall / Math.max(1, rows.length));
	const all = $derived(rows.reduce((sum, row) => sum + row.mm, 0) || 1);
	const scale = $derived((tall - 34) / all);
	const tops = $derived(rows.map((_, i) => 8 + rows.slice(0, i).reduce((sum, row) => sum + row.mm * scale, 0)));
	const wide = $derived(Math.min(76, width - 26));
	const middle = (i: number) => (tops[i] ?? 0) + ((rows[i]?.mm ?? 0) * scale) / 2 + (rows[i]?.kind === 'native' ? 12 : 0);
</script>

<div class="sample" bind:clientWidth={width} bind:clientHeight={tall}>
	<svg {width} height={tall} aria-hidden="true">
		{#each rows as row, i}
			{@const y = tops[i] ?? 0}
			{#if row.kind === 'native'}
				<rect x="4" {y} width={wide} height="24" fill="url(#soil)" /><path d="M4 {y}h{wide}" class="soil" />
			{:else if row.kind === 'barrier'}
				<path d="M0 {y}h{wide + 8}" class="barrier" />
			{:else}
				<rect x="4" {y} width={wide} height={Math.max(2, row.mm * scale)} class="cell" />
				<rect x="4" {y} width={wide} height={Math.max(2, row.mm * scale)} fill="url(#{FILLS[row.kind] ?? 'conc'})" class="cut" />
			{/if}
			<path d="M{wide + 8} {middle(i)}L{width - 10} {step * (i + 0.5)}H{width}" class="tie" />
		{/each}
	</svg>
</div>

<style>
	.sample {
		position: relative;
		min-height: 100%;
	}
	svg {
		position: absolute;
		inset: 0;
	}
	.cell {
		fill: var(--color-well);
	}
	.cut {
		stroke: var(--color-ink);
		stroke-width: 2.4;
	}
	.soil {
		stroke: var(--color-soil);
		stroke-width: 3;
	}
	.barrier {
		stroke: var(--color-ink);
		stroke-width: 4.5;
		stroke-dasharray: 9 4;
	}
	.tie {
		fill: none;
		stroke: var(--color-ink2);
		stroke-width: 1.1;
	}
</style>
