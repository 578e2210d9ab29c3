<script lang="ts">
	/** A ribbon a room on one tape of dates: width is strength, a cut is when it may be. */
	import type { ZoneCure } from '../../api/schema';
	import { cureWords } from '../../words/cure';
	import type { CureData } from './cure.svelte';
	import { FIRST_DAYS, halfAt, ribbon, scarf, tapeOf } from './tape';
	let { data }: { data: CureData } = $props();
	const words = cureWords.strength;
	const HIGH = 68;
	const HALF = 13;
	let wide = $state(780);
	const small = $derived(wide < 520);
	const told = $derived(data.told);
	const zones = $derived(data.zones);
	const tape = $derived(tapeOf(told?.placed_h ?? 0, small ? 8 : 116, wide - 10));
	const TOP = 34;
	const high = $derived(TOP + zones.length * HIGH + 26);
	const days = $derived(
		(told?.days ?? [])
			.map(([hour, name]) => {
				const near = hour - tape.begin <= FIRST_DAYS * 24;
				return {
					hour,
					near,
					x: tape.x(hour),
					says:
						near && !small
							? name
							: name
									.split(' ')
									.slice(1, small ? 2 : 3)
									.join(' ')
				};
			})
			.filter(({ hour, near, x }, n) => {
				if (hour < tape.begin) return false;
				return near ? (!small || n % 2 === 1) && x < tape.cut - (small ? 18 : 60) : n % 7 === 0 && x < tape.right - 44;
			})
	);
	const shown = (zone: ZoneCure) =>
		zone.events.filter(
			(one) => ['strip', 'build', 'drive', 'load'].includes(one.key) && one.low_h !== null && one.high_h !== null
		);
	const bare = (text: string) => text.replace(/ (\d+) (\w+)$/, ' $1');
	const short = (zone: ZoneCure, key: string) => bare(zone.events.find((one) => one.key === key)?.late_text ?? '');
	/** clear of the line of now */
	const stripX = (zone: ZoneCure) => {
		const now = tape.x(told?.now_h ?? tape.begin);
		return now < tape.left + 8 * (6 + short(zone, 'strip').length) ? Math.max(tape.left, now + 8) : tape.left;
	};
	/** words of what comes late: under the ribbon when it may be driven on, over it when it may be loaded */
	const late = (zone: ZoneCure) => {
		const build = zone.events.find((one) => one.key === 'build')?.high_h ?? tape.begin;
		return ['drive', 'load'].flatMap((key) => {
			const one = zone.events.find((row) => row.key === key);
			if (!one || one.high_h === null) return [];
			const text = `${one.name} ${short(zone, key).replace(/ \d+:\d+$/, '')}`;
			const half = text.length * 3.4;
			const x = Math.min(tape.right - half, tape.x(one.high_h));
			const under = key === 'drive';
			if (under && x - half < tape.x(build) + 44) return [];
			return [{ key, x, text, down: under ? HALF + 16 : -HALF - 6 }];
		});
	};
	/** hours of a ribbon that somebody read, as dashes where nobody did though others were read */
	const unread = (zone: ZoneCure): [number, number][] => {
		if (!zone.read_h.length) return [];
		const rows = zone.read_h;
		const gaps = rows.slice(1).map((one, i) => [rows[i]?.[1] ?? 0, one[0]] as [number, number]);
		const last = rows.at(-1)?.[1] ?? 0;
		return [...gaps, ...((told?.now_h ?? 0) > last + 3 ? [[last, told?.now_h ?? last] as [number, number]] : [])];
	};
</script>

