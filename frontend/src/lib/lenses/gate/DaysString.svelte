<script lang="ts">
	/** Trades over the days: a string a trade, a knot a task, stakes that stay, rain as strokes through the days it wets. */
	import type { ScheduleTold, TaskTold } from '../../api/schema';
	import { follow } from '../../drawing/follow';
	import { holdWords } from '../../words/holds';
	import { daysApart, dayText, letterOf, monthOf, plus, today } from '../../ui/days';
	import { between, dayAt, dayX, knotted, laneY, reduced, type Board } from './strings';
	interface Props {
		told: ScheduleTold;
		wide: number;
		task: string;
		day: string;
		pick: (task: string) => void;
		look: (day: string) => void;
		move: (task: TaskTold, day: string) => void;
	}
	let { told, wide, task, day, pick, look, move }: Props = $props();
	const words = holdWords.trades;
	const LEAST = 21;
	const board = $derived<Board>({ left: 96, top: 88, column: Math.max(LEAST, (wide - 100) / told.days.length), lane: 47 });
	const full = $derived(board.left + board.column * told.days.length + 4);
	const high = $derived(board.top + board.lane * told.lanes.length + 26);
	const rows = $derived(knotted(board, told.lanes, told.tasks));
	const waits = $derived(reduced(told.tasks));
	const of = (key: string) => rows.find((one) => one.task.key === key);
	let dragged = $state<{ key: string; day: number } | null>(null);
	const months = $derived(
		told.days.flatMap((one, i) => (i === 0 || one.on.slice(8) === '01' ? [{ i, text: monthOf(one.on) }] : []))
	);
	const lookX = $derived(day ? daysApart(told.start, day) : -1);
	const nowX = $derived(daysApart(told.start, today()));
	function grab(one: TaskTold, event: PointerEvent) {
		pick(one.key);
		if (one.state === 'done' || one.key === 'build') return;
		const node = event.currentTarget as SVGElement;
		node.setPointerCapture(event.pointerId);
		const box = node.ownerSVGElement!.getBoundingClientRect();
		const at = (now: PointerEvent) => dayAt(board, now.clientX - box.left, told.days.length);
		const first = one.day;
		const start = at(event);
		follow(
			node,
			(now) => {
				const to = first + at(now) - start;
				dragged = to === first ? null : { key: one.key, day: to };
			},
			() => {
				if (dragged) move(one, plus(told.start, dragged.day));
				dragged = null;
			}
		);
	}
	function keys(one: TaskTold, event: KeyboardEvent) {
		const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
		if (event.key === 'Enter' || event.key === ' ') pick(one.key);
		else if (by && one.state !== 'done') move(one, plus(one.booked_on ?? one.start, by));
		else return;
		event.preventDefault();
		event.stopPropagation();
	}
	const says = (one: TaskTold) =>
		`${one.name}, ${one.text}, ${{ done: words.doneWord, stake: words.stake, flag: words.flag, loop: words.loop }[one.state] ?? ''}`;
</script>

