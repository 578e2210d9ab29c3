<script lang="ts">
	/** The string between two stakes: a knot a stage, a plumb bob under the open one. */
	import Frac from '../ui/Frac.svelte';
	import type { JobDoubts, JobState } from '../api/schema';
	import { w } from '../words/words';
	import type { LensId } from '../lenses/lens';
	import Knot from './Knot.svelte';
	import { knots, seen } from './knots';
	let { job, doubts, lens, find }: { job: JobState; doubts: JobDoubts | null; lens: LensId; find: () => void } = $props();
	const rows = $derived(knots(doubts?.stages ?? null));
	let width = $state(900);
	const shown = $derived(seen(rows, lens, width));
	const step = $derived(width < 420 ? (width - 92) / (shown.length - 1) : Math.min(170, (width - 120) / (shown.length - 0.4)));
	const x = (index: number) => (width < 420 ? 52 : Math.min(70, step / 2 + 14)) + index * step;
	/** room for a knot's words */
	const wide = $derived(Math.min(110, Math.max(74, step)));
	const firstOpen = $derived(rows.findIndex((row) => row.state !== 'tight'));
	const straight = $derived(firstOpen < 0 ? rows.length - 1 : firstOpen - 1);
</script>

<header
	class={[
		'grid h-92 flex-none grid-cols-[200px_1fr] border-b-3 border-ink bg-ground',
		'max-phone:h-78 max-phone:grid-cols-[92px_1fr] print:hidden side:h-70'
	]}
>
	<div
		class={['job overflow-hidden pt-9 pr-6 pb-0 pl-18 max-phone:pt-6 max-phone:pr-2 max-phone:pb-0 side:pt-2', 'max-phone:pl-10']}
	>
		<p class="flex justify-between gap-4 text-label leading-24 font-[600] text-ink2 side:leading-20">
			<a href="/" class="relative block min-h-24 after:absolute after:-inset-12 side:min-h-0">‹ {w.yardTitle}</a>
			<button
				type="button"
				class="relative block min-h-24 underline underline-offset-2 after:absolute after:-inset-12 side:min-h-0"
				onclick={find}>{w.finder.open}</button
			>
		</p>
		<p
			class={['name line-clamp-2 text-act leading-[1.06] font-heavy wrap-anywhere font-stretch-[84%]', 'max-phone:text-body']}
			title={job.document.name}
		>
			{job.document.name}
		</p>
	</div>
	<nav class="relative min-w-0" aria-label={w.board.stages} bind:clientWidth={width}>
		<svg class="absolute inset-0 max-phone:-top-10 side:-top-16" {width} height="92" aria-hidden="true">
			{#each width < 420 ? [12] : [12, width - 14] as stake}
				<path d="M{stake - 6} 38h12v34l-6 13l-6-13z" fill="var(--color-board)" stroke="var(--color-ink)" stroke-width="2" />
			{/each}
			{#each shown as { at, pinned }, i}
				{@const from = i === 0 ? 14 : x(i - 1)}
				{#if i > 0 && shown[i - 1]?.pinned}
					<path
						d="M{from + 14} 63H{(from + x(i)) / 2 - 7}m0 -9l-6 18M{(from + x(i)) / 2 + 7} 54l-6 18m3 -9H{x(i) - 10}"
						fill="none"
						stroke="var(--color-ink2)"
						stroke-width="2"
					/>
				{:else if at <= straight && !pinned}
					<path d="M{from} 63H{x(i)}" stroke="var(--color-chalk)" stroke-width="3.4" />
				{:else}
					<path
						d="M{from} 63Q{(from + x(i)) / 2} 82 {x(i)} 63"
						fill="none"
						stroke="var(--color-ink2)"
						stroke-width="2"
						stroke-dasharray="7 3"
					/>
				{/if}
			{/each}
			{#if width >= 420}<path
					d="M{x(shown.length - 1)} 63Q{(x(shown.length - 1) + width) / 2} 84 {width - 18} 63"
					fill="none"
					stroke="var(--color-ink2)"
					stroke-width="2"
					stroke-dasharray="7 3"
				/>{/if}
			{#each shown as { knot: row }, i}
				{#if row.id === lens}
					<path d="M{x(i)} 66v10m-3-2h6v3h4v4l-7 10l-7-10v-4h4z" fill="var(--color-ink)" stroke="var(--color-ink)" />
				{/if}
				<Knot state={row.state} x={x(i)} />
			{/each}
		</svg>
		<ol>
			{#each shown as { knot: row }, i}
				<li class="absolute top-0 -translate-x-1/2" style:left="{x(i)}px" style:width="{wide}px">
					<a
						class="group block h-89 pt-8 text-center max-phone:h-76 max-phone:pt-3 side:h-66 side:pt-1"
						href="/job/{job.id}/{row.id}"
						aria-current={row.id === lens ? 'step' : undefined}
						data-state={row.state}
					>
						<b
							class={[
								'block text-body leading-18 font-[600] font-stretch-[88%] max-phone:leading-17',
								'group-aria-[current]:text-key group-aria-[current]:font-black'
							]}>{row.name}</b
						><span
							class={[
								'text-note leading-16 text-ink2 font-stretch-[88%] max-phone:text-label max-phone:leading-14',
								'group-data-[state=flagged]:text-flag max-phone:block max-phone:whitespace-nowrap',
								'group-data-[state=flagged]:font-[700] group-data-[state=tight]:text-chalk',
								'group-data-[state=tight]:font-mid'
							]}><Frac text={row.says} /></span
						>
					</a>
				</li>
			{/each}
		</ol>
	</nav>
</header>
