<script lang="ts">
	/** The card on the phone: one line in the largest type, ticked when it was read back. */
	import type { CallLine } from '../../api/schema';
	import Act from '../../ui/Act.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { orderWords } from '../../words/order';
	let { lines, ticks, tick }: { lines: CallLine[]; ticks: string[]; tick: (key: string) => void } = $props();
	const words = orderWords.call;
	let at = $state(0);
	const line = $derived(lines[Math.min(at, lines.length - 1)]);
</script>

{#if line}
	<div class="mt-8 border-2 border-ink bg-well p-14" data-call-one={line.key}>
		<p class="flex justify-between text-read font-label text-ink2">
			<span>{line.asks}</span><span>{words.of(at + 1, lines.length)}</span>
		</p>
		<p class="mt-6 text-verdict leading-[1.1] font-black font-stretch-[92%]"><Frac text={line.says} /></p>
		{#if line.missing}<p class="mt-6 font-[680] text-flag">⚑ {orderWords.unsaid} {line.missing}.</p>{/if}
	</div>
	<div class="mt-8 grid grid-cols-[64px_1fr_64px] gap-8">
		<Act kind="plain" aria-label={words.back} disabled={at === 0} onclick={() => (at -= 1)}>‹</Act>
		<Act
			kind={ticks.includes(line.key) ? 'plain' : 'main'}
			class="min-h-64! text-call!"
			aria-pressed={ticks.includes(line.key)}
			onclick={() => {
				const fresh = !ticks.includes(line.key);
				tick(line.key);
				if (fresh && at < lines.length - 1) at += 1;
			}}>{ticks.includes(line.key) ? `✓ ${words.tick}` : words.tick}</Act
		>
		<Act kind="plain" aria-label={words.next} disabled={at >= lines.length - 1} onclick={() => (at += 1)}>›</Act>
	</div>
{/if}
