<script lang="ts" module>
	/** until the first lens stands and the hand has begun */
	const LATER_MS = 1500;
	const AHEAD_MS = 4000;
	type View = Component<{ store: JobStore; pick: Pick }>;
	const VIEWS: Record<LensId, () => Promise<{ default: View }>> = {
		lines: () => import('#lib/lenses/lines/Lines.svelte'),
		ground: () => import('#lib/lenses/ground/Ground.svelte'),
		edges: () => import('#lib/lenses/edges/Edges.svelte'),
		underslab: () => import('#lib/lenses/underslab/Underslab.svelte'),
		steel: () => import('#lib/lenses/steel/Steel.svelte'),
		embeds: () => import('#lib/lenses/embeds/Embeds.svelte'),
		screed: () => import('#lib/lenses/screed/Screed.svelte'),
		order: () => import('#lib/lenses/order/Order.svelte'),
		gate: () => import('#lib/lenses/gate/Gate.svelte'),
		pour: () => import('#lib/lenses/pour/Pour.svelte'),
		cure: () => import('#lib/lenses/cure/Cure.svelte')
	};
</script>

<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { untrack, type Component } from 'svelte';
	import { Pick } from '#lib/drawing/pick.svelte.ts';
	import { finder } from '#lib/finder/finder.svelte.ts';
	import { cornerPlace } from '#lib/state/ids.ts';
	import Board from '#lib/shell/Board.svelte';
	import { help } from '#lib/shell/help.svelte.ts';
	import { keysSheet, partsAhead } from '#lib/shell/parts.ts';
	import Later from '#lib/ui/Later.svelte';
	import { jobKeys } from '#lib/shell/keys.ts';
	import { LENSES } from '#lib/lenses/all.ts';
	import { turns } from '#lib/lenses/turn.svelte.ts';
	import { columnsOf, type LensId } from '#lib/lenses/lens.ts';
	import Recover from '#lib/shell/Recover.svelte';
	import FirstSlab from '#lib/shell/FirstSlab.svelte';
	import Notices from '#lib/shell/Notices.svelte';
	import StageString from '#lib/shell/StageString.svelte';
	import { events } from '#lib/site/events.svelte.ts';
	import { askAhead } from '#lib/site/ahead.ts';
	import { self } from '#lib/site/me.svelte.ts';
	import { who } from '#lib/site/who.svelte.ts';
	import { JobStore } from '#lib/state/job.svelte.ts';
	import { workingSlip } from '#lib/state/working_slip.svelte.ts';
	import { w } from '#lib/words/words.ts';
	import Act from '#lib/ui/Act.svelte';

	const id = $derived(page.params['id'] ?? '');
	const own = $derived(LENSES.find((one) => one.id === page.params['lens']) ?? LENSES[0]);
	const lens = $derived<LensId>(own?.id ?? 'lines');
	/** the lens that is asked for comes first; the others follow when it stands, so that they are here without a network */
	let views = $state.raw<Partial<Record<LensId, View>>>({});
	$effect(() => {
		const asked = lens;
		untrack(() => void bring([asked]));
		const later = setTimeout(() => void bring(LENSES.map((one) => one.id)), LATER_MS);
		return () => clearTimeout(later);
	});
	async function bring(order: LensId[]) {
		if (order.length > 1) partsAhead();
		for (const one of order) {
			if (views[one]) continue;
			try {
				views = { ...views, [one]: (await VIEWS[one]()).default };
			} catch {
				/* without a network; asked for again when somebody goes there */
			}
		}
	}
	const View = $derived(views[lens]);
	let store = $state.raw<JobStore | null>(null);
	let pick = $state.raw(new Pick(() => null));
	$effect(() => {
		const made = new JobStore(id);
		untrack(() => {
			store = made;
			pick = new Pick(() => made.document);
			void made.load();
		});
	});
	$effect(() => {
		const heard = [
			events.on(
				'job',
				(told) => told['job'] === id && store?.told(Number(told['revision']), `${told['records']}`, `${told['tab']}`)
			),
			events.on('back', ({ first }) => !first && void store?.load()),
			events.on('hello', ({ all }) => all && void store?.load())
		];
		return () => heard.forEach((stop) => stop());
	});
	/** a phone keeps what it will want without signal */
	$effect(() => {
		const kept = store?.kept;
		if (!kept || !self.me?.device || store?.seen) return;
		const later = setTimeout(() => void askAhead(id, `${kept.revision} ${kept.records}`), AHEAD_MS);
		return () => clearTimeout(later);
	});
	/** where this screen is, for the others */
	$effect(() => {
		if (!store?.kept) return;
		who.say({
			job: id,
			lens,
			tab: page.url.searchParams.get('tab') ?? '',
			part: pick.says,
			spot_mm: pick.spot,
			waits: store.waiting.length
		});
	});
	$effect(() => {
		void lens;
		untrack(() => {
			workingSlip.close();
			finder.close(false);
		});
	});
	$effect(() => {
		const [kind, at] = (page.url.searchParams.get('at') ?? '').split('.');
		if (kind === 'side' && store?.kept) untrack(() => pickSide(at ?? ''));
	});
	function pickSide(corner: string) {
		const side = cornerPlace(store?.document, corner);
		if (side !== null) pick.chooseSide(side);
	}
	const keys = (event: KeyboardEvent) => {
		if (!store) return;
		jobKeys(event, {
			store,
			pick,
			lens,
			go: (next) => void (turns.turned = goto(`/job/${id}/${next}`)),
			units: () => store?.toggleUnits()
		});
	};
