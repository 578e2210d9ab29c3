<script lang="ts">
	/** A file that takes a while to make: a press for each kind, how far it is, what went wrong. */
	import { api } from '../api/api';
	import { download } from '../api/download';
	import { newId } from '../outbox/pressed';
	import { w } from '../words/words';
	import Act from './Act.svelte';
	interface Kind {
		key: string;
		label: string;
		/** reading: the name under which it is asked how far it is */
		address: (reading: string) => string;
		otherwise: string;
	}
	let { kinds, making, notMade }: { kinds: Kind[]; making: (share: number) => string; notMade: string } = $props();
	/** how far it is; null where none is being made */
	let share = $state<number | null>(null);
	let wrong = $state('');
	async function make(kind: Kind) {
		const reading = newId();
		[share, wrong] = [0, ''];
		const far = (got: { share: number | null }) => void (share = Math.max(share ?? 0, got.share ?? 0));
		const asks = setInterval(() => void api.packShare(reading).then(far, () => undefined), 300);
		try {
			if (!(await download(kind.address(reading), kind.otherwise))) wrong = notMade;
		} catch {
			wrong = w.notices.noAnswer;
		} finally {
			clearInterval(asks);
			share = null;
		}
	}
</script>

<p class="mt-4 flex flex-wrap gap-4">
	{#each kinds as kind (kind.key)}<Act kind="main" disabled={share !== null} onclick={() => void make(kind)}>{kind.label}</Act
		>{/each}
</p>
{#if share !== null}<p class="mt-6" role="status" data-making>{making(share)}</p>
	<div class="mt-4 h-10 border-2 border-ink"><div class="h-full bg-chalk" style:width="{share * 100}%"></div></div>{/if}
{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
