<script lang="ts">
	/** Every part by mark, planned and as dug; a pressed row lights up on plan and cut. */
	import type { JobStore } from '../../state/job.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { w } from '../../words/words';
	import type { EdgesData } from './edges.svelte';
	let {
		store,
		data,
		dug
	}: { store: JobStore; data: EdgesData; dug: { part: string; as_dug_m3: number | null; dug_text: string }[] } = $props();
	const concrete = $derived(store.figure?.concrete ?? null);
	const pours = $derived(store.figure?.second_pours ?? []);
	const unit = $derived(store.units === 'mm' ? 'm³' : 'yd³');
	const doc = $derived(store.document);
	let open = $state('');
	function press(letter: string, kind: string, numbers: number[]) {
		open = open === letter ? '' : letter;
		void data.light(open ? numbers : []);
		if (!open || !doc) return;
		const first = numbers[0] ?? 0;
		const edges = doc.edges.length;
		if (kind === 'edge') {
			const edge = doc.edges[first];
			if (edge?.along) data.choose('along', first);
			else data.choose('side', edge?.sides?.[0] ?? 0);
		} else if (kind === 'beam') data.choose('beam', first - edges);
		else if (kind === 'pad') data.choose('pad', first - edges - doc.beams.length);
		else if (kind === 'recess') data.choose('recess', first - edges - doc.beams.length - doc.pads.length);
	}
	const dugOf = (part: string) => dug.find((row) => row.part === part && row.as_dug_m3 !== null)?.dug_text ?? '';
	const any = $derived(dug.some((row) => row.as_dug_m3 !== null));
</script>

{#if concrete}
	<p class="label">{w.edges.pressPart}</p>
	<table class="panel-table">
		<thead
			><tr
				><th></th><th></th><th class="how"></th><th class="r">{w.edges.planned} {unit}</th>{#if any}<th class="r"
						>{w.edges.asDug}</th
					>{/if}</tr
			></thead
		>
		<tbody>
			{#each concrete.parts as part}
				<tr class:on={open === part.letter} data-part={part.letter}>
					<th scope="row" class="letter"
						><button
							type="button"
							aria-expanded={open === part.letter}
							aria-label={part.part}
							onclick={() => press(part.letter, part.kind, part.numbers)}>{part.letter}</button
						></th
					>
					<td
						><button type="button" class="name" onclick={() => press(part.letter, part.kind, part.numbers)}>{part.part}</button
						>{#if open === part.letter && data.alone}<span class="label gone">{data.alone.text} {w.edges.alone}</span>{/if}</td
					>
					<td class="how"><Frac text={part.how} /></td>
					<td class="r"><Num working={part.working} text={part.text} /></td>
					{#if any}<td class="r">{dugOf(part.part)}</td>{/if}
				</tr>
			{/each}
			<tr class="sum"
				><td></td><td>{w.order.drawn}</td><td class="how"></td><td class="r"
					><Num working={concrete.net} text={concrete.net_text} /></td
				>{#if any}<td></td>{/if}</tr
			>
		</tbody>
	</table>
	<p>
		{concrete.second_way_text
			? `${w.edges.both(concrete.net_text, concrete.second_way_text)} ${concrete.agree}`
			: store.counting === null
				? concrete.agree
				: w.order.counting(store.counting)}
	</p>
	{#if pours.length}
		<h3 class="panel-head">{w.edges.secondPours}</h3>
		<table class="panel-table">
			<tbody>
				{#each pours as pour}<tr
						><th scope="row">{pour.name}</th><td class="how"><Frac text={pour.how} /></td><td class="r"
							><Num working={pour.working} text={pour.text} /></td
						></tr
					>{/each}
			</tbody>
		</table>
	{/if}
{/if}

<style>
	.letter button {
		font-weight: 800;
		min-width: 30px;
		min-height: 30px;
		border: 1.5px solid var(--color-ink);
		background: var(--color-well);
	}
	.name {
		text-align: left;
		min-height: 30px;
	}
	.gone {
		margin-left: 8px;
	}
	.panel-table th.r {
		text-align: right;
		padding-left: 12px;
	}
	.how {
		font-size: 13.5px;
		color: var(--color-ink2);
	}
	.r {
		text-align: right;
		font-weight: 740;
		white-space: nowrap;
	}
	.sum td {
		border-top: 2px solid var(--color-ink);
		font-weight: 800;
		font-size: 17px;
	}
	@media (max-width: 600px) {
		.how {
			display: none;
		}
		.letter button {
			min-width: 46px;
			min-height: 46px;
		}
		.name {
			min-height: 46px;
		}
	}
</style>
