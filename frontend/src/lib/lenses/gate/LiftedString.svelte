<script lang="ts">
	/** What is lifted: knots on a straight line, each with what it says under a press. */
	import type { Lifted } from '../../api/schema';
	import { holdWords as words } from '../../words/holds';
	let { rows, wide }: { rows: readonly Lifted[]; wide: number } = $props();
	let held = $state('');
	const one = $derived(rows.find((row) => row.code === held) ?? null);
</script>

<h2 class="panel-head">{rows.length ? words.lifted(rows.length) : words.liftedNone}</h2>
{#if rows.length}
	<div class="relative">
		<div class="absolute inset-x-0 top-21 border-t-[3px] border-chalk" aria-hidden="true"></div>
		<div class="relative flex flex-wrap gap-x-4 gap-y-6" style:width="{wide}px">
			{#each rows as row (row.code)}
				<button
					type="button"
					class="flex min-h-44 min-w-64 flex-col items-center px-6 text-note font-mid"
					aria-pressed={held === row.code}
					onclick={() => (held = held === row.code ? '' : row.code)}
				>
					<svg width="30" height="42" viewBox="-15 -21 30 42" aria-hidden="true"
						><ellipse rx="12" ry="8.5" class="fill-chalk" /><path
							d="M-5 -7q5 7 0 14M1 -7q5 7 0 14"
							class="fill-none stroke-bench stroke-[1.6px]"
						/></svg
					>{row.name}</button
				>
			{/each}
		</div>
	</div>
	{#if one}<p class="mt-4" role="status"><b>{one.name}</b>: {one.words}</p>{/if}
{/if}
