<script lang="ts">
	/** A spread on a tape: old is thin and dashed, what a job says is a ring between thin feet, new is heavy with a chalk tick. */
	import type { SpreadNow } from '../../api/schema';
	import { feet } from './spread';
	let { x, y, of, is }: { x: (value: number) => number; y: number; of: SpreadNow; is: 'old' | 'seen' | 'new' } = $props();
	const [left, at, right] = $derived([x(of.mean - of.sd), x(of.mean), x(of.mean + of.sd)]);
</script>

<path
	d={feet(left, right, y)}
	class={[
		'fill-none',
		is === 'old' ? 'stroke-ink2 stroke-[1.4px]' : is === 'seen' ? 'stroke-ink stroke-[1.6px]' : 'stroke-ink stroke-[3.2px]'
	]}
	stroke-dasharray={is === 'old' ? '4 3' : null}
/>
{#if is === 'seen'}<circle cx={at} cy={y} r="4.6" class="fill-bench stroke-ink stroke-[1.8px]" />
{:else}<path d="M{at} {y - 6}v12" class={is === 'new' ? 'stroke-chalk stroke-[3px]' : 'stroke-ink2 stroke-[1.8px]'} />{/if}
