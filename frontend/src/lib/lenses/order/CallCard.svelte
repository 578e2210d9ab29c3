<script lang="ts">
	/** The call-in card: what to say, in the order in which a dispatcher asks; what is unsaid is marked and can be filled in. */
	import type { CallLine, Finding } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { w } from '../../words/words';
	import type { LensId } from '../../shell/lens';
	import { alike } from '../../state/findings';
	import CardFields from './CardFields.svelte';
	let { store, lines, stops }: { store: JobStore; lines: CallLine[]; stops: Finding[] } = $props();
	let open = $state<string | null>(null);
	let copied = $state(false);
	const asText = $derived(
		lines.map((line) => `${line.asks} ${line.says}${line.missing ? ` [${w.order.unsaid} ${line.missing}]` : ''}`).join('\n')
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

<section class="card" aria-label={w.order.card}>
	<header>
		<div>
			<h3>{w.order.card}</h3>
			<p class="label">{w.order.cardHint}</p>
		</div>
		<div class="acts">
			<button type="button" class="act quiet disabled:opacity-40" disabled={stops.length > 0} onclick={() => void copy()}
				>{copied ? w.order.copied : w.order.copy}</button
			>
			<button type="button" class="act quiet disabled:opacity-40" disabled={stops.length > 0} onclick={() => print()}
				>{w.order.print}</button
			>
		</div>
	</header>
	{#if stops.length}
		<div class="mt-12 border-2 border-flag bg-well p-12" role="alert" data-stops={stops.length}>
			<h4 class="text-lg font-bold">{w.order.stopped}</h4>
			<ul class="mt-4 grid list-none gap-8 p-0">
				{#each alike(stops) as { first: stop, more }}
					<li data-stop={stop.code}>
						<Frac text="{stop.words} {stop.remedy}{more ? ` ${w.order.moreAlike(more)}` : ''}" />
						{#if stop.stage !== 'order'}<a
								class="mt-4 block font-semibold underline"
								href="/job/{store.id}/{stop.stage}{stop.tabs[0] ? `?tab=${stop.tabs[0]}` : ''}"
								>{w.order.mend} {w.lenses[stop.stage as LensId]}</a
							>{/if}
					</li>
				{/each}
			</ul>
		</div>
	{/if}
	<ol>
		{#each lines as line}
			<li data-line={line.key} class:missing={line.missing}>
				<p class="asks">{line.asks}</p>
				{#if line.says}<p class="says"><Frac text={line.says} /></p>{/if}
				{#if line.missing}
					<p class="unsaid"><span aria-hidden="true">⚑</span> {w.order.unsaid} {line.missing}.</p>
				{/if}
				{#if line.set_at.startsWith('ways')}
					{#if line.missing}<a class="fill" href="/ways">{w.order.fill}</a>{/if}
				{:else if line.set_at !== 'lines' && line.key !== 'yards'}
					<button
						type="button"
						class="fill"
						aria-expanded={open === line.key}
						onclick={() => (open = open === line.key ? null : line.key)}
						>{open === line.key ? w.slip.close : line.missing ? w.order.fill : w.order.change}</button
					>
				{/if}
				{#if open === line.key}<CardFields {store} line={line.key} />{/if}
			</li>
		{/each}
	</ol>
</section>

<style>
	.card {
		background: var(--color-well);
		border: 2px solid var(--color-ink);
		padding: 12px 16px;
	}
	header {
		display: flex;
		justify-content: space-between;
		gap: 8px;
	}
	h3 {
		font-size: 18px;
	}
	.acts {
		display: flex;
		gap: 4px;
	}
	li {
		border-top: 1px solid var(--color-hair);
		padding: 5px 0 6px;
		position: relative;
	}
	.asks {
		font-size: 13.5px;
		color: var(--color-ink2);
		font-weight: 560;
	}
	.says {
		font-size: 19px;
		line-height: 1.2;
		font-weight: 680;
		padding-right: 54px;
	}
	.unsaid {
		color: var(--color-flag);
		font-weight: 680;
		font-size: 15px;
		padding-right: 54px;
	}
	.fill {
		position: absolute;
		right: 0;
		top: 5px;
		min-height: 28px;
		font-size: 14px;
		font-weight: 640;
		text-decoration: underline;
	}
	@media (max-width: 600px) {
		.fill {
			min-height: 44px;
			font-size: 16px;
		}
		.says {
			font-size: 21px;
		}
	}
	@media print {
		.acts,
		.fill {
			display: none;
		}
		.card {
			border: 0;
		}
		.says {
			font-size: 24pt;
		}
	}
</style>
