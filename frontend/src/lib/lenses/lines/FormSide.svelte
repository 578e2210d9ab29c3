<script lang="ts">
	/** One side's form drawn along its length: top, ground, courses, stakes; and what may be said of it. */
	import { typedLength } from '../../ui/typed';
	import type { SideForm, SideWorkings } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { w } from '../../words/words';
	import Choice from '../../ui/Choice.svelte';
	import Switch from '../../ui/Switch.svelte';
	let { store, form, how }: { store: JobStore; form: SideForm; how?: SideWorkings | undefined } = $props();
	const W = 520;
	const length = $derived(form.stations.at(-1)?.at_mm ?? 1);
	const top = $derived(Math.max(...form.stations.map((s) => s.top_mm)));
	const low = $derived(Math.min(...form.stations.map((s) => s.ground_mm)));
	const tall = $derived(Math.max(top - low, 150));
	const x = (mm: number) => 8 + (mm / length) * (W - 16);
	const y = (level: number) => 20 + ((top - level) / tall) * 66;
	const line = (key: 'top_mm' | 'ground_mm') =>
		form.stations.map((s) => `${x(s.at_mm).toFixed(1)} ${y(s[key]).toFixed(1)}`).join('L');
	const at = 'form-side';
	const change = (changes: Record<string, unknown>) =>
		store.keep([{ op: 'form_sides', sides: [store.cornerId(form.side)], changes }], at);
	const row = $derived(store.document?.forms?.find((one) => one.sides.includes(form.side)));
	const level = (i: number) => row?.ground[i] ?? null;
	const shown = (mm: number | undefined) => (mm === undefined ? '' : typedLength(-mm, store.units));
	/** Ground is typed as a depth below the finished top: 10" is 10 in down. */
	const negative = (typed: string) => (typed.trim().startsWith('-') ? typed.trim().slice(1) : `-${typed.trim()}`);
	const ends = $derived([0, length]);
	async function ground(end: number, typed: string) {
		const other = level(1 - end)?.level_mm ?? null;
		const own = negative(typed);
		const levels = end === 0 ? [own, other ?? own] : [other ?? own, own];
		return change({ ground: levels.map((value, i) => ({ at_mm: ends[i], level_mm: value })) });
	}
	const station = (mm: number) => (store.units === 'mm' ? `${Math.round(mm)}` : `${+(mm / 304.8).toFixed(2)}'`);
	const alongText = $derived(
		(row?.ground.length ?? 0) > 2
			? (row?.ground ?? []).map((spot) => `${shown(spot.level_mm)} at ${station(spot.at_mm)}`).join(', ')
			: ''
	);
	const problem = $derived(store.problemFor(at));
</script>

<div class="side mt-8 border-y-2 border-ink px-0 py-6">
	<h2>
		{form.name}: <Frac text={form.height_text} />
		{w.lines.highWord}{form.lean_mm ? `, ${w.lines.leanIn} ` : ''}{#if form.lean_mm}<Frac text={form.lean_text} />{/if}
	</h2>
	<svg class="block w-full" viewBox="0 0 {W} 116" role="img" aria-label="{form.name}, {form.height_text}">
		{#each form.courses as course}
			<rect
				x={x(course.from_mm)}
				y={y(top) + (course.top_mm / tall) * 66}
				width={Math.max(2, x(course.to_mm) - x(course.from_mm))}
				height={(course.deep_mm / tall) * 66}
				class="board fill-board stroke-ink stroke-[1.2px]"
			/>
		{/each}
		<path
			d="M{line('ground_mm')}L{x(length)} 112L{x(0)} 112Z"
			class="fill-[color-mix(in_srgb,_var(--color-soil)_28%,_var(--color-bench))]"
		/>
		<path d="M{line('ground_mm')}" class="fill-none stroke-soil stroke-[2.4px]" />
		<path d="M{line('top_mm')}" class="fill-none stroke-chalk stroke-2" />
		{#each form.stake_at_mm as mm, i}
			<path
				d="M{x(mm)} {y(top) - 8}V104"
				class={['stroke-ink', form.kicker_every > 0 && i % form.kicker_every === 0 ? 'stroke-[4.4px]' : 'stroke-2']}
			/>
		{/each}
		{#if !form.ground_known}<text class="fill-ink text-label font-[600]" x={W / 2} y="111" text-anchor="middle"
				>{w.lines.groundNotSet}</text
			>{/if}
	</svg>
	<div class="flex flex-wrap gap-x-16 gap-y-6">
		{#each [0, 1] as end}
			<Field
				label={w.lines.groundAt(form.name.split(' ')[end * 2] ?? '')}
				mode="text"
				width="150px"
				value={shown(level(end)?.level_mm)}
				{problem}
				keep={(typed) => ground(end, typed)}
			/>
		{/each}
		<Field
			label={w.lines.groundAlong}
			width="320px"
			placeholder={w.lines.groundHint}
			calm
			value={alongText}
			{problem}
			keep={(typed) => change({ ground: typed })}
		/>
		<Field
			label={w.lines.boardsTop}
			mode="text"
			width="150px"
			placeholder={w.lines.kitChooses}
			calm
			value={row?.boards?.join(', ') ?? ''}
			{problem}
			keep={(typed) => change({ boards: typed.trim() ? typed.split(/\s*,\s*/) : null })}
		/>
		<div class="row flex flex-wrap items-center gap-4">
			<Switch on={form.backfilled} set={(backfilled) => void change({ backfilled })}>{w.lines.backfill}</Switch>
			<Switch on={form.left_out} set={(left_out) => void change({ left_out })}>{w.lines.leaveOut}</Switch>
			<Choice
				rows={(['boards', 'panel', 'foam-faced', 'none'] as const).map((build) => ({
					value: build,
					label: w.lines.builds[build]
				}))}
				value={row?.build ?? 'boards'}
				pick={(build) => build && void change({ build })}
				name={w.lines.buildName}
			/>
		</div>
	</div>
	{#if form.push_n_per_m > 0 && form.formed}<p class="label">
			<Frac text={`${form.push_words} `} />{#if how?.push}{w.lines.push} <Num working={how.push} />{/if}
		</p>{/if}
</div>
