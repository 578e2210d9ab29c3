<script lang="ts">
	/** The stand-in gauge: on, off, read now or after the time is up, and how it misbehaves. */
	import { onDestroy } from 'svelte';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Fold from '../../ui/Fold.svelte';
	import { cover } from '../../words/underslab_cover';
	import { type GaugeFault, GaugeLink } from './gauge.svelte';
	/** ends: there is an end to be read. read: takes a reading; after: minutes that were skipped for it */
	let {
		job,
		line,
		how,
		hold,
		ends,
		minutes,
		read
	}: {
		job: string;
		line: string;
		how: string;
		hold: number;
		ends: boolean;
		minutes: number;
		read: (into: 'start' | 'end', after: number, text: string) => Promise<void>;
	} = $props();
	const words = cover.tests;
	const gauge = new GaugeLink();
	onDestroy(() => gauge.close());
	const faults: GaugeFault[] = ['none', 'leak', 'misread', 'unplugged'];
	async function take(into: 'start' | 'end', after: number, skipped: number) {
		const text = await gauge.read(after * 60);
		if (text) await read(into, skipped, text);
	}
</script>

<Fold class="my-8" name={words.device} open={gauge.on}>
	<p class="label">{words.deviceHow}</p>
	<div class="mt-4 flex flex-wrap items-center gap-10">
		{#if gauge.on}
			<Act kind="quiet" onclick={() => void take(ends ? 'end' : 'start', ends ? minutes : 0, 0)}>{words.readNow}</Act>
			{#if ends}<Act kind="quiet" onclick={() => void take('end', hold, hold)}>{words.readLater(hold)}</Act>{/if}
			<Act kind="quiet" onclick={() => gauge.close()}>{words.disconnect}</Act>
			<Choose
				label
				name={words.fault}
				rows={faults.map((one) => ({ value: one, label: words.faults[one] }))}
				value={gauge.fault}
				pick={(fault) => void gauge.misbehave(fault)}
			/>
		{:else}
			<Act kind="quiet" onclick={() => void gauge.connect(job, line, how)}>{words.connect}</Act>
		{/if}
	</div>
	{#if gauge.silent}<p class="wrong" role="status">{words.silent}</p>{/if}
</Fold>
