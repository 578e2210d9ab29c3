<script lang="ts">
	/** The line under test over the plan: where it is filled, and its risers numbered in the order in which they are capped. */
	import type { Viewport, XY } from '../../drawing/viewport';
	import type { UnderslabData } from './underslab.svelte';
	let { view, data }: { view: Viewport; data: UnderslabData } = $props();
	const line = $derived(data.line);
	const px = (p: readonly number[]): XY => view.px([p[0] ?? 0, p[1] ?? 0]);
	const runs = $derived(data.runs.filter((run) => line?.runs.includes(run.id)));
	const steps = $derived(
		(line?.steps ?? []).flatMap((step, i) => {
			const at = data.risers.find((row) => row.id === step.riser)?.at;
			return at ? [{ n: i + 1, last: i + 1 === line?.steps.length, at: px(at) }] : [];
		})
	);
	const fill = $derived(line?.fill_at ? px(line.fill_at) : null);
</script>

{#each runs as run (run.id)}<path
		d={view.path([run.path], false)}
		class="pointer-events-none fill-none stroke-chalk/45 stroke-[15px]"
	/>{/each}
{#if fill}<path
		d="M{fill[0]} {fill[1] + 44}V{fill[1] + 12}m-7 10l7-11l7 11"
		class="pointer-events-none fill-none stroke-chalk stroke-3"
		data-fill
	/>{/if}
{#each steps as step}
	<g class="pointer-events-none" transform="translate({step.at[0]} {step.at[1]})" data-cap={step.n}>
		<circle r="13" class={[step.last ? 'fill-chalk' : 'fill-ink', 'stroke-sheet stroke-2']} />
		<text y="5.5" text-anchor="middle" class="fill-sheet text-body font-black">{step.n}</text>
	</g>
{/each}
