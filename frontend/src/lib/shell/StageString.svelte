<script lang="ts">
	/** The string between two stakes: a knot a stage, a plumb bob under the open one. */
	import Frac from '../ui/Frac.svelte';
	import type { JobDoubts, JobState } from '../api/schema';
	import { session } from '../state/session.svelte';
	import { w } from '../words/words';
	import { knots, type LensId } from './lens';
	let { job, doubts, lens }: { job: JobState; doubts: JobDoubts | null; lens: LensId } = $props();
	const rows = $derived(knots(doubts?.stages ?? null));
	let width = $state(900);
	const x = (index: number) =>
		width < 420 ? 38 + (index * (width - 76)) / (rows.length - 1) : 70 + index * Math.min(170, (width - 170) / rows.length);
	const firstOpen = $derived(rows.findIndex((row) => row.state !== 'tight'));
	const straight = $derived(firstOpen < 0 ? rows.length - 1 : firstOpen - 1);
</script>

<header class="string">
	<div class="job">
		<a href="/" class="up">‹ {w.yard.title}</a>
		<p class="name" title={job.document.name}>{job.document.name}</p>
		{#if session.who}<p class="who">{session.who}</p>{/if}
	</div>
	<nav class="line" aria-label="Stages" bind:clientWidth={width}>
		<svg {width} height="92" aria-hidden="true">
			{#each width < 420 ? [12] : [12, width - 14] as stake}
				<path d="M{stake - 6} 38h12v34l-6 13l-6-13z" fill="var(--color-board)" stroke="var(--color-ink)" stroke-width="2" />
			{/each}
			{#each rows.keys() as i}
				{@const from = i === 0 ? 14 : x(i - 1)}
				{#if i <= straight}
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
					d="M{x(rows.length - 1)} 63Q{(x(rows.length - 1) + width) / 2} 84 {width - 18} 63"
					fill="none"
					stroke="var(--color-ink2)"
					stroke-width="2"
					stroke-dasharray="7 3"
				/>{/if}
			{#each rows as row, i}
				{#if row.id === lens}
					<path d="M{x(i)} 66v10m-3-2h6v3h4v4l-7 10l-7-10v-4h4z" fill="var(--color-ink)" stroke="var(--color-ink)" />
				{/if}
				{#if row.state === 'tight'}
					<g stroke="var(--color-ground)" stroke-width="1.6" fill="none">
						<ellipse cx={x(i)} cy="63" rx="11" ry="8" fill="var(--color-chalk)" stroke="none" />
						<path d="M{x(i) - 5} 56q5 7 0 14M{x(i) + 1} 56q5 7 0 14" />
					</g>
				{:else if row.state === 'loop'}
					<ellipse cx={x(i)} cy="66" rx="7" ry="8" fill="var(--color-ground)" stroke="var(--color-ink)" stroke-width="2.2" />
				{:else}
					<path
						d="M{x(i) - 6} 57h12v12h-12zM{x(i) - 5} 69l-6 16 6-4 4 4 2-16zM{x(i) + 5} 69l6 16-6-4-4 4-2-16z"
						fill="var(--color-flag)"
						stroke="var(--color-ink)"
					/>
				{/if}
			{/each}
		</svg>
		<ol>
			{#each rows as row, i}
				<li style:left="{x(i)}px">
					<a href="/job/{job.id}/{row.id}" aria-current={row.id === lens ? 'step' : undefined} data-state={row.state}>
						<b>{row.name}</b><span><Frac text={row.says} /></span>
					</a>
				</li>
			{/each}
		</ol>
	</nav>
</header>

<style>
	.string {
		display: grid;
		grid-template-columns: 200px 1fr;
		background: var(--color-ground);
		border-bottom: 3px solid var(--color-ink);
		height: 92px;
		flex: none;
	}
	.job {
		padding: 9px 6px 0 18px;
		overflow: hidden;
	}
	.up {
		font-size: 13px;
		font-weight: 600;
		color: var(--color-ink2);
		display: inline-block;
	}
	.name {
		font-size: 19px;
		line-height: 1.06;
		font-weight: 780;
		font-stretch: 84%;
		display: -webkit-box;
		-webkit-line-clamp: 2;
		line-clamp: 2;
		-webkit-box-orient: vertical;
		overflow: hidden;
		overflow-wrap: anywhere;
	}
	.who {
		display: none;
	}
	.line {
		position: relative;
		min-width: 0;
	}
	.line svg {
		position: absolute;
		inset: 0;
	}
	li {
		position: absolute;
		top: 0;
		width: 110px;
		margin-left: -55px;
	}
	li a {
		display: block;
		height: 89px;
		padding-top: 8px;
		text-align: center;
	}
	li b {
		display: block;
		font-size: 15px;
		line-height: 18px;
		font-weight: 600;
		font-stretch: 88%;
	}
	li span {
		font-size: 13.5px;
		line-height: 16px;
		color: var(--color-ink2);
		font-stretch: 88%;
	}
	a[aria-current] b {
		font-weight: 840;
		font-size: 17px;
	}
	a[data-state='flagged'] span {
		color: var(--color-flag);
		font-weight: 700;
	}
	a[data-state='tight'] span {
		color: var(--color-chalk);
		font-weight: 640;
	}
	@media (max-width: 600px) {
		.string {
			grid-template-columns: 92px 1fr;
			height: 78px;
		}
		.job {
			padding: 6px 2px 0 10px;
		}
		.up {
			font-size: 15px;
			min-height: 24px;
		}
		.name {
			font-size: 15px;
		}
		.line svg {
			top: -10px;
		}
		li {
			width: 86px;
			margin-left: -43px;
		}
		li a {
			height: 76px;
			padding-top: 3px;
		}
		li b {
			line-height: 17px;
		}
		li span {
			font-size: 13px;
			line-height: 14px;
			display: block;
			white-space: nowrap;
		}
	}
	@media print {
		.string {
			display: none;
		}
	}
</style>
