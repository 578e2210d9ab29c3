<script lang="ts">
	/** Pits and set-downs cut across, to one scale; how the slab runs under each is one of two small cuts to press. */
	import type { KindCut } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import Cards from '../../ui/Cards.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { edges as edgeWords } from '../../words/edges';
	import type { CallHere } from './call_here.svelte';
	import type { EdgesData } from './edges.svelte';
	import KindDrawing from './KindDrawing.svelte';
	let { store, data, call, pits }: { store: JobStore; data: EdgesData; call: CallHere; pits: KindCut[] } = $props();
	const UNDER = [
		{ value: 'keeps', label: edgeWords.keeps, path: 'M2 4H26V13H78V4H102V15H88V26H16V15H2Z' },
		{ value: 'thins', label: edgeWords.thins, path: 'M2 4H26V13H78V4H102V22H2Z' }
	];
	let width = $state(560);
	const columns = $derived(pits.length > 1 ? Math.max(1, Math.floor(width / 250)) : 1);
	const cell = $derived(Math.min(340, Math.floor(width / columns) - 14));
	const spread = (kind: KindCut, k: 0 | 1) => kind.ring.map((p) => p[k]);
	const wide = $derived(Math.max(...pits.map((kind) => Math.max(...spread(kind, 0)) - Math.min(...spread(kind, 0)))));
	const deepOf = (kind: KindCut) => -Math.min(...spread(kind, 1));
	const scale = $derived(Math.min((cell - 60) / wide, 72 / Math.max(...pits.map(deepOf))));
	const picks = (at: number) => data.picked?.kind === 'recess' && data.picked.row === at;
</script>

<div class="grid gap-x-14 gap-y-8" style:grid-template-columns="repeat({columns}, 1fr)" bind:clientWidth={width}>
	{#each pits as kind, at}
		{@const dips = store.document?.recesses[at]?.keeps_thickness ?? false}
		<div class="min-w-0" data-pit={kind.mark}>
			<button
				type="button"
				class={['flex min-h-34 items-baseline gap-8 text-left pointer-coarse:min-h-44', picks(at) && 'text-chalk']}
				aria-pressed={picks(at)}
				onclick={() => {
					call.pick.none();
					data.choose('recess', at);
				}}><b>{kind.mark}</b><span class="text-note"><Frac text={kind.says} /></span></button
			>
			<KindDrawing {store} {kind} width={cell} {scale} tall={deepOf(kind) * scale + 72} tried={picks(at)} />
			<Cards
				rows={UNDER}
				value={dips ? 'keeps' : 'thins'}
				name="{kind.mark} {edgeWords.under}"
				each="grid w-142 justify-items-center gap-2 px-4 py-6 text-note font-label data-[state=checked]:font-[760]"
				pick={(now) =>
					void store.keep(
						[{ op: 'set_recess', recess: store.rowId('recesses', at), changes: { keeps_thickness: now === 'keeps' } }],
						'recess'
					)}
			>
				{#snippet card(one)}<svg width="104" height="30" aria-hidden="true"
						><path d={one.path} class="fill-slab stroke-ink stroke-[1.6px]" /></svg
					>
					{one.label}{/snippet}
			</Cards>
		</div>
	{/each}
</div>
