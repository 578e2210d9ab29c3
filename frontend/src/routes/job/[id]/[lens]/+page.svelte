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
	<main class="gone">
		<h2>{w.notices.gone}</h2>
		<a class="act" href="/">{w.notices.toYard}</a>
	</main>
{:else if store?.fault}
	<main class="gone">
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
	<div class="app">
		<StageString job={store.kept} doubts={store.doubts} {lens} />
		<Notices {store} />
		<main class="main {lens}">
			{#if lens === 'lines'}<Lines {store} {pick} />{:else if lens === 'ground'}<Ground
					{store}
					{pick}
				/>{:else if lens === 'edges'}<Edges {store} {pick} />{:else}<Order {store} {pick} />{/if}
		</main>
		<Board {store} {lens} help={() => (help = true)} {toggleUnits} />
	</div>
	<Keys bind:open={help} />
{:else}
	<main class="gone"><p>{w.notices.loading}</p></main>
{/if}

<style>
	.app {
		height: 100dvh;
		display: flex;
		flex-direction: column;
		overflow: hidden;
	}
	.main {
		flex: 1;
		min-height: 0;
		display: grid;
		background: var(--color-bench);
	}
	.lines {
		grid-template-columns: minmax(400px, 704fr) minmax(520px, 576fr);
	}
	.ground {
		grid-template-columns: minmax(400px, 620fr) minmax(560px, 660fr);
	}
	.edges {
		grid-template-columns: minmax(400px, 600fr) minmax(560px, 680fr);
	}
	.order {
		grid-template-columns: minmax(400px, 440fr) minmax(640px, 840fr);
	}
	.gone {
		padding: 60px 30px;
		display: grid;
		gap: 14px;
		justify-items: start;
	}
	@media (max-width: 1100px) {
		.main {
			grid-template-columns: 1fr;
			grid-template-rows: max(300px, 44vh) auto;
			overflow: auto;
		}
	}
	@media (max-width: 600px) {
		.main {
			grid-template-rows: 344px auto;
		}
		.ground {
			grid-template-rows: 204px auto;
		}
		.order {
			grid-template-rows: 460px auto;
		}
	}
	@media (max-width: 600px) {
		.ground :global(.bench h2) {
			display: none;
		}
	}
	@media print {
		.app,
		.main {
			display: block;
			height: auto;
			overflow: visible;
		}
		.main :global(.sheet) {
			display: none;
		}
	}
</style>
