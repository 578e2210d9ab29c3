<script lang="ts">
	/** The rack of kinds, all to one scale, hung from the floor: press a size to change it, a mark to call it or carry it. */
	import type { KindCut } from '../../api/schema';
	import { follow } from '../../drawing/follow';
	import type { JobStore } from '../../state/job.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { edges as edgeWords } from '../../words/edges';
	import type { CallHere } from './call_here.svelte';
	import type { EdgesData } from './edges.svelte';
	import KindDrawing from './KindDrawing.svelte';
	import { takeOut, takeOutType } from './shape_edits';
	let {
		store,
		data,
		call,
		kinds,
		showCut
	}: { store: JobStore; data: EdgesData; call: CallHere; kinds: KindCut[]; showCut: () => void } = $props();
	let width = $state(600);
	let own = $state('');
	const columns = $derived(Math.max(1, Math.min(kinds.length, Math.floor(width / 250))));
	const cell = $derived(Math.floor(width / columns) - 18);
	const wide = $derived(
		Math.max(...kinds.map((kind) => Math.max(...kind.ring.map((p) => p[0])) - Math.min(...kind.ring.map((p) => p[0]))))
	);
	const deepOf = (kind: KindCut) => -Math.min(...kind.ring.map((p) => p[1]));
	const scale = $derived(Math.min((cell - 66) / wide, 100 / Math.max(...kinds.map(deepOf))));
	const had = $derived(
		new Map((store.kept?.figure.deeper?.kinds ?? []).map((kind) => [kind.mark, `${kind.count} ${kind.says}`]))
	);
	const tried = (kind: KindCut) => !!store.draft && had.get(kind.mark) !== `${kind.count} ${kind.says}`;
	const marks = $derived(kinds.map((kind) => kind.mark.toUpperCase()));
	function press(kind: KindCut) {
		own = own === kind.mark ? '' : kind.mark;
		if (kind.kind !== 'edge' && own) call.arm(kind.mark, marks);
	}
	/** Carry a pad's mark on to the sheet: it is tried where it is let go. */
	function carry(kind: KindCut, event: PointerEvent) {
		if (kind.kind !== 'pad') return;
		const from = [event.clientX, event.clientY];
		let last: [number, number] | null = null;
		const target = event.currentTarget as Element;
		target.setPointerCapture(event.pointerId);
		follow(
			target,
			(now) => {
				if (Math.hypot(now.clientX - (from[0] ?? 0), now.clientY - (from[1] ?? 0)) > 8) last = [now.clientX, now.clientY];
			},
			() => last && call.dropAt(kind.mark, last)
		);
	}
	const listOf = (kind: KindCut) => (kind.kind === 'beam' ? 'beams' : 'pads') as 'beams' | 'pads';
	const rowsOf = (kind: KindCut) =>
		(store.document?.[listOf(kind)] ?? []).flatMap((row, i) => (row.type === kind.mark ? [i] : []));
	function takeAll(kind: KindCut) {
		const rows = rowsOf(kind).map((at) => store.rowId(listOf(kind), at));
		const edit = rows.length
			? takeOut(listOf(kind), rows)
			: takeOutType(kind.kind === 'beam' ? 'beam_types' : 'pad_types', kind.mark);
		void store.keep([edit], 'kind');
	}
	function cut(kind: KindCut) {
		const edges = store.document?.edges ?? [];
		const side = edges.find((edge) => edge.type === kind.mark && edge.sides)?.sides?.[0];
		call.pick.none();
		if (kind.kind !== 'edge') data.choose(kind.kind, rowsOf(kind)[0] ?? 0);
		else if (side !== undefined) call.pick.chooseSide(side);
		showCut();
	}
</script>

<div class="grid" style:grid-template-columns="repeat({columns}, 1fr)" bind:clientWidth={width}>
	{#each kinds as kind (kind.mark)}
		<div
			class={[
				'min-w-0 border-t-2 border-ink pb-4',
				own === kind.mark ? 'bg-well' : '',
				tried(kind) && 'border-b-4 border-b-chalk'
			]}
			data-kind={kind.mark}
		>
			<div class="flex items-start justify-between gap-6 pr-8">
				<button
					type="button"
					class={['grid h-44 min-w-44 touch-none place-items-start', kind.kind === 'pad' ? 'cursor-grab' : 'cursor-pointer']}
					aria-pressed={own === kind.mark}
					aria-label={edgeWords.markOf(kind.mark, kind.says)}
					onclick={() => press(kind)}
					onpointerdown={(event) => carry(kind, event)}
					><span
						class={[
							'grid h-32 min-w-38 place-items-center px-5 text-act font-black',
							tried(kind) ? 'bg-chalk text-on-chalk' : 'bg-ink text-sheet'
						]}>{kind.mark}</span
					></button
				>
				<span class="pt-5 text-right text-note font-label max-phone:text-read"><Frac text={kind.says} /></span>
			</div>
			<KindDrawing {store} {kind} width={cell} {scale} tall={deepOf(kind) * scale + 54} tried={tried(kind)} />
			{#if own === kind.mark}
				<div class="flex flex-wrap gap-6 px-4 pt-4">
					{#if kind.count}<Act kind="quiet" onclick={() => cut(kind)}>{edgeWords.showCut}</Act>{/if}
					{#if kind.kind !== 'edge'}<Act kind="quiet" onclick={() => takeAll(kind)}
							>{kind.count ? edgeWords.takeAll(kind.mark) : edgeWords.takeKind(kind.mark)}</Act
						>{/if}
				</div>
			{/if}
		</div>
	{/each}
</div>
