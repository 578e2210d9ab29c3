<script lang="ts">
	/** Joints to saw, one by one: from when, until when, a press when it is sawn. */
	import type { CutNow } from '../../api/schema';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { pourWords } from '../../words/pour';
	import type { PourData } from './pour.svelte';
	let { data }: { data: PourData } = $props();
	const words = pourWords.finish;
	const rows = $derived(data.told?.cuts ?? []);
	const here = $derived(new Set(data.waiting.filter((one) => one.kind === 'sawn').map((one) => `${one.values['joint']}`)));
	const open = (one: CutNow) => !one.done_text && !here.has(one.joint);
	const left = $derived(rows.filter(open).length);
	const sawn = (one: CutNow, cracked: boolean) => data.say('sawn', { joint: one.joint, cracked });
</script>

{#if rows.length}
	<h2 class="panel-head">{words.cuts(left, rows.length)}</h2>
	<ol>
		{#each rows as one (one.joint)}
			<li
				class="grid min-h-52 grid-cols-[34px_minmax(0,1fr)_auto] items-center gap-8 border-b border-hair py-4"
				data-cut={one.n}
				data-cut-state={here.has(one.joint) ? 'waits' : one.state}
			>
				<b class="text-key">{one.n}</b>
				<span class="leading-tight">
					<span class={['block text-read font-heavy', !open(one) && 'line-through']}
						><Frac text={`${one.where}, ${one.length_text}`} /></span
					>
					<span class={['block text-note', one.state === 'late' && 'font-heavy text-flag']}
						>{one.done_text
							? words.cutDone(one.state === 'cracked', one.done_text, one.by)
							: here.has(one.joint)
								? words.cutWaits
								: words.cutWhen(one.from_text, one.until_text, one.state, one.left_min)}</span
					>
				</span>
				<span class="flex gap-6">
					{#if open(one)}
						<Act
							kind={one.state === 'soon' ? 'plain' : 'main'}
							class="min-h-48"
							aria-label="{words.sawn}, {one.n}"
							onclick={() => void sawn(one, false)}>{words.sawn}</Act
						>
						<Act kind="quiet" aria-label="{words.cracked}, {one.n}" onclick={() => void sawn(one, true)}>{words.cracked}</Act>
					{:else if one.record}<Act
							kind="quiet"
							aria-label="{pourWords.undoThis}, {one.n}"
							onclick={() => void data.strike(one.record)}>{pourWords.undoThis}</Act
						>{/if}
				</span>
			</li>
		{/each}
	</ol>
	<p class="text-note font-strong">{words.dust}</p>
{/if}