<div class="mt-8" bind:clientWidth={wide}>
	<svg
		width={wide}
		height={high}
		role="group"
		aria-label={zones.map((zone) => `${zone.name}: ${zone.events.map((one) => `${one.name} ${one.text}`).join(', ')}`).join('. ')}
	>
		<defs>
			<pattern id="night" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
				<path d="M0 0V9" class="stroke-ink2 stroke-[1.4px]" />
			</pattern>
		</defs>
		{#each told?.nights ?? [] as [from, until, text] (from)}
			{#if from - tape.begin < FIRST_DAYS * 24}
				<rect
					x={tape.x(from)}
					y={TOP}
					width={Math.max(6, tape.x(until) - tape.x(from))}
					height={high - TOP - 22}
					fill="url(#night)"
				/>
				<text x={tape.x(from)} y={high - 6} class="fill-ink text-note font-heavy" data-night>{text}</text>
			{/if}
		{/each}
		<path d="M{tape.left} {TOP - 8}H{tape.cut - 3}M{tape.on + 3} {TOP - 8}H{tape.right}" class="stroke-ink stroke-[1.6px]" />
		<path d="M{tape.cut - 4} {TOP}l6 -16M{tape.on - 4} {TOP}l6 -16" class="stroke-ink stroke-[1.6px]" />
		{#each days as day (day.hour)}
			<path d="M{day.x} {TOP - 8}v-7" class="stroke-ink stroke-[1.6px]" />
			<text x={day.x + 2} y={TOP - 18} class="fill-ink text-label font-mid">{day.says}</text>
		{/each}
		{#each zones as zone, i (zone.zone)}
			{@const y = TOP + i * HIGH + HIGH / 2}
			{@const end = tape.begin + FIRST_DAYS * 24}
			{@const strip = zone.events.find((one) => one.key === 'strip')?.at_h ?? tape.begin}
			{#if data.held?.zone === zone.zone}<rect
					x="1"
					y={y - HIGH / 2 + 2}
					width={wide - 2}
					height={HIGH - 4}
					class="fill-well stroke-ink stroke-2"
				/>{/if}
			<text x={small ? 8 : 10} y={small ? y - 20 : y - 2} class="fill-ink text-read font-heavy"
				>{zone.name}{#if small}<tspan class="fill-chalk">{` ${cureWords.build(bare(zone.build_text))}`}</tspan>{/if}</text
			>
			{#if !small}<text x="10" y={y + 15} class="fill-ink2 text-note">{zone.thick_text}</text>{/if}
			{#if zone.froze_text}<text x={tape.left + 4} y={y + 5} class="fill-flag text-read font-heavy">{words.froze}</text>
			{:else}
				<path d={ribbon(zone.ribbon, tape, y, HALF, tape.begin, end)} class="fill-line stroke-ink stroke-[1.4px]" />
				<path d={ribbon(zone.ribbon, tape, y, HALF, tape.begin, Math.min(end, strip))} class="fill-ink2" />
				<path d={ribbon(zone.ribbon, tape, y, HALF, end + 1, tape.begin + 28 * 24)} class="fill-well stroke-ink stroke-[1.4px]" />
				{#each unread(zone) as [from, until] (from)}<path
						d="M{tape.x(from)} {y - halfAt(zone.ribbon, from, HALF) - 4}H{tape.x(until)}"
						class="stroke-flag stroke-[3px] [stroke-dasharray:5_4]"
						data-unread
					/>{/each}
				{#each shown(zone) as one (one.key)}
					<path
						d={scarf(zone.ribbon, tape, y, HALF, one.low_h ?? 0, one.high_h ?? 0)}
						class={one.key === 'build' ? 'stroke-chalk stroke-[4px]' : 'stroke-ink stroke-[2.4px]'}
						data-cut={one.key}
					/>
				{/each}
				{@const build = zone.events.find((one) => one.key === 'build')}
				{#if build?.low_h && !small}<text
						x={tape.x(build.low_h)}
						y={y - HALF - 5}
						class="fill-chalk stroke-bench stroke-[4px] text-read font-heavy [paint-order:stroke]">{build.name}</text
					>
					{#if build.high_h && !small}<text
							x={Math.min(tape.cut - 60, tape.x(build.high_h))}
							y={y + HALF + 16}
							text-anchor="middle"
							class="fill-ink stroke-bench stroke-[4px] text-note font-mid [paint-order:stroke]">{short(zone, 'build')}</text
						>{/if}{/if}
				{#if !small}{#each late(zone) as one (one.key)}<text
							x={one.x}
							y={y + one.down}
							text-anchor="middle"
							class="fill-ink stroke-bench stroke-[4px] text-note font-mid [paint-order:stroke]"
							data-late-word={one.key}>{one.text}</text
						>{/each}{/if}
				{#if !small}<text
						x={stripX(zone)}
						y={y + HALF + 14}
						class="fill-ink stroke-bench stroke-[4px] text-label [paint-order:stroke]">strip {short(zone, 'strip')}</text
					>{/if}
			{/if}
			<rect
				x="0"
				y={y - HIGH / 2}
				width={wide}
				height={HIGH}
				class="cursor-pointer fill-transparent"
				role="button"
				tabindex="0"
				aria-label={words.why(zone.name)}
				onclick={() => (data.zone = zone.zone)}
				onkeydown={(event) => event.key === 'Enter' && (data.zone = zone.zone)}
				data-ribbon={zone.name}
			/>
		{/each}
		{#if told}
			<path d="M{tape.x(told.now_h)} {TOP - 4}V{high - 24}" class="pointer-events-none stroke-ink stroke-2" />
			<path d="M{tape.x(told.now_h) - 6} {high - 26}h12l-6 8z" class="fill-ink" />
		{/if}
	</svg>
</div>
<p class="text-note text-ink2">{words.slant} {zones.some((zone) => unread(zone).length) ? words.unread : ''}</p>
