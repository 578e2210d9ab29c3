<script lang="ts">
	/** The call-in card: what to say, in the order in which a dispatcher asks; what is unsaid is marked and can be filled in. */
	import type { CallLine, Finding } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { w } from '../../words/words';
	import { orderWords } from '../../words/order';
	import CardFields from './CardFields.svelte';
	import Stops from './Stops.svelte';
	import Act from '../../ui/Act.svelte';
	/** ticks: keys of lines that were read back */
	let {
		store,
		lines,
		stops,
		ticks,
		tick
	}: { store: JobStore; lines: CallLine[]; stops: Finding[]; ticks: string[]; tick: (key: string) => void } = $props();
	let open = $state<string | null>(null);
	let copied = $state(false);
	const asText = $derived(
		lines.map((line) => `${line.asks} ${line.says}${line.missing ? ` [${orderWords.unsaid} ${line.missing}]` : ''}`).join('\n')
	);
	async function copy() {
		try {
			await navigator.clipboard.writeText(`${store.document?.name}\n${asText}\n`);
		} catch {
			const area = document.createElement('textarea');
			area.value = `${store.document?.name}\n${asText}\n`;
			document.body.append(area);
			area.select();
			document.execCommand('copy');
			area.remove();
		}
		copied = true;
		setTimeout(() => (copied = false), 2500);
	}
</script>

<section class="border-2 border-ink bg-well px-16 py-12 print:border-0" aria-label={orderWords.card}>
	<header class="flex justify-between gap-8">
		<div>
			<h2 class="text-size">{orderWords.card}</h2>
			<p class="label">{orderWords.cardHint}</p>
		</div>
		<div class="flex gap-4 print:hidden">
			<Act kind="quiet" class="disabled:opacity-40" disabled={stops.length > 0} onclick={() => void copy()}
				>{copied ? orderWords.copied : orderWords.copy}</Act
			>
			<Act kind="quiet" class="disabled:opacity-40" disabled={stops.length > 0} onclick={() => print()}>{orderWords.print}</Act>
		</div>
	</header>
	<Stops {store} {stops} />
	<ol>
		{#each lines as line}
			<li class="relative border-t border-hair px-0 pt-5 pb-6" data-line={line.key} class:missing={line.missing}>
				<p class="flex items-center gap-8 text-note font-label text-ink2">
					{#if line.says && !stops.length}<button
							type="button"
							class={[
								'flex size-30 flex-none items-center justify-center border-2 border-ink text-key font-black print:hidden',
								'max-phone:size-44 pointer-coarse:size-44',
								ticks.includes(line.key) ? 'bg-chalk text-on-chalk' : 'bg-well'
							]}
							aria-pressed={ticks.includes(line.key)}
							aria-label="{orderWords.call.tick}: {line.asks}"
							onclick={() => tick(line.key)}>{ticks.includes(line.key) ? '✓' : ''}</button
						>{/if}
					<span>{line.asks}</span>
				</p>
				{#if line.says}<p class="pr-54 text-act leading-[1.2] font-[680] max-phone:text-ask print:text-[24pt]">
						<Frac text={line.says} />
					</p>{/if}
				{#if line.missing}
					<p class="pr-54 text-body font-[680] text-flag">
						<span aria-hidden="true">⚑</span>
						{orderWords.unsaid}
						{line.missing}.
					</p>
				{/if}
				{#if line.set_at.startsWith('ways')}
					{#if line.missing}<a
							class={[
								'absolute top-5 right-0 min-h-28 text-note font-mid underline max-phone:min-h-44 max-phone:text-read',
								'print:hidden'
							]}
							href="/ways">{orderWords.fill}</a
						>{/if}
				{:else if line.set_at !== 'lines' && line.key !== 'yards'}
					<button
						type="button"
						class={[
							'absolute top-5 right-0 min-h-28 text-note font-mid underline max-phone:min-h-44 max-phone:text-read',
							'print:hidden'
						]}
						aria-expanded={open === line.key}
						onclick={() => (open = open === line.key ? null : line.key)}
						>{open === line.key ? w.slip.close : line.missing ? orderWords.fill : orderWords.change}</button
					>
				{/if}
				{#if open === line.key}<CardFields {store} line={line.key} />{/if}
			</li>
		{/each}
	</ol>
</section>
