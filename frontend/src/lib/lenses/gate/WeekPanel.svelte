<script lang="ts">
	/** Who is where? People are strings that run through the jobs of a week; two places at once fork and are flagged. */
	import { follow } from '../../drawing/follow';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { holdWords } from '../../words/holds';
	import { dayText, plus, shortDay } from '../../ui/days';
	import { lanesOf, spotsOf, wayOf, type Spot } from './persons';
	import { parted } from './strings';
	import type { WeekData } from './week.svelte';
	let { data }: { data: WeekData } = $props();
	const words = holdWords.week;
	const week = $derived(data.week);
	let wide = $state(836);
	const LEFT = 138;
	const column = $derived(Math.max(72, (wide - LEFT - 8) / 7));
	const dayX = (day: number) => LEFT + (day + 0.5) * column;
	const lanes = $derived(lanesOf(week?.lanes ?? [], week?.stops ?? [], 44));
	const high = $derived((lanes.at(-1)?.y ?? 44) + (lanes.at(-1)?.high ?? 60) + 8);
	const spots = $derived(spotsOf(lanes, week?.stops ?? [], week?.people ?? [], dayX));
	const person = $derived(data.person);
	let said = $state('');
	let dragged = $state<{ spot: Spot; x: number; y: number } | null>(null);
	const laneAt = (y: number) => lanes.find((one) => y >= one.y && y < one.y + one.high)?.job.id ?? '';
	function grab(spot: Spot, event: PointerEvent) {
		[data.picked, job, day] = [spot.name, spot.job, spot.day];
		const node = event.currentTarget as SVGElement;
		node.setPointerCapture(event.pointerId);
		const box = node.ownerSVGElement!.getBoundingClientRect();
		follow(
			node,
			(now) => (dragged = { spot, x: now.clientX - box.left, y: now.clientY - box.top }),
			() => {
				const to = dragged && { job: laneAt(dragged.y), day: Math.floor((dragged.x - LEFT) / column) };
				if (dragged && to?.job && to.day >= 0 && to.day < 7 && Math.hypot(dragged.x - spot.x, dragged.y - spot.y) > 18)
					void data.move(spot.name, spot, to);
				dragged = null;
			}
		);
	}
	/** Arrows: to the stop before or after of the same job, or of the job above or below on that day. */
	function keys(spot: Spot, event: KeyboardEvent) {
		if (event.key === 'Enter' || event.key === ' ') data.picked = spot.name;
		else if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
			const by = event.key === 'ArrowLeft' ? -1 : 1;
			const own = (week?.stops ?? []).filter((one) => one.job === spot.job && (one.day - spot.day) * by > 0);
			const to = own.sort((a, b) => (a.day - b.day) * by)[0];
			if (to) void data.move(spot.name, spot, to);
		} else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
			const at = lanes.findIndex((one) => one.job.id === spot.job);
			const rows = event.key === 'ArrowUp' ? lanes.slice(0, at).reverse() : lanes.slice(at + 1);
			const to = rows.find((one) => week?.stops.some((stop) => stop.job === one.job.id && stop.day === spot.day));
			if (to) void data.move(spot.name, spot, { job: to.job.id, day: spot.day });
		} else return;
		event.preventDefault();
		event.stopPropagation();
	}
	let job = $state('');
	let day = $state(0);
	const booked = $derived((week?.stops ?? []).filter((one) => one.job === job));
	const rowsOf = $derived((week?.lanes ?? []).map((one) => ({ value: one.id, label: one.name })));
	const dayRows = $derived(
		booked.map((one) => ({ value: `${one.day}`, label: `${dayText(week?.days[one.day] ?? data.from)}, ${one.words}` }))
	);
	const on = $derived(week?.days[day] ?? '');
	const there = $derived(booked.some((one) => one.day === day && one.people.includes(data.picked)));
	$effect(() => {
		if (!week?.lanes.some((one) => one.id === job)) job = week?.lanes[0]?.id ?? '';
	});
	$effect(() => {
		if (booked.length && !booked.some((one) => one.day === day)) day = booked[0]!.day;
	});
</script>