<div class="overflow-x-auto" data-days={told.days.length}>
	<svg width={full} height={high} class="block" role="group" aria-label={words.rain}>
		{#each months as month (month.i)}<text
				x={month.i ? dayX(board, month.i) - board.column / 2 + 4 : 0}
				y="15"
				class="fill-ink text-body font-heavy">{month.text}</text
			>{/each}
		{#each told.days as one, i (one.on)}
			{@const x = board.left + i * board.column}
			<g data-day={one.on} data-rain={one.rain_mm}>
				<rect
					{x}
					y="20"
					width={board.column}
					height={high - 24}
					class={['cursor-pointer', i === lookX ? 'fill-chalk-tint' : 'fill-transparent']}
					role="button"
					tabindex="-1"
					aria-label="{dayText(one.on)}{one.rain_text ? `, ${words.rain} ${one.rain_text}` : ''}"
					onclick={() => look(one.on)}
					onkeydown={(event) => event.key === 'Enter' && look(one.on)}
				/>
				<g class="pointer-events-none">
					{#if i === lookX}<rect {x} y="20" width={board.column} height="38" class="fill-chalk" />{/if}
					<text
						x={x + board.column / 2}
						y="35"
						text-anchor="middle"
						class={['text-label', i === lookX ? 'fill-on-chalk' : one.works ? 'fill-ink' : 'fill-ink2']}
						>{letterOf(one.weekday)}</text
					>
					<text
						x={x + board.column / 2}
						y="53"
						text-anchor="middle"
						class={[
							'text-label',
							one.works ? 'font-heavy' : '',
							i === lookX ? 'fill-on-chalk' : one.works ? 'fill-ink' : 'fill-ink2'
						]}>{+one.on.slice(8)}</text
					>
					<path d="M{x} {one.weekday === 0 ? 44 : 52}V58" class={['stroke-ink', one.weekday === 0 && 'stroke-2']} />
					{#if one.rain_text}
						<text x={x + board.column / 2} y="74" text-anchor="middle" class="fill-chalk text-label font-heavy"
							>{one.rain_text.replace(' in', '″').replace(' mm', '')}</text
						>
						<path
							d={[...Array(Math.max(2, Math.floor(board.column / 8))).keys()]
								.map((n) => `M${x + 7 + n * 8} 80L${x + n * 8} ${high - 6}`)
								.join('')}
							class={[
								'fill-none stroke-chalk [stroke-dasharray:8_7]',
								one.rain_mm < 6 ? 'stroke-1 opacity-40' : 'stroke-[1.6px] opacity-70'
							]}
						/>
					{/if}
				</g>
			</g>
		{/each}
		<path d="M{board.left} 58H{full}" class="stroke-ink stroke-2" />
		<text x="0" y="74" class="fill-ink text-body font-heavy">{words.rain}</text>
		{#each told.lanes as lane (lane.key)}
			{@const y = laneY(board, told.lanes, lane.key)}
			<text x="0" y={y - 2} class="fill-ink text-body font-heavy">{lane.name}</text>
			<text x="0" y={y + 14} class="fill-ink2 text-label"
				>{lane.who.length > 14 && lane.who.includes(', ') ? words.many(lane.who.split(', ').length) : lane.who.slice(0, 15)}</text
			>
			<path d="M{board.left} {y}H{full}" class="stroke-hair" />
		{/each}
		{#if nowX >= 0 && nowX < told.days.length}<path
				d="M{board.left + nowX * board.column} 58V{high}"
				class="stroke-flag stroke-2"
			/>{/if}
		{#each rows as row (row.task.key)}
			{#each waits.get(row.task.key) ?? [] as key (key)}
				{@const from = of(key)}
				{#if from}
					{@const tight = from.task.tight && row.task.tight && row.task.day - from.task.last_day < 5}
					<path
						d={between({ x: from.end, y: from.y }, row, tight, from.task.float_days)}
						class={[
							'fill-none',
							tight
								? 'stroke-chalk stroke-[3px]'
								: from.task.state === 'done'
									? 'stroke-chalk stroke-[1.6px]'
									: 'stroke-ink stroke-[1.4px]'
						]}
					/>
				{/if}
			{/each}
			{#each row.task.refused as no (no.on)}
				{@const x = dayX(board, daysApart(told.start, no.on))}
				<circle cx={x} cy={row.y} r="8" class="fill-none stroke-flag stroke-2 [stroke-dasharray:4_3]" /><path
					d="M{x - 9} {row.y + 9}L{x + 9} {row.y - 9}"
					class="stroke-flag stroke-2"
				/>
				<path
					d="M{x + 8} {row.y - 5}Q{(x + row.x) / 2} {row.y - 34} {row.x - 6} {row.y - 6}"
					class="fill-none stroke-flag stroke-[1.6px] [stroke-dasharray:5_4]"
				/>
			{/each}
		{/each}
		{#each rows as row (row.task.key)}
			{@const one = row.task}
			{@const at = dragged?.key === one.key ? dayX(board, dragged.day) : row.x}
			<g
				transform="translate({at} {row.y})"
				role="button"
				tabindex="0"
				aria-label={says(one)}
				aria-pressed={task === one.key}
				class="cursor-grab touch-none"
				onpointerdown={(event) => grab(one, event)}
				onkeydown={(event) => keys(one, event)}
				data-task={one.key}
				data-state={one.state}
				data-start={one.start}
			>
				<rect x="-15" y="-22" width="30" height="44" class="fill-transparent" />
				{#if row.end > row.x + 2 && one.key !== 'cure'}<path
						d="M0 0H{row.end - row.x}"
						class={['stroke-3', one.tight ? 'stroke-chalk' : 'stroke-ink']}
					/>{/if}
				{#if one.key === 'cure'}<path
						d="M0 -5H{row.end - row.x}l-6 5 6 5H0Z"
						class="fill-chalk-tint stroke-ink stroke-[1.2px] [stroke-dasharray:6_2]"
					/>
				{:else if one.state === 'done'}
					<ellipse rx="10" ry="7.5" class="fill-chalk" /><path
						d="M-4 -6q4 6 0 12M1 -6q4 6 0 12"
						class="fill-none stroke-bench stroke-[1.5px]"
					/>
				{:else if one.key === 'pour'}
					<path
						d="M-15 -9H-4V-14H6V-4H15V9H-15Z"
						class={['stroke-2', one.state === 'flag' ? 'fill-bench stroke-flag' : 'fill-slab stroke-ink']}
					/>
				{:else if one.state === 'stake'}
					<path d="M-7 -13H7V8L0 18L-7 8Z" class="fill-board stroke-ink stroke-[1.8px]" />
				{:else if one.state === 'flag'}
					<path d="M-5 6l-6 14 6-3 4 4 2-15zM5 6l6 14-6-3-4 4-2-15z" class="fill-flag stroke-ink" /><rect
						x="-8"
						y="-8"
						width="16"
						height="14"
						class="fill-flag stroke-ink"
					/>
				{:else}
					<ellipse rx="7.5" ry="8" class={['fill-bench stroke-[2.2px]', one.tight ? 'stroke-chalk' : 'stroke-ink']} />
				{/if}
				{#if task === one.key}<circle r="17" class="fill-none stroke-chalk stroke-[2.6px]" />{/if}
			</g>
			{#if one.state === 'flag' && one.booked_on}
				{@const x = dayX(board, daysApart(told.start, one.booked_on))}
				<path d="M{x - 7} {row.y - 13}h14v21l-7 10-7-10Z" class="fill-board stroke-flag stroke-2" />
			{/if}
			<text
				x={row.name.x + at - row.x}
				y={row.name.y}
				text-anchor={row.name.anchor}
				class={[
					'pointer-events-none text-label',
					one.tight ? 'fill-chalk font-heavy' : 'fill-ink font-mid',
					one.state === 'flag' && 'fill-flag'
				]}>{one.name}</text
			>
		{/each}
	</svg>
</div>
