<script lang="ts">
	/** A kind cut across, hung from the floor at the scale of its rack; press a size to type another. */
	import { tick } from 'svelte';
	import type { KindCut, SectionSize } from '../../api/schema';
	import { crowsFoot } from '../../drawing/marks';
	import { note, restored } from '../../state/remember.svelte';
	import type { JobStore } from '../../state/job.svelte';
	import Frac from '../../ui/Frac.svelte';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { edges as edgeWords } from '../../words/edges';
	import { editOf } from './section_edits';
	import { lengthKeys } from '../../ui/typed';
	interface Props {
		store: JobStore;
		kind: KindCut;
		width: number;
		/** px for a millimetre, and px from the floor down to the foot of the drawing */
		scale: number;
		tall: number;
		tried?: boolean;
	}
	let { store, kind, width, scale, tall, tried = false }: Props = $props();
	/** a pit's depth is written over the floor, where there is air */
	const pit = $derived(kind.kind === 'pit' || kind.kind === 'set-down');
	const TOP = $derived(pit ? 32 : 12);
	const left = $derived(Math.min(...kind.ring.map((p) => p[0])));
	const right = $derived(Math.max(...kind.ring.map((p) => p[0])));
	const shift = $derived(width / 2 + 14 - ((left + right) / 2) * scale);
	const x = (mm: number) => shift + mm * scale;
	const y = (mm: number) => TOP - mm * scale;
	const path = $derived(`M${kind.ring.map((p) => `${x(p[0]).toFixed(1)} ${y(p[1]).toFixed(1)}`).join('L')}Z`);
	const key = (size: SectionSize) => `${store.id}/kind/${kind.mark}-${size.key}`;
	let editing = $state.raw<{ size: SectionSize; x: number; y: number } | null>(null);
	let typed = $state('');
	const at = $derived(`kind-${kind.mark}`);
	const problem = $derived(editing ? store.problemFor(at) : null);
	const placed = $derived(
		kind.sizes.map((size) => {
			const [x0, y0, x1, y1] = [x(size.s0_mm), y(size.z0_mm), x(size.s1_mm), y(size.z1_mm)];
			if (size.key === 'degrees') return { size, line: '', witness: '', x: (x0 + x1) / 2 + 26, y: (y0 + y1) / 2 + 12 };
			if (size.s0_mm === size.s1_mm) {
				if (pit) {
					const px = x0 - 18;
					const feet = crowsFoot([px, y0], [-1, 0], 5, 3) + crowsFoot([px, y1], [-1, 0], 5, 3);
					return { size, line: `M${px} ${y0}V${y1}${feet}`, witness: `M${x0 - 2} ${y0}H${px}`, x: px, y: y0 - 8 };
				}
				const sx = size.s0_mm > 0 ? x0 + 26 : Math.max(26, Math.min(x(left) - 22, x0 - 22));
				const out: [number, number] = [size.s0_mm > 0 ? 1 : -1, 0];
				const line = `M${sx} ${y0}V${y1}${crowsFoot([sx, y0], out, 6, 4)}${crowsFoot([sx, y1], out, 6, 4)}`;
				const reach = size.s0_mm > 0 ? x0 + 4 : Math.min(x0, x(foot)) - 4;
				return { size, line, witness: `M${reach} ${y0}H${sx}M${reach} ${y1}H${sx}`, x: sx, y: (y0 + y1) / 2 + 6 };
			}
			const sy = Math.max(y0, y1) + 20;
			const line = `M${x0} ${sy}H${x1}${crowsFoot([x0, sy], [0, 1], 6, 4)}${crowsFoot([x1, sy], [0, 1], 6, 4)}`;
			const tight = x1 - x0 < size.text.length * 9 + 10;
			return {
				size,
				line,
				witness: `M${x0} ${y0 + 4}V${sy}M${x1} ${y1 + 4}V${sy}`,
				x: (x0 + x1) / 2,
				y: tight ? sy + 24 : sy + 6
			};
		})
	);
	/** where the full depth begins, for its witness line */
	const foot = $derived(Math.min(...kind.ring.filter((p) => p[1] === Math.min(...kind.ring.map((q) => q[1]))).map((p) => p[0])));
	function start(size: SectionSize, atX: number, atY: number) {
		if (!size.typed) return;
		editing = { size, x: Math.min(Math.max(atX, 50), width - 50), y: atY };
		typed = restored<string>(key(size)) ?? size.text.replace('°', '');
	}
	function close() {
		if (editing) note(key(editing.size), '');
		editing = null;
	}
	async function keep() {
		const now = editing;
		const edit = now && typed.trim() !== now.size.text.replace('°', '') ? editOf(now.size, typed, store.document) : null;
		if (!now || !edit) return close();
		note(key(now.size), typed);
		if (await store.keep([edit], at)) close();
	}
	const focus = (node: HTMLInputElement) => {
		void tick().then(() => {
			node.focus();
			node.select();
		});
	};
