<script lang="ts">
	/** The day before: is each riser where it should be? Two sizes in large type, what was taped, on or off, and who mends it. */
	import { addRecord, isWrong } from '../../state/record';
	import { note, restored } from '../../state/remember.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { onTab } from '../../state/findings';
	import { shownLength, typedLength } from '../../ui/typed';
	import { underslab as words } from '../../words/underslab';
	import { STEPS } from './steps';
	import PhotoStrip from '../../photos/PhotoStrip.svelte';
	import PrintSheet from './PrintSheet.svelte';
	import type { UnderslabData } from './underslab.svelte';
	let { data }: { data: UnderslabData } = $props();
	const store = $derived(data.store);
	const rows = $derived(data.risers);
	const next = $derived(rows.find((row) => !row.check) ?? rows[0] ?? null);
	const one = $derived(data.riser ?? next);
	const seen = $derived(rows.filter((row) => row.check).length);
	const off = $derived(rows.filter((row) => row.check && !row.check.on).length);
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	const key = `${store.id}/checks`;
	/** what was taped and is not kept, mm from each face, by riser */
	let taped = $state<Record<string, string[]>>(restored<Record<string, string[]>>(key) ?? {});
	let row = $state(0);
	let wrong = $state('');
	/** where the steps stand, mm, and which rows were typed by hand, by riser and row */
	let steps = $state<Record<string, number>>({});
	let byHand = $state<Record<string, boolean>>({});
	const hand = $derived(one !== null && byHand[`${one.id}.${row}`] === true);
	$effect(() => note(key, Object.keys(taped).length ? { ...taped } : ''));
	const typed = $derived(
		one ? (taped[one.id] ?? one.check?.taped ?? one.faces.map((face) => typedLength(face.face_mm, store.units))) : []
	);
	function write(at: number, text: string) {
		if (one) taped[one.id] = typed.map((was, i) => (i === at ? text : was));
	}
	/** Steps go on from what it should be; what was typed by hand is not stepped over. */
	function step(by: number) {
		if (!one) return;
		const face = one.faces[row];
		const from = steps[`${one.id}.${row}`] ?? face?.face_mm ?? 0;
		steps[`${one.id}.${row}`] = from + by;
		write(row, typedLength(from + by, store.units));
	}
	async function keep(values: (string | number)[]) {
		if (!one) return;
		const { id, faces } = one;
		const from = { riser: id, faces: faces.map((face) => face.id), from_mm: values };
		const got = await addRecord(store, 'riser-check', from, session.who, null);
		if (isWrong(got)) return void (wrong = got.words);
		wrong = '';
		delete taped[id];
		for (const at of [`${id}.0`, `${id}.1`]) {
			delete steps[at];
			delete byHand[at];
		}
		// the next is held before the count moves: what is typed on seeing the new count goes to the new riser
		const left = rows.find((other) => !other.check && other.id !== id);
		if (left) data.hold('riser', left.id);
		if (got) await store.load();
		await data.load();
	}
</script>

<Verdict
	text={!rows.length
		? words.noRisers
		: off
			? words.off(off)
			: seen === rows.length
				? words.allOn
				: words.toSee(rows.length - seen)}
	is={off ? 'bad' : 'plain'}
	under={rows.length ? words.seen(seen, rows.length) : words.noRisersUnder}
/>
{#if one}
	{#each one.faces as face, i (face.id)}
		<div class={['mt-8 grid grid-cols-2 items-end gap-x-16 border-l-6 pl-10', row === i ? 'border-chalk' : 'border-transparent']}>
			<p>
				<span class="label block">{words.shouldBe(one.name, face.name)}</span>
				<b class="text-tally leading-[1.1] font-black"><Frac text={face.face_text} /></b>
			</p>
			<label class="label"
				>{words.youTape}<input
					class="well font-pencil text-call font-[520] text-pencil"
					autocomplete="off"
					aria-label="{words.youTape}, {words.from(face.name)}"
					value={typed[i] ?? ''}
					onfocus={() => (row = i)}
					oninput={(event) => (write(i, event.currentTarget.value), (byHand[`${one.id}.${i}`] = true))}
					onkeydown={(event) => event.key === 'Enter' && void keep(typed)}
				/></label
			>
		</div>
	{/each}
	<div class="mt-8 grid grid-cols-6 gap-4">
		{#each STEPS[store.units] as { mm, label } (label)}<Act kind="quiet" disabled={hand} onclick={() => step(mm)}
				><Frac text={label} /></Act
			>{/each}
	</div>
	{#if wrong}<p class="wrong mt-6" role="alert">{wrong}</p>{/if}
	{#if one.check}<p class={['mt-8 text-call leading-[1.15] font-black', one.check.on ? 'text-chalk' : 'text-flag']}>
			<Frac text={one.check.words} />
		</p>
		{#if one.check.mend}<p>{one.check.mend}</p>{/if}
	{:else}<p class="label mt-8"><Frac text={words.allowed(shownLength(one.allowed_mm, store.units))} /></p>{/if}
	<div class="mt-8 flex gap-8">
		<Act kind="main" onclick={() => void keep(one.faces.map((face) => face.face_mm))}>{words.itIsOn}</Act>
		<Act kind="plain" onclick={() => void keep(typed)}>{words.keepTaped}</Act>
	</div>
	<PhotoStrip {store} of="underslab/{one.id}" title={one.name} />
	<div class="mt-14 flex flex-wrap gap-4" role="group" aria-label={words.which}>
		{#each rows as other (other.id)}
			<Act kind="quiet" on={other.id === one.id} onclick={() => data.hold('riser', other.id)}
				>{other.name}{other.check ? (other.check.on ? ', on' : ', off') : ''}</Act
			>
		{/each}
	</div>
{/if}
<FindingList findings={onTab(data.buried?.findings, 'check')} />
<PrintSheet job={store.id} />
