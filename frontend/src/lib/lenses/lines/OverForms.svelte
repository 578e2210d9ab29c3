<script lang="ts">
	/** Stakes and kickers along each side, seen from above; sides that need no form, and the one left out for the truck. */
	import type { FormPlan } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	import { w } from '../../words/words';
	let { view, ring, forms, picked }: { view: Viewport; ring: XY[]; forms: FormPlan; picked: number | null } = $props();
	const rows = $derived(
		forms.sides.map((form) => {
			const [a, b] = [view.px(ring[form.side] ?? [0, 0]), view.px(ring[(form.side + 1) % ring.length] ?? [0, 0])];
			const size = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
			const u: XY = [(b[0] - a[0]) / size, (b[1] - a[1]) / size];
			const out: XY = [-u[1], u[0]];
			const along = form.stations.at(-1)?.at_mm || 1;
			const spot = (mm: number, away: number): XY => [
				a[0] + (u[0] * mm * size) / along + out[0] * away,
				a[1] + (u[1] * mm * size) / along + out[1] * away
			];
			return {
				form,
				a,
				b,
				spot,
				stakes: form.stake_at_mm.map((mm, i) => ({
					at: spot(mm, 9),
					kick: form.kicker_every > 0 && i % form.kicker_every === 0 ? spot(mm, 24) : null
				})),
				middle: spot(along / 2, -16),
				turn: Math.abs(u[1]) > 0.7 ? -90 : 0
			};
		})
	);
	/** parts of a side along which no board stands, because something else does */
	function bare(form: FormPlan['sides'][number], long: number): XY[] {
		const gaps: XY[] = [];
		let at = 0;
		for (const course of [...form.courses].sort((a, b) => a.from_mm - b.from_mm)) {
			if (course.from_mm > at + 20) gaps.push([at, course.from_mm]);
			at = Math.max(at, course.to_mm);
		}
		if (form.courses.length && long > at + 20) gaps.push([at, long]);
		return gaps;
	}
</script>

{#each forms.steps.filter((step) => !step.hung) as step}
	<path d={view.path([step.line], false)} class="fill-none stroke-ink stroke-8" />
	<path d={view.path([step.line], false)} class="fill-none stroke-board stroke-[5.5px]" />
{/each}

{#each rows as { form, spot, stakes, middle, turn } (form.side)}
	{@const long = form.stations.at(-1)?.at_mm || 1}
	{#if !form.formed || form.left_out}
		<path d="M{spot(0, 3.4)}L{spot(long, 3.4)}" class="gap stroke-sheet stroke-7" />
	{:else}
		{#each bare(form, long) as [from, to]}<path d="M{spot(from, 3.4)}L{spot(to, 3.4)}" class="stroke-sheet stroke-7" />{/each}
	{/if}
	{#each stakes as { at, kick }}
		{#if kick}<path d="M{at}L{kick}" class="stroke-ink stroke-[2.4px]" />{/if}
		<rect x={at[0] - 3.5} y={at[1] - 3.5} width="7" height="7" class="fill-ink" />
	{/each}
	{#if form.left_out}<g transform="translate({middle}) rotate({turn})"
			><text text-anchor="middle" y="5" class="fill-flag stroke-slab stroke-5 text-body font-heavy [paint-order:stroke]"
				>{w.lines.truckHere}</text
			></g
		>{/if}
	{#if picked === form.side}<path d="M{spot(0, 14)}L{spot(long, 14)}" class="fill-none stroke-chalk stroke-2" />{/if}
{/each}
