<script lang="ts">
	/** Pads, with a wet glove: what the rod should read, where it strikes, what that makes of the pad, and on to the next. */
	import type { PadTold } from '../../api/schema';
	import { addRecord, isWrong } from '../../state/record';
	import { onTab } from '../../state/findings';
	import { note, restored } from '../../state/remember.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { screed as words } from '../../words/screed';
	import RodLadder from './RodLadder.svelte';
	import type { StripsData } from './strips.svelte';
	let { data }: { data: StripsData } = $props();
	const MIDDLE = 6;
	const store = $derived(data.store);
	const pads = $derived(data.pads);
	const pad = $derived(data.pad);
	const next = $derived(pad ? data.after(pad) : null);
	const left = $derived(pads.filter((row) => row.state !== 'set').length);
	const off = $derived(pads.filter((row) => row.state === 'off').length);
	let list = $state(false);
	let wrong = $state('');
	/** which mark of the rod the laser strikes, pad by pad */
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	const key = `${store.id}/pad-marks`;
	let marks = $state(restored<Record<string, number>>(key) ?? {});
	$effect(() => note(key, marks));
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	const typedKey = `${store.id}/pad-typed`;
	let typed = $state(restored<string>(typedKey) ?? '');
	$effect(() => note(typedKey, typed));
	const at = $derived(pad ? (marks[pad.key] ?? MIDDLE) : MIDDLE);
	const step = $derived(pad?.steps[at] ?? null);
	function mark(index: number) {
		if (pad && index >= 0 && index < pad.steps.length) marks = { ...marks, [pad.key]: index };
	}
	async function keep(row: PadTold, reading_mm: number | string | null, go: boolean) {
		const after = data.after(row);
		const setup = data.found?.setup ?? '';
		const values = { of: row.of, at_mm: row.at_mm, reading_mm, setup: reading_mm === null ? null : setup };
		const got = await addRecord(store, 'pad-set', values, session.who);
		if (isWrong(got)) return void (wrong = got.words);
		wrong = '';
		if (typeof reading_mm === 'string' && typed === reading_mm) typed = '';
		marks = Object.fromEntries(Object.entries(marks).filter(([of]) => of !== row.key));
		if (go && after && data.pad?.key === row.key) data.holdPad(after.key);
		else if (!go) data.holdPad(row.key);
		if (got) {
			data.noteKept(values);
			await store.load();
		}
		await data.load();
	}
</script>

<Verdict
	text={pads.length ? words.padsLeft(left, pads.length) : words.padsNone}
	under={off ? words.padsOff(off) : ''}
	is={off ? 'bad' : pads.length && !left ? 'good' : 'plain'}
/>
{#if pad && !list}
	<p class="mt-4 flex justify-between gap-10 text-key font-[800]">
		<span>{words.pad(pad.name)}</span><span><Frac text={pad.place} /></span>
	</p>
	{#if pad.state !== 'open'}<p class={['mt-2 font-[800]', pad.state === 'set' ? 'text-chalk' : 'text-flag']}>
			{words.states[pad.state]}{#if pad.read_text}: <Frac text={pad.read_text} />{#if pad.off_text}, <Frac
						text={pad.off_text}
					/>{/if}{/if}
		</p>{/if}
	{#if step}
		<div class="mt-4 grid grid-cols-2 gap-10">
			<div>
				<span class="label">{words.should}</span>
				<p class="text-verdict font-black"><Frac text={pad.should_text} /></p>
			</div>
			<div>
				<span class="label">{words.read}</span>
				<p class="font-pencil text-verdict text-pencil" data-rod-read><Frac text={step.text} /></p>
			</div>
		</div>
		<!-- in the hand what is pressed stands above the rod -->
		<div class="flex flex-col">
			<div class="max-phone:order-last max-phone:mt-10"><RodLadder steps={pad.steps} {at} take={mark} /></div>
			<div class="mt-6 flex items-center gap-8">
				<p
					class={['flex-1 text-call leading-none font-black', step.right ? 'text-ink' : 'text-flag']}
					data-pad-verdict={step.right ? 'right' : 'wrong'}
					aria-live="polite"
				>
					<Frac text={step.words} />
				</p>
				<Act kind="plain" class="min-w-64" aria-label={words.less} onclick={() => mark(at - 1)}>−</Act>
				<Act kind="plain" class="min-w-64" aria-label={words.more} onclick={() => mark(at + 1)}>+</Act>
			</div>
			{#if !step.right}<Act kind="plain" class="mt-8" onclick={() => void keep(pad, step.reading_mm, false)}>{words.knock}</Act
				>{/if}
			<Act kind="main" class="mt-8 min-h-72! w-full text-call!" onclick={() => void keep(pad, step.reading_mm, true)}
				>{next ? words.keep(pad.name, next.name) : words.keepLast(pad.name)}</Act
			>
		</div>
	{:else}
		<p class="mt-8">{words.noLaser}</p>
		<div class="mt-8 grid gap-8">
			<Act kind="main" class="min-h-72! w-full text-call!" onclick={() => void keep(pad, null, true)}
				>{words.byString(pad.name)}</Act
			>
			<Act kind="plain" href="/job/{store.id}/ground?tab=laser">{words.setLaser}</Act>
		</div>
	{/if}
	{#if wrong}<p class="wrong mt-6" role="alert">{wrong}</p>{/if}
	<div class="mt-8 flex flex-wrap items-end gap-10">
		<Act kind="plain" onclick={() => (list = true)}>{words.list}</Act>
		{#if step}
			<label class="label flex-1"
				>{words.typed}<input
					class="well w-full"
					maxlength="60"
					bind:value={typed}
					onkeydown={(event) => event.key === 'Enter' && typed.trim() && void keep(pad, typed, false)}
				/></label
			>
			<Act kind="plain" disabled={!typed.trim()} onclick={() => void keep(pad, typed, false)}>{words.keepTyped}</Act>
		{/if}
	</div>
	{#if next}<p class="mt-8"><Frac text={words.next(next.name, next.place)} /></p>{/if}
	<p class="label mt-4">{words.padsUnder}</p>
{:else if list}
	<div class="mt-8"><Act kind="plain" onclick={() => (list = false)}>{words.back}</Act></div>
	<ul class="mt-8">
		{#each pads as row (row.key)}
			<li class="border-b border-hair">
				<button
					type="button"
					class="flex min-h-48 w-full items-center justify-between gap-10 text-left"
					onclick={() => (data.holdPad(row.key), (list = false))}
					><span><b class="text-key">{row.name}</b> <Frac text={row.place} /></span><span
						class={['text-note font-[760]', row.state === 'off' && 'text-flag']}
						><Frac text={row.read_text || row.should_text || row.level_text} />
						<span class="label">{words.states[row.state]}</span></span
					></button
				>
			</li>
		{/each}
	</ul>
{/if}
<FindingList findings={onTab(data.findings, 'pads')} />
<p class="mt-14 border-t border-hair pt-6 text-note text-ink2">{words.caution}</p>
