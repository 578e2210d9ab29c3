<script lang="ts">
	/** A cut through the solid, to one true scale both ways, its sizes on it; press a size to type it there. */
	import { tick } from 'svelte';
	import { note, restored } from '../../state/remember.svelte';
	import type { Section, SectionSize } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import { edges as edgeWords } from '../../words/edges';
	import SectionFoam from './SectionFoam.svelte';
	import SectionGround from './SectionGround.svelte';
	import SectionSizes from './SectionSizes.svelte';
	import { drawnBlocks, lyingWithin, roundIn, SectionView } from './section_view';
	import { editOf } from './section_edits';
	import { lengthKeys } from '../../ui/typed';
	let { store, section, tall = 330 }: { store: JobStore; section: Section; tall?: number } = $props();
	let width = $state(640);
	let editing = $state.raw<{ size: SectionSize; x: number; y: number } | null>(null);
	let typed = $state('');
	const view = $derived(SectionView.fit(section, width, tall));
	const high = $derived(Math.min(tall, Math.max(170, view.low + 48)));
	const kinds = $derived([
		...new Set([
			'concrete',
			...section.layers.map((layer) => layer.kind),
			...(section.ends.some((end) => end.foam_mm) ? ['foam'] : []),
			'soil',
			...(section.ends.some((end) => end.boards.length) ? ['board'] : [])
		])
	]);
	const keyOf = (size: SectionSize) => `${store.id}/cut-size/${size.kind}-${size.key}-${size.mark}`;
	function start(size: SectionSize, x: number, y: number) {
		if (!size.typed) return;
		editing = { size, x: Math.min(Math.max(x, 60), width - 66), y };
		typed = restored<string>(keyOf(size)) ?? size.text.replace('°', '');
	}
	function close(now: typeof editing) {
		if (now) note(keyOf(now.size), '');
		if (editing === now) editing = null;
	}
	async function keep() {
		const now = editing;
		const edit = now && editOf(now.size, typed, store.document);
		if (!edit) return close(now);
		if (await store.keep([edit], 'cut-size')) close(now);
	}
	/** Going elsewhere with a size typed keeps it; what cannot be kept waits here for the next time. */
	function leave() {
		if (!editing || typed.trim() === editing.size.text.replace('°', '')) return;
		note(keyOf(editing.size), typed);
		void keep();
	}
	const problem = $derived(editing ? store.problemFor('cut-size') : null);
	const focus = (node: HTMLInputElement) => {
		void tick().then(() => {
			node.focus();
			node.select();
		});
	};
</script>

