<script lang="ts">
	/** The last truck asked of the plant by one press, or said by telephone; what the plant answered, and where the truck is. */
	import Act from '../../ui/Act.svelte';
	import Choice from '../../ui/Choice.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { pourWords } from '../../words/pour';
	import type { PourData } from './pour.svelte';
	let { data, m3, size, said }: { data: PourData; m3: number; size: string; said: boolean } = $props();
	const words = pourWords.left;
	const left = $derived(data.left);
	let heard = $state('');
	let otherwise = $state(false);
	const numbered = $derived(said && !!left?.number);
	async function say(answer: 'held' | 'refused') {
		if (await data.say('load_called', { m3, answer, heard_by: heard.trim() }))
			[heard, otherwise, data.weighed] = ['', false, null];
	}
	async function call() {
		if (await data.plant({ m3 })) [otherwise, data.weighed] = [false, null];
	}
	type Fault = (typeof FAULTS)[number];
	const FAULTS = ['well', 'late', 'wrong-mix', 'loses', 'down', 'silent'] as const;
	const turn = (now: Fault | null) => (data.fault = now === null || now === 'well' ? null : now);
</script>

{#if data.plantSaid}<p class="mt-8 border-l-6 border-ink bg-well px-10 py-6 text-read font-heavy" role="status" data-plant-said>
		<Frac text={data.plantSaid} />
	</p>{/if}
{#if said && left?.wrong}<p class="mt-8 border-l-6 border-flag bg-well px-10 py-6 text-read font-heavy text-flag" data-read-back>
		<Frac text={words.readWrong(left.wrong)} />
	</p>{/if}
{#if !said || otherwise}
	<div class="mt-10 flex flex-wrap items-end gap-8">
		{#if m3 > 0}<Act kind="main" class="min-h-60 min-w-200" disabled={data.asking} onclick={() => void call()}
				><span><Frac text={words.call(size)} /></span></Act
			>{/if}
		{#if data.told?.phone}<a class="act quiet min-h-60" href="tel:{data.told.phone.replaceAll(' ', '')}"
				>{data.told.ring} {data.told.phone}</a
			>{/if}
	</div>
	<div class="mt-8 flex flex-wrap items-end gap-8">
		<label class="min-w-160 text-note"
			>{words.readBack}<input
				class="w-full border-2 border-ink bg-well px-8 py-8 text-body"
				maxlength="80"
				bind:value={heard}
			/></label
		>
		<Act class="min-h-48" onclick={() => void say('held')}
			><span><Frac text={m3 > 0 ? words.say(size) : words.sayNone} /></span></Act
		>
		<Act class="min-h-48" onclick={() => void say('refused')}>{words.refused}</Act>
	</div>
{:else}
	<div class="mt-8 flex flex-wrap items-center gap-8">
		{#if numbered}<Act class="min-h-48" disabled={data.asking} onclick={() => void data.plant(null)}>{words.askPlant}</Act>{/if}
		<Act kind={left?.wrong ? 'main' : 'quiet'} class="min-h-48" onclick={() => (otherwise = true)}>{words.sayAgain}</Act>
	</div>
{/if}
<Fold name={words.standIn} aside={data.fault ? words.faults[data.fault] : ''}>
	<p class="text-note">{words.standInHow}</p>
	<Choice
		name={words.standIn}
		rows={FAULTS.map((value) => ({ value, label: words.faults[value] ?? value }))}
		value={data.fault ?? 'well'}
		pick={turn}
		class="mt-6"
	/>
</Fold>
