<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { untrack } from 'svelte';
	import { Pick } from '#lib/drawing/pick.svelte.ts';
	import Edges from '#lib/lenses/edges/Edges.svelte';
	import Ground from '#lib/lenses/ground/Ground.svelte';
	import Lines from '#lib/lenses/lines/Lines.svelte';
	import Order from '#lib/lenses/order/Order.svelte';
	import Board from '#lib/shell/Board.svelte';
	import Keys from '#lib/shell/Keys.svelte';
	import { jobKeys } from '#lib/shell/keys.ts';
	import type { LensId } from '#lib/shell/lens.ts';
	import Recover from '#lib/shell/Recover.svelte';
	import Notices from '#lib/shell/Notices.svelte';
	import StageString from '#lib/shell/StageString.svelte';
	import { JobStore } from '#lib/state/job.svelte.ts';
	import { workingSlip } from '#lib/state/working_slip.svelte.ts';
	import { w } from '#lib/words/words.ts';

	const id = $derived(page.params['id'] ?? '');
	const lens = $derived(
		(['lines', 'ground', 'edges', 'order'].includes(page.params['lens'] ?? '') ? page.params['lens'] : 'lines') as LensId
	);
	/** how a lens parts the screen: sheet and bench, and how high the sheet stands on a phone */
	const COLUMNS: Record<LensId, string> = {
		lines: 'grid-cols-[minmax(400px,704fr)_minmax(520px,576fr)] max-phone:grid-rows-[344px_auto]',
		ground: 'grid-cols-[minmax(400px,620fr)_minmax(560px,660fr)] max-phone:grid-rows-[204px_auto] max-phone:[&_h2]:hidden',
		edges: 'grid-cols-[minmax(400px,600fr)_minmax(560px,680fr)] max-phone:grid-rows-[344px_auto]',
		order: 'grid-cols-[minmax(400px,440fr)_minmax(640px,840fr)] max-phone:grid-rows-[460px_auto]'
	};
	let store = $state.raw<JobStore | null>(null);
	let pick = $state.raw(new Pick(() => null));
	let help = $state(false);
	$effect(() => {
		const made = new JobStore(id);
		untrack(() => {
			store = made;
			pick = new Pick(() => made.document);
			void made.load();
		});
	});
	$effect(() => {
		void lens;
		untrack(() => workingSlip.close());
	});
	const toggleUnits = () =>
		void store?.keep([{ op: 'set_fields', values: { units: store.units === 'mm' ? 'ft-in' : 'mm' } }], 'units');
	const keys = (event: KeyboardEvent) => {
		if (!store) return;
		jobKeys(event, {
			store,
			pick,
			lens,
			go: (next) => void goto(`/job/${id}/${next}`),
			help: () => (help = true),
			units: toggleUnits
		});
	};
</script>

<svelte:window onkeydown={keys} />
<svelte:head><title>{store?.kept ? `${store.kept.document.name} · ${w.lenses[lens]}` : w.product}</title></svelte:head>

{#if store?.missing}
	<main class="grid [justify-items:start] gap-14 px-30 py-60">
		<h2>{w.notices.gone}</h2>
		<a class="act" href="/">{w.notices.toYard}</a>
	</main>
{:else if store?.fault}
	<main class="grid [justify-items:start] gap-14 px-30 py-60">
		<h2>{w.notices.broken}</h2>
		<p role="alert">{store.fault}</p>
		<p class="flex flex-wrap gap-12">
			<a class="act" href="/api/jobs/{id}/file" download>{w.notices.takeFile}</a><a
				class="act"
				href="/api/jobs/{id}/as-stored"
				download>{w.notices.takeStored}</a
			><a class="act" href="/">{w.notices.toYard}</a>
		</p>
		<Recover {id} back={() => void store?.load()} />
	</main>
{:else if store?.kept}
	<div class="flex h-[100dvh] flex-col overflow-hidden print:block print:h-auto print:overflow-visible">
		<StageString job={store.kept} doubts={store.doubts} {lens} />
		<Notices {store} />
		<main
			class={[
				'grid min-h-0 flex-1 bg-bench max-fold:grid-cols-[1fr] max-fold:grid-rows-[max(300px,44vh)_auto]',
				'max-fold:overflow-auto print:block print:h-auto',
				'print:overflow-visible',
				COLUMNS[lens]
			]}
		>
			{#if lens === 'lines'}<Lines {store} {pick} />{:else if lens === 'ground'}<Ground
					{store}
					{pick}
				/>{:else if lens === 'edges'}<Edges {store} {pick} />{:else}<Order {store} {pick} />{/if}
		</main>
		<Board {store} {lens} help={() => (help = true)} {toggleUnits} />
	</div>
	<Keys bind:open={help} />
{:else}
	<main class="grid [justify-items:start] gap-14 px-30 py-60"><p>{w.notices.loading}</p></main>
{/if}