</script>

<svelte:window onkeydown={keys} />
<svelte:head><title>{store?.kept ? `${store.kept.document.name} · ${w.lenses[lens]}` : w.product}</title></svelte:head>

{#if store?.missing}
	<main class="grid justify-items-start gap-14 px-30 py-60">
		<h1>{w.notices.gone}</h1>
		<Act href="/">{w.notices.toYard}</Act>
	</main>
{:else if store?.fault}
	<main class="grid justify-items-start gap-14 px-30 py-60">
		<h1>{w.notices.broken}</h1>
		<p role="alert">{store.fault}</p>
		<p class="flex flex-wrap gap-12">
			<Act href="/api/jobs/{id}/file" download>{w.notices.takeFile}</Act><Act href="/api/jobs/{id}/as-stored" download
				>{w.notices.takeStored}</Act
			><Act href="/">{w.notices.toYard}</Act>
		</p>
		<Recover {id} back={() => void store?.load()} />
	</main>
{:else if store?.kept}
	<a href="#bench" class="sr-only focus:not-sr-only focus:absolute focus:top-4 focus:left-4 focus:z-30 focus:bg-sheet focus:p-14"
		>{w.help.skip}</a
	>
	<div class="flex h-[100dvh] flex-col overflow-hidden print:block print:h-auto print:overflow-visible">
		<StageString job={store.kept} doubts={store.doubts} {lens} find={() => finder.show(store)} />
		<Notices {store} />
		<FirstSlab {store} {lens} tab={page.url.searchParams.get('tab') ?? own?.tabs[0] ?? ''} />
		<main
			class={[
				'lens grid min-h-0 flex-1 bg-bench max-fold:grid-cols-[1fr] max-fold:grid-rows-[max(300px,44vh)_auto]',
				'max-fold:overflow-auto print:block print:h-auto',
				'print:overflow-visible side:grid-cols-[2fr_3fr] side:grid-rows-[1fr] side:overflow-hidden',
				own && columnsOf(own, page.url.searchParams.get('tab'))
			]}
		>
			{#if View}<View {store} {pick} />{:else}<p class="p-20">{w.notices.loading}</p>{/if}
		</main>
		<Board {store} {lens} />
	</div>
	{#if help.asked}<Later load={keysSheet} />{/if}
{:else}
	<main class="grid justify-items-start gap-14 px-30 py-60"><p>{w.notices.loading}</p></main>
{/if}
