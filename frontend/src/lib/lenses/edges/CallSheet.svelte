<script lang="ts">
	/** The one call box of a tab that is drawn: on the sheet in its empty quarter, with a leader to what is pressed. */
	import { tick, untrack } from 'svelte';
	import { emptyPlace } from '../../drawing/empty_place';
	import { sizeLine } from '../../drawing/marks';
	import { cornerName } from '../../drawing/pick.svelte';
	import type { Viewport, XY } from '../../drawing/viewport';
	import { remember } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import CallKeys from '../../ui/CallKeys.svelte';
	import { coarse } from '../../ui/pointer.svelte';
	import { CALLED } from '../../words/walks';
	import { edges as edgeWords } from '../../words/edges';
	import { w } from '../../words/words';
	import type { CallHere } from './call_here.svelte';
	import type { EdgesData } from './edges.svelte';
	/** place: the sheet's view and size, to lie on it; null to stand in the bench */
	interface Props {
		call: CallHere;
		data: EdgesData;
		tab: 'grid' | 'top' | keyof typeof CALLED;
		showCut: () => void;
		place?: { view: Viewport; width: number; height: number } | null;
	}
	let { call, data, tab, showCut, place = null }: Props = $props();
	const store = $derived(call.store);
	let own: HTMLInputElement | undefined = $state();
	let letters = $state(false);
	let tall = $state(96);
	// svelte-ignore state_referenced_locally (one tab for the life of this component)
	remember(
		`${call.store.id}/call-${tab}`,
		() => call.text,
		(old) => (call.text = old)
	);
	$effect(() => {
		if (call.wanted && untrack(() => !coarse.now)) void tick().then(() => own?.focus({ preventScroll: true }));
	});
	$effect(() => {
		if (untrack(() => call.text.trim())) untrack(() => call.tryNow());
	});
	$effect(() => {
		if (store.lets) untrack(() => call.text && call.letGo());
	});
	const says = $derived(tab === 'grid' || tab === 'top' ? edgeWords.call[tab] : CALLED[tab]);
	const thing = $derived(data.picked && !data.own && ['beam', 'pad', 'recess'].includes(data.picked.kind) ? data.picked : null);
	const title = $derived.by(() => {
		if (thing && data.place)
			return edgeWords.call.pressed(`${data.place.name.charAt(0).toUpperCase()}${data.place.name.slice(1)}`);
		if (call.side !== null) return says.side(store.figure?.outline?.sides[call.side]?.name ?? '');
		if (call.corner !== null) return says.corner(cornerName(call.corner));
		if (call.zone && tab === 'top') return says.zone(call.zone.name);
		return call.spot ? says.spot : says.none;
	});
	const hint = $derived(
		says.hint(
			store.units === 'mm',
			tab === 'grid' && (call.spot || call.corner !== null) ? 'spot' : call.side !== null ? 'side' : ''
		)
	);
	const problem = $derived(call.text.trim() ? store.problemFor('call') : null);
	const heard = $derived(call.text.trim() && store.draft && !problem ? store.draft.summary : '');
	const ring = $derived((store.document?.outline ?? []).map((p) => place?.view.px(p) ?? ([0, 0] as XY)));
	const wide = $derived(Math.min(364, (place?.width ?? 400) - 32));
	const north = $derived((place?.width ?? 0) - 52);
	const spots = $derived([
		...[30, 56, 82].map((y): XY => [north, y]),
		...ring.flatMap((p, i): XY[] => {
			const { a, b, middle } = sizeLine(p, ring[(i + 1) % ring.length] ?? p, 34);
			return [p, a, middle, b, middle];
		}) /* letters and sizes */,
		/* pads beside the slab: each corner twice, so that they weigh like a letter with its size */
		...(store.document?.side_pads ?? []).flatMap((pad) =>
			[...pad.polygon, ...pad.polygon].map((p) => place?.view.px(p as XY) ?? ([0, 0] as XY))
		)
	]);
	const at = $derived(
		place
			? emptyPlace(ring, spots, [wide, 132], { width: place.width, height: place.height, top: 62, bottom: 46, side: 16 })
			: ([0, 0] as XY)
	);
	const from = $derived.by((): XY | null => {
		if (!place) return null;
		const { view } = place;
		if (call.spot) return view.px(call.spot);
		if (call.corner !== null) return ring[call.corner] ?? null;
		const [a, b] = [ring[call.side ?? -1], ring[((call.side ?? -1) + 1) % (ring.length || 1)]];
		return call.side !== null && a && b ? [a[0] + (b[0] - a[0]) * 0.14, a[1] + (b[1] - a[1]) * 0.14] : null;
	});
	/** from what is pressed square to the box's nearest edge */
	const leader = $derived.by(() => {
		if (!from || !place) return '';
		const y = at[1] + 42;
		if (from[0] < at[0]) return `M${from}V${y}H${at[0]}`;
		if (from[0] > at[0] + wide) return `M${from}V${y}H${at[0] + wide}`;
		return from[1] > at[1] + tall ? `M${from}V${at[1] + tall}` : '';
	});
	const zones = $derived(store.document?.zones.length ?? 0);
	async function takeZone() {
		if (call.zone && (await store.keep([{ op: 'remove_zone', zone: call.zone.id }], 'call'))) call.clear();
	}
	function keys(event: KeyboardEvent) {
		event.stopPropagation();
		if (event.key === 'Enter') void call.keep();
		if (event.key !== 'Escape') return;
		call.clear();
		call.pick.none();
		document.querySelector<SVGElement>('.sheet > svg')?.focus();
	}
