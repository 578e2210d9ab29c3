<script lang="ts">
	/** Grade pegs of the footings: what the rod reads on each, what it read on the trench's bottom, what to cut it to. */
	import type { Footings } from '../../api/schema';
	import { addRecord, isWrong } from '../../state/record';
	import type { JobStore } from '../../state/job.svelte';
	import { restored, note } from '../../state/remember.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Table from '../../ui/Table.svelte';
	import { footings as words } from '../../words/footings';
	import { ground as groundWords } from '../../words/ground';
	import FootingLaser from './FootingLaser.svelte';
	let {
		store,
		found,
		picked,
		pick
	}: { store: JobStore; found: Footings; picked: number | null; pick: (number: number | null) => void } = $props();
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	const key = `${store.id}/pegs`;
	let typed = $state<Record<number, string>>(restored<Record<number, string>>(key) ?? {});
	let wrong = $state<{ peg: number; words: string } | null>(null);
	$effect(() => note(key, Object.values(typed).some((text) => text.trim()) ? { ...typed } : ''));
	async function keep(number: number) {
		const peg = found.pegs.find((one) => one.number === number);
		const text = (typed[number] ?? '').trim();
		if (!peg || !text || !found.setup) return;
		const values = {
			footing: store.document?.footings[peg.footing]?.id ?? '',
			along_mm: peg.along_mm,
			setup: found.setup,
			reading_mm: text
		};
		const got = await addRecord(store, 'peg-shot', values, session.who, null);
		if (isWrong(got)) return void (wrong = { peg: number, words: got.words });
		wrong = null;
		if ((typed[number] ?? '').trim() === text) typed[number] = '';
		if (got) await store.load();
		document.getElementById(`peg-${number + 1}`)?.focus();
	}
</script>

<h2 class="panel-head">{words.pegs(found.pegs.length)}</h2>
{#if !found.setup}<p class="flex flex-wrap items-center gap-12">
		<b>{groundWords.noLaser}</b>
		{#if store.document?.outline}<Act kind="quiet" href="/job/{store.id}/ground?tab=laser">{groundWords.toLaser}</Act>{/if}
	</p>
	{#if !store.document?.outline}<FootingLaser {store} />{/if}{/if}
<Table name={words.pegsName} heads={[words.peg, words.onTop, words.bottomShould, words.bottomRead, words.cut]}>
	{#each found.pegs as peg (peg.number)}
		<tr class:on={peg.number === picked}>
			<th scope="row"
				><button
					type="button"
					class="min-h-32 min-w-44 text-left font-heavy max-phone:min-h-44 pointer-coarse:min-h-44"
					aria-pressed={peg.number === picked}
					onclick={() => pick(peg.number === picked ? null : peg.number)}>{peg.number}</button
				></th
			>
			<td class="text-size font-[740] whitespace-nowrap"><Frac text={peg.reading_text || '–'} /></td>
			<td class="whitespace-nowrap"><Frac text={peg.bottom_text || '–'} /></td>
			<td
				><input
					id="peg-{peg.number}"
					class="reading w-120"
					autocomplete="off"
					aria-label="{words.bottomRead}, {words.peg} {peg.number}"
					aria-invalid={wrong?.peg === peg.number}
					disabled={!found.setup}
					bind:value={typed[peg.number]}
					onfocus={() => pick(peg.number)}
					onkeydown={(event) => event.key === 'Enter' && void keep(peg.number)}
				/>{#if (typed[peg.number] ?? '').trim()}<Act kind="quiet" onclick={() => void keep(peg.number)}>{words.keep}</Act>{/if}
				{#if peg.words}<span class={['block text-note', peg.verdict === 'high' && 'font-mid text-flag']}
						><Frac text={peg.words} /></span
					>{/if}</td
			>
			<td class="text-size font-[740] whitespace-nowrap"><Frac text={peg.cut_text} /></td>
		</tr>
		{#if wrong?.peg === peg.number}<tr><td></td><td colspan="4"><p class="wrong" role="alert">{wrong.words}</p></td></tr>{/if}
	{/each}
</Table>
<p class="label">{words.pegsHow}</p>