<div class="cut relative min-w-0" bind:clientWidth={width}>
	<svg {width} height={high} role="group" aria-label={section.words}>
		<defs>
			<pattern id="c-conc" width="18" height="16" patternUnits="userSpaceOnUse"
				><g fill="var(--color-ink2)"
					><circle cx="3" cy="3" r="1" /><circle cx="12" cy="7" r=".9" /><circle cx="6" cy="13" r="1" /></g
				><path d="M13 13l3-1-1 2.6z" fill="none" stroke="var(--color-ink2)" stroke-width=".8" /></pattern
			>
			<clipPath id="c-frame"><rect {width} height={high} /></clipPath>
		</defs>
		<g clip-path="url(#c-frame)">
			<SectionGround {section} {view} {width} height={high} />
			{#each section.blocks.filter((block) => block.kind === 'pile') as block}
				<rect
					x={view.x(block.s0_mm)}
					y={view.y(block.top_mm)}
					width={(block.s1_mm - block.s0_mm) * view.scale}
					height={(block.top_mm - block.bottom_mm) * view.scale}
					fill="var(--color-hair)"
					stroke="var(--color-ink)"
					stroke-width="1.6"
				/>
			{/each}
			{#each section.rings as ring}
				<path d={view.path(ring)} fill="var(--color-slab)" />
				<path d={view.path(ring)} fill="url(#c-conc)" stroke="var(--color-ink)" stroke-width="3" stroke-linejoin="miter" />
			{/each}
			<SectionFoam {section} {view} />
			{#each section.ends as end}
				{#if end.kind === 'dowelled' && end.against}
					{@const y = (view.y(end.top_mm) + view.y(end.bottom_mm)) / 2}
					<path d="M{view.x(end.s_mm) + end.outward * 46} {y}h{-end.outward * 96}" stroke="var(--color-rust)" stroke-width="5" />
				{/if}
			{/each}
			{#each drawnBlocks(section, (s) => view.x(s)) as block}
				{#if block.kind !== 'pile'}
					<rect
						x={view.x(block.s0_mm)}
						y={view.y(block.top_mm)}
						width={(block.s1_mm - block.s0_mm) * view.scale}
						height={(block.top_mm - block.bottom_mm) * view.scale}
						rx={roundIn(block.kind) ? ((block.s1_mm - block.s0_mm) * view.scale) / 2 : 0}
						fill={block.kind === 'pipe'
							? 'var(--color-well)'
							: block.kind === 'plate'
								? 'var(--color-board)'
								: block.kind === 'bar' || block.kind === 'bolt'
									? 'var(--color-rust)'
									: 'var(--color-water)'}
						stroke="var(--color-ink)"
						stroke-width={lyingWithin(block.kind) ? 1 : 2.4}
					/>
				{:else}
					<rect
						x={view.x(block.s0_mm)}
						y={view.y(block.top_mm)}
						width={(block.s1_mm - block.s0_mm) * view.scale}
						height={(block.top_mm - block.bottom_mm) * view.scale}
						fill="none"
						stroke="var(--color-ink2)"
						stroke-width="1.3"
						stroke-dasharray="6 4"
					/>
				{/if}
				<text
					x={view.x((block.s0_mm + block.s1_mm) / 2) + (block.kind === 'bolt' ? 10 : 0)}
					y={['footing', 'wall', 'bolt'].includes(block.kind)
						? view.y((block.top_mm + block.bottom_mm) / 2) + 5
						: block.kind === 'pipe' || lyingWithin(block.kind)
							? view.y(block.bottom_mm) + 17
							: view.y(block.top_mm) - 7}
					text-anchor={block.kind === 'bolt' ? 'start' : 'middle'}
					class="name fill-ink2 stroke-bench stroke-4 text-note font-mid [paint-order:stroke]">{block.name}</text
				>
			{/each}
			{#each view.breaks as b}
				<path
					d="M{b.x} {b.top - 12}V{(b.top + b.bottom) / 2 - 11}l6 5l-12 7l6 5V{b.bottom + 12}"
					fill="none"
					stroke="var(--color-bench)"
					stroke-width="6"
				/>
				<path
					d="M{b.x} {b.top - 12}V{(b.top + b.bottom) / 2 - 11}l6 5l-12 7l6 5V{b.bottom + 12}"
					fill="none"
					stroke="var(--color-ink)"
					stroke-width="1.4"
				/>
			{/each}
			{#each section.slopes as slope}
				{#if view.x(slope.s1_mm) - view.x(slope.s0_mm) > (slope.text.length + 10) * 7}
					{@const down = slope.z1_mm < slope.z0_mm ? 1 : -1}
					<text
						x={view.x((slope.s0_mm + slope.s1_mm) / 2)}
						y={view.y(Math.max(slope.z0_mm, slope.z1_mm)) - 8}
						text-anchor="middle"
						class="name fill-ink2 stroke-bench stroke-4 text-note font-mid [paint-order:stroke]"
						>{down < 0 ? '← ' : ''}{edgeWords.fallsWord} {slope.text}{down > 0 ? ' →' : ''}</text
					>
				{/if}
			{/each}
			<SectionSizes {section} {view} height={high} {start} />
			{#each view.names as name}
				<text
					x={name.x}
					y={name.y}
					text-anchor="middle"
					class="name fill-ink2 stroke-bench stroke-4 text-note font-mid [paint-order:stroke]">{name.text}</text
				>
			{/each}
		</g>
	</svg>
	{#if editing}
		{#key editing}<div
				class="absolute z-2 bg-bench"
				style:left="{editing.x - 56}px"
				style:top="{Math.min(editing.y - 20, high - 44)}px"
			>
				<input
					{...lengthKeys(store.units)}
					class="well w-112 font-pencil text-act"
					aria-label="{editing.size.mark} {editing.size.key.replace('_', ' ')}"
					aria-invalid={problem !== null}
					use:focus
					bind:value={typed}
					onblur={leave}
					onkeydown={(event) => {
						if (event.key === 'Enter') void keep();
						if (event.key === 'Escape') close(editing);
					}}
				/>
				{#if problem}<p class="wrong" role="alert">{problem.detail}</p>{/if}
			</div>{/key}
	{/if}
</div>
<p class="label flex flex-wrap gap-x-14 gap-y-2">
	{#if view.broken}<span class="flex items-center gap-5">{edgeWords.broken}</span>{/if}
	{#each kinds as kind}<span class="flex items-center gap-5"
			><i class={['h-12 w-22 border-[1.2px] border-ink bg-slab', `hatch ${kind}`]}></i>{edgeWords.legend[kind] ?? kind}</span
		>{/each}
</p>

<style>
	.hatch.concrete {
		background: radial-gradient(circle at 4px 4px, var(--color-ink2) 1px, transparent 1.4px) 0 0 / 9px 7px var(--color-slab);
	}
	.hatch.foam {
		background: repeating-linear-gradient(60deg, var(--color-well) 0 4px, var(--color-line) 4px 5px);
	}
	.hatch.stone,
	.hatch.graded {
		background: radial-gradient(circle, transparent 2.4px, var(--color-ink2) 2.6px 3.4px, transparent 3.6px) 0 0 / 9px 9px
			var(--color-well);
	}
	.hatch.fill {
		background: repeating-linear-gradient(-40deg, var(--color-well) 0 5px, var(--color-soil) 5px 6px);
	}
	.hatch.soil {
		background: repeating-linear-gradient(-45deg, var(--color-bench) 0 5px, var(--color-soil) 5px 6.4px);
		border-bottom: 0;
		border-left: 0;
		border-right: 0;
	}
	.hatch.barrier {
		border: 0;
		border-top: 3px dashed var(--color-ink);
		height: 0;
		background: none;
	}
	.hatch.board {
		background: var(--color-board);
	}
</style>