</script>

{#if place && leader}<svg class="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true"
		><path d={leader} class="fill-none stroke-chalk stroke-[1.8px]" /><circle
			cx={from?.[0]}
			cy={from?.[1]}
			r="5"
			class="fill-chalk"
		/></svg
	>{/if}
<div
	class={[place ? 'absolute z-2' : 'mt-8']}
	style:left={place ? `${at[0]}px` : undefined}
	style:top={place ? `${at[1]}px` : undefined}
	style:width={place ? `${wide}px` : undefined}
	bind:clientHeight={tall}
	data-call={tab}
>
	<label class={['block text-note font-[760]', call.pressed || thing ? 'text-ink' : 'text-ink2']} for="call-here">{title}</label>
	<input
		id="call-here"
		bind:this={own}
		class={[
			'mt-3 block h-48 w-full border-x-2 border-t-2 border-b-5 border-ink bg-well px-12 font-pencil font-[520]',
			call.text.length > 24 ? 'text-key' : 'text-call'
		]}
		autocomplete="off"
		inputmode={coarse.now && !letters ? 'decimal' : 'text'}
		autocapitalize="off"
		spellcheck="false"
		placeholder={hint}
		value={call.text}
		aria-describedby="call-heard"
		oninput={(event) => call.type(event.currentTarget.value)}
		onkeydown={keys}
	/>
	{#if coarse.now && !place}<CallKeys box={own} bind:letters type={(text) => call.type(text)} />{/if}
	<div id="call-heard" class="mt-4 text-note max-phone:text-read" aria-live="polite">
		{#if problem}
			<p
				class={[call.refused ? 'wrong' : 'bg-sheet text-ink2 max-phone:bg-transparent']}
				role={call.refused ? 'alert' : undefined}
			>
				<Frac text={problem.detail} />
			</p>
			<div class="mt-4 flex flex-wrap gap-6">
				{#each problem.choices ?? [] as choice}<Act kind="quiet" class="bg-sheet" onclick={() => call.type(choice.text)}
						><Frac text={choice.label} /></Act
					>{/each}
			</div>
		{:else if heard}
			<p class={[place && 'bg-sheet']}><b>{w.lines.heard}:</b> <Frac text={heard} />.</p>
			<div class="mt-6 flex">
				<Act kind="main" onclick={() => void call.keep()}>{w.board.keep}</Act>
				<Act kind="plain" onclick={() => call.letGo()}>{w.board.drop}</Act>
			</div>
		{:else if tab === 'top' && call.zone && zones > 1 && !call.text}
			<Act kind="quiet" class="mt-4 bg-sheet" onclick={() => void takeZone()}>{edgeWords.takeOut} {call.zone.name}</Act>
		{:else if thing}
			<div class="mt-4 flex gap-6">
				<Act kind="quiet" class="bg-sheet" onclick={showCut}>{edgeWords.showCut}</Act>
				<Act kind="quiet" class="bg-sheet" onclick={() => void data.takeOutPicked()}>{edgeWords.takeOut} {data.place?.name}</Act>
			</div>
		{/if}
	</div>
</div>
