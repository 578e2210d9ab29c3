<script lang="ts">
	/** A ticket in three presses: here, the stamp, yards; the last one keeps it. What is begun stays through a reload. */
	import { note, restored } from '../../state/remember.svelte';
	import type { TruckNow } from '../../api/schema';
	import { newId } from '../../outbox/pressed';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { pourWords } from '../../words/pour';
	import { clockOf, later, sizes, typedSize } from './minutes';
	import type { PourData } from './pour.svelte';
	let {
		data,
		truck,
		correct = false,
		done = () => undefined
	}: { data: PourData; truck: TruckNow; correct?: boolean; done?: () => void } = $props();
	const words = pourWords.ticket;
	interface Begun {
		load: string;
		arrived: string;
		batched: string;
		said: boolean;
		number: string;
		strength: string;
		other: string;
	}
	// svelte-ignore state_referenced_locally (one ticket for the life of this part)
	const key = `${data.store.id}/ticket${correct ? `/${truck.load}` : ''}`;
	const fresh = (): Begun => ({ load: '', arrived: '', batched: '', said: false, number: '', strength: '', other: '' });
	const at = (minute: number) => later(data.told?.start_at ?? '', Math.round(minute));
	// svelte-ignore state_referenced_locally (one ticket for the life of this part)
	const first: Begun = correct
		? {
				...fresh(),
				load: truck.load,
				arrived: at(truck.arrive_min),
				batched: at(truck.batch_min),
				said: !truck.batch_guessed,
				number: truck.number
			}
		: fresh();
	let begun = $state<Begun>(restored<Begun>(key) ?? first);
	$effect(() => note(key, begun.arrived && !correct ? { ...begun } : ''));
	const road = $derived(truck.arrive_min - truck.batch_min);
	const step = $derived(data.left?.step_m3 ?? 0.25);
	function here() {
		const now = data.at.slice(0, 16) + (/(Z|[+-]\d\d:\d\d)$/.exec(data.at)?.[0] ?? '');
		begun = {
			...begun,
			load: truck.load || newId(),
			arrived: now,
			batched: later(now, -Math.round(Math.min(180, Math.max(5, road))))
		};
	}
	const slide = (minutes: number) => (begun.batched = later(begun.batched, minutes));
	async function keep(m3: number | string) {
		const ok = await data.say('ticket', {
			load: begun.load,
			arrived_at: begun.arrived,
			...(begun.said || correct ? { batched_at: begun.batched } : { batched_at: begun.batched }),
			m3: typeof m3 === 'number' ? `${typedSize(m3, data.store.units)} ${data.store.units === 'mm' ? 'm3' : 'yd'}` : m3,
			...(begun.number.trim() ? { number: begun.number.trim() } : {}),
			...(begun.strength.trim() ? { strength_mpa: begun.strength.trim() } : {})
		});
		if (!ok) return;
		begun = fresh();
		done();
	}
	const wrong = (path: string) => (data.wrongAt.endsWith(path) ? data.wrong : '');
</script>

<section class="mt-6" aria-label={words.here(truck.n)} data-ticket={begun.arrived ? 'stamp' : 'here'}>
	{#if !begun.arrived}
		<Act kind="main" class="min-h-72 w-full flex-wrap text-call" onclick={here}>{words.here(truck.n)}</Act>
		<p class="mt-4 text-note"><Frac text={words.hereHow(truck.text, data.told?.mix_text ?? '')} /></p>
	{:else}
		<p class="flex items-baseline justify-between border-b-2 border-ink py-4">
			<b class="text-ask font-heavy">{words.here(truck.n)}</b>
			<b class="text-ask">{clockOf(begun.arrived)}</b>
		</p>
		<h3 class="mt-8 flex items-baseline justify-between gap-8">
			<span class="text-key font-heavy">{words.stamp}</span><span class="text-note">{words.guess(road)}</span>
		</h3>
		<p class="text-center text-[44px] leading-tight font-black">
			{#if begun.said}{clockOf(begun.batched)}{:else}<span class="pen">{clockOf(begun.batched)}</span>{/if}
		</p>
		<div class="grid grid-cols-[1fr_1fr_2fr_1fr_1fr] gap-6">
			{#each [-5, -1] as by (by)}<Act class="min-h-56" aria-label="{words.stamp} {by}" onclick={() => slide(by)}>− {-by}</Act
				>{/each}
			<Act class="min-h-56" on={begun.said} onclick={() => (begun.said = true)}>{words.itSays(clockOf(begun.batched))}</Act>
			{#each [1, 5] as by (by)}<Act class="min-h-56" aria-label="{words.stamp} +{by}" onclick={() => slide(by)}>+ {by}</Act
				>{/each}
		</div>
		{#if wrong('batched_at')}<p class="wrong" role="alert">{words.again} {wrong('batched_at')}</p>{/if}
		<h3 class="mt-10 flex items-baseline justify-between gap-8">
			<span class="text-key font-heavy">{words.yards[data.store.units]}</span><span class="text-note">{words.yardsHow}</span>
		</h3>
		<div class="grid grid-cols-3 gap-6">
			{#each sizes(truck.m3, step) as m3 (m3)}<Act
					class="min-h-60 text-call"
					kind={Math.abs(m3 - truck.m3) < 1e-6 ? 'main' : 'plain'}
					onclick={() => void keep(m3)}><Frac text={typedSize(m3, data.store.units)} /></Act
				>{/each}
		</div>
		<div class="mt-8 grid grid-cols-3 gap-8 max-phone:grid-cols-1">
			<form
				class="flex items-end gap-6"
				onsubmit={(event) => (event.preventDefault(), begun.other.trim() && void keep(begun.other.trim()))}
			>
				<label class="min-w-0 flex-1 text-note"
					>{words.other}<input
						class="w-full border-2 border-ink bg-well px-8 py-8 text-body"
						placeholder={words.otherHow}
						bind:value={begun.other}
						aria-invalid={!!wrong('m3')}
					/></label
				>
				<Act type="submit" kind="quiet" disabled={!begun.other.trim()}>{words.other}</Act>
			</form>
			<label class="text-note"
				>{words.number}<input
					class="w-full border-2 border-ink bg-well px-8 py-8 text-body"
					bind:value={begun.number}
					maxlength="40"
					inputmode="numeric"
				/></label
			>
			<label class="text-note"
				>{words.strength}<input
					class="w-full border-2 border-ink bg-well px-8 py-8 text-body"
					bind:value={begun.strength}
					placeholder={data.store.units === 'mm' ? '30 MPa' : '4000 psi'}
				/></label
			>
		</div>
		<Act kind="quiet" class="mt-8" onclick={() => ((begun = fresh()), done())}>{pourWords.back}</Act>
	{/if}
</section>