<div bind:clientWidth={wide}>
	{#if week}
		<Verdict text={week.verdict} under={week.beside} is={week.clashes.length ? 'bad' : 'plain'} />
		<div class="mt-6 flex gap-6">
			<Act kind="quiet" onclick={() => void data.turn(-1)}>‹ {words.earlier}</Act>
			<Act kind="quiet" onclick={() => void data.turn(1)}>{words.later} ›</Act>
		</div>
		{#if !data.crew.length}<p class="label mt-6">{words.nobody}</p>{/if}
		<div class="mt-6 overflow-x-auto" data-week={data.from}>
			<svg width={LEFT + column * 7 + 8} height={high} role="group" aria-label={words.person}>
				{#each week.days as one, i (one)}
					<path d="M{LEFT + i * column} 6V30" class="stroke-ink" /><text
						x={dayX(i)}
						y="22"
						text-anchor="middle"
						class="fill-ink text-body font-heavy">{shortDay(one)}</text
					>
				{/each}
				<path d="M{LEFT} 30H{LEFT + column * 7}" class="stroke-ink stroke-2" />
				{#each lanes as lane (lane.job.id)}
					{@const [first, rest] = parted(lane.job.name)}
					<text x="0" y={lane.y + 40} class="fill-ink text-body font-heavy">{first}</text><text
						x="0"
						y={lane.y + 58}
						class="fill-ink2 text-label">{rest}</text
					>
					<path d="M0 {lane.y + lane.high}H{LEFT + column * 7}" class="stroke-hair" />
				{/each}
				{#each week.people as one (one.name)}
					<path
						d={wayOf(spots.filter((spot) => spot.name === one.name))}
						class={[
							'fill-none',
							one.twice.length
								? 'stroke-flag stroke-[2.6px]'
								: one.name === data.picked
									? 'stroke-chalk stroke-[3px]'
									: 'stroke-ink2 stroke-[1.4px]'
						]}
					/>
				{/each}
				{#each week.stops as stop (`${stop.job}${stop.day}`)}
					{@const lane = lanes.find((one) => one.job.id === stop.job)}
					{#if lane}
						<text
							x={dayX(stop.day)}
							y={lane.y + 20}
							text-anchor="middle"
							class={['text-label', stop.pour ? 'fill-ink font-heavy' : 'fill-ink2']}>{stop.words.slice(0, 16)}</text
						>
						{#each [...Array(stop.short).keys()] as i (i)}<circle
								cx={dayX(stop.day)}
								cy={lane.y + 40 + (stop.people.length + i) * 27}
								r="11"
								class="fill-none stroke-flag stroke-2 [stroke-dasharray:4_3]"
							/>{/each}
					{/if}
				{/each}
				{#each spots as spot (`${spot.name}${spot.job}${spot.day}`)}
					<g
						transform="translate({dragged?.spot === spot ? dragged.x : spot.x} {dragged?.spot === spot ? dragged.y : spot.y})"
						role="button"
						tabindex="0"
						class="cursor-grab touch-none"
						aria-label="{spot.name}, {dayText(week.days[spot.day] ?? '')}"
						aria-pressed={data.picked === spot.name}
						onpointerdown={(event) => grab(spot, event)}
						onkeydown={(event) => keys(spot, event)}
						data-person={spot.name}
						data-twice={spot.twice}
					>
						<rect x="-22" y="-22" width="44" height="44" class="fill-transparent" />
						{#if spot.twice}<rect x="-12" y="-12" width="24" height="24" class="fill-flag stroke-ink" />
						{:else}<circle
								r="12"
								class={[data.picked === spot.name ? 'fill-chalk' : 'fill-sheet', 'stroke-ink stroke-[1.6px]']}
							/>{/if}
						<text
							y="5"
							text-anchor="middle"
							class={[
								'text-label font-heavy',
								spot.twice ? 'fill-sheet dim:fill-ground' : data.picked === spot.name ? 'fill-on-chalk' : 'fill-ink'
							]}>{spot.letter}</text
						>
					</g>
				{/each}
			</svg>
		</div>
		<p class="label">{words.drag}</p>
		<div class="mt-6 flex flex-wrap items-end gap-8">
			<label class="label min-w-220 flex-1"
				>{words.say}<input
					class="well w-full font-pencil text-key text-pencil"
					placeholder={words.sayHint}
					bind:value={said}
					onkeydown={(event) => event.key === 'Enter' && void data.said(said).then((ok) => ok && (said = ''))}
				/></label
			>
			{#if data.last}<Act kind="plain" onclick={() => void data.back()}>{words.back}</Act>{/if}
		</div>
		{#if data.wrong}<p class="wrong" role="alert">{data.wrong}</p>{/if}
		{#each week.clashes as clash (clash.words)}<p class="mt-4 font-heavy text-flag" data-clash={clash.kind}>
				{clash.words}
			</p>{/each}
		{#if week.ways_out.length}<h2 class="panel-head">{words.ways}</h2>
			<div class="flex flex-wrap gap-6">
				{#each week.ways_out as way (way.job)}<Act
						kind="plain"
						onclick={() => void data.keep(way.job, [{ op: 'set_task', task: 'pour', changes: { on: way.on } }])}>{way.words}</Act
					>{/each}
			</div>{/if}
		<h2 class="panel-head">{words.person}</h2>
		<div class="flex flex-wrap gap-6">
			{#each data.crew as name (name)}<Act kind="quiet" on={data.picked === name} onclick={() => (data.picked = name)}>{name}</Act
				>{/each}
		</div>
		{#if data.picked}
			<p class="mt-6">
				<b>{words.put(data.picked)}</b>
				{person?.stops.length
					? person.stops
							.map(([at, id]) => `${dayText(plus(data.from, at))}: ${week.lanes.find((one) => one.id === id)?.name ?? ''}`)
							.join('; ')
					: words.free}
			</p>
			{#if rowsOf.length}
				<div class="mt-6 flex flex-wrap items-end gap-8">
					<Choose label name={words.to} rows={rowsOf} value={job} pick={(now) => (job = now)} />
					{#if dayRows.length}<Choose
							label
							name={words.day}
							rows={dayRows}
							value={`${day}`}
							pick={(now) => (day = Number(now))}
						/>{/if}
					<Act kind="main" onclick={() => void data.send(job, on, data.picked, !there)}>{there ? words.away : words.send}</Act>
				</div>
			{/if}
		{/if}
	{:else}<Verdict text="…" under={data.problem || holdWords.working} />{/if}
</div>