</script>

<div class="relative">
	<svg {width} height={tall} role="group" aria-label={edgeWords.cutOf(kind.mark)} class="block">
		<path d={path} class="fill-slab" />
		<path d={path} fill="url(#conc)" class={['stroke-[2.4px]', tried ? 'stroke-chalk' : 'stroke-ink']} />
		{#each kind.breaks as [s, top, bottom]}
			{@const [bx, a, b] = [x(s), y(top), y(bottom)]}
			<path d="M{bx} {a - 5}V{(a + b) / 2 - 6}l4 3l-8 5l4 3V{b + 5}" class="fill-none stroke-bench stroke-5" />
			<path d="M{bx} {a - 5}V{(a + b) / 2 - 6}l4 3l-8 5l4 3V{b + 5}" class="fill-none stroke-ink stroke-[1.2px]" />
		{/each}
		{#if kind.middle}<path
				d="M{x(0)} {TOP - 8}V{y(Math.min(...kind.ring.map((p) => p[1]))) + 6}"
				class="stroke-ink2 stroke-1 [stroke-dasharray:12_4_3_4]"
			/>{/if}
		{#each placed as row}
			<path d={row.witness} class="fill-none stroke-line stroke-[.9px]" />
			<path d={row.line} class="fill-none stroke-ink stroke-[1.2px]" />
		{/each}
		{#each placed as row}
			<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
			<g
				role={row.size.typed ? 'button' : undefined}
				tabindex={row.size.typed ? 0 : undefined}
				class={[row.size.typed && 'cursor-text']}
				data-kind-size="{kind.mark}-{row.size.key}"
				aria-label="{kind.mark} {row.size.key.replace('_', ' ')}, {row.size.text}"
				onclick={() => start(row.size, row.x, row.y)}
				onkeydown={(event) =>
					(event.key === 'Enter' || event.key === ' ') && (event.preventDefault(), start(row.size, row.x, row.y))}
			>
				<rect x={row.x - 24} y={row.y - 28} width="48" height="44" fill="transparent" />
				{#if row.line}<rect
						x={row.x - row.size.text.length * 4.7 - 2}
						y={row.y - 17}
						width={row.size.text.length * 9.4 + 4}
						height="22"
						class="fill-bench"
					/>{/if}
				<text
					x={row.x}
					y={row.y}
					text-anchor="middle"
					class={[row.size.typed ? 'fill-ink font-pencil text-size font-[520]' : 'fill-ink2 text-note font-mid']}
					><SvgFrac text={row.size.text} /></text
				>
			</g>
		{/each}
	</svg>
	{#if editing}
		<div class="absolute z-2 bg-bench" style:left="{editing.x - 50}px" style:top="{editing.y - 26}px">
			<input
				{...lengthKeys(store.units)}
				class="well w-100 font-pencil text-act"
				aria-label="{kind.mark} {editing.size.key.replace('_', ' ')}"
				aria-invalid={problem !== null}
				use:focus
				bind:value={typed}
				onblur={() => void keep()}
				onkeydown={(event) => {
					if (event.key === 'Enter') void keep();
					if (event.key === 'Escape') close();
				}}
			/>
			{#if problem}<p class="wrong bg-bench" role="alert"><Frac text={problem.detail} /></p>{/if}
		</div>
	{/if}
</div>
