<script lang="ts" module>
	import type { LineKey } from './first_slab';
	const KEY = 'first-slab';
	interface Led {
		job: string;
		passed: LineKey[];
	}
	function read(): Led {
		try {
			return (JSON.parse(localStorage.getItem(KEY) ?? 'null') as Led | null) ?? { job: '', passed: [] };
		} catch {
			return { job: '', passed: [] };
		}
	}
	function write(led: Led): void {
		try {
			localStorage.setItem(KEY, JSON.stringify(led));
		} catch {
			/* then it lasts as long as the page */
		}
	}
	/** Lead through this slab. */
	export const lead = (job: string): void => write({ job, passed: [] });
</script>

<script lang="ts">
	/** The line that is next on a first slab, and the way there; left at any moment. */
	import type { JobStore } from '../state/job.svelte';
	import Act from '../ui/Act.svelte';
	import { firstSlabWords as words } from '../words/first_slab';
	import type { LensId } from '../lenses/lens';
	import { LINES, lineAt } from './first_slab';
	let { store, lens, tab }: { store: JobStore; lens: LensId; tab: string } = $props();
	let led = $state.raw(read());
	const at = $derived(
		lineAt(
			{
				outline: store.document?.outline !== null && store.document?.outline !== undefined,
				stack: (store.document?.build_ups ?? []).length > 0,
				day: Boolean(store.document?.order.pour_at),
				stages: store.doubts?.stages ?? []
			},
			led.passed
		)
	);
	const line = $derived(LINES[at]);
	const there = $derived(line?.lens === lens && line.tab === tab);
	function set(now: Led) {
		led = now;
		write(now);
	}
</script>

{#if led.job === store.id}
	<p
		class="flex flex-none flex-wrap items-center gap-x-12 gap-y-4 border-b-3 border-ink bg-slip px-20 py-4 text-board-ink max-phone:px-12"
		data-first-slab={line?.key ?? 'done'}
	>
		{#if line}
			<b class="whitespace-nowrap">{words.name}, {words.at(at + 1, LINES.length)}</b>
			<span class="min-w-200 flex-1 text-read font-mid">{words.lines[line.key]}</span>
			{#if there}<Act
					kind="quiet"
					class="min-h-44 text-board-ink"
					onclick={() => set({ ...led, passed: [...led.passed, line.key] })}>{words.next}</Act
				>
			{:else}<Act kind="quiet" class="min-h-44 text-board-ink" href="/job/{store.id}/{line.lens}?tab={line.tab}">{words.go}</Act
				>{/if}
		{:else}<b class="flex-1">{words.done}</b>{/if}
		<Act kind="quiet" class="min-h-44 text-board-ink" onclick={() => set({ job: '', passed: [] })}>{words.leave}</Act>
	</p>
{/if}
