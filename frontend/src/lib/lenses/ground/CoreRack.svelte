<script lang="ts">
	/** Cores hung from the laser line, to scale: every zone's layers and the trenches, with what the rod reads beside each. */
	import { HATCHES } from '../../drawing/hatches';
	import type { GroundState } from '../../api/schema';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	import { ground as groundWords } from '../../words/ground';
	interface Props {
		state: GroundState;
		picked: string;
		pick: (zone: string) => void;
		width: number;
		/** the cores of this row of the rack, out of all of them */
		zones: string[];
		/** it is the last row: trenches stand at its end */
		last: boolean;
	}
	let { state, picked, pick, width, zones: names, last }: Props = $props();
	const TOP = 104;
	const TALL = 214;
	/** what a reading beside a core takes */
	const READS = 78;
	const trenches = $derived(last ? state.ground.rod.filter((row) => row.key === 'trench').slice(0, 2) : []);
	const stand = $derived(state.ground.stands.at(-1) ?? null);
	const high = $derived(Math.max(0, ...state.ground.stack.map((row) => row.top_mm)));
	const deep = $derived(
		Math.min(
			...state.ground.stack.filter((row) => row.kind === 'native').map((row) => row.top_mm),
			...trenches.map((row) => row.level_mm)
		) - 30
	);
	const scale = $derived(TALL / (high - deep || 1));
	const y = (level: number) => TOP + (high - level) * scale;
	const columns = $derived(names.length + trenches.length);
	const step = $derived(Math.min(150, (width - 84) / Math.max(columns, 1)));
	const x = (i: number) => 84 + i * step;
	const boxWide = $derived(Math.max(10, Math.min(56, step - READS)));
	/** a level beside a core: the unit and 'below' are said under the drawing */
	const short = (text: string) => text.replace(/^(.*?)(?: mm)? below$/, '−$1').replace(/^(.*?)(?: mm)? over$/, '+$1');
	const spoken = (zone: string, key: string) => {
		const row = state.ground.rod.find((one) => one.zone === zone && one.key === key);
		return { text: row?.reading_text || short(row?.level_text ?? ''), heavy: row?.heavy ?? false };
	};
	/** Readings beside a core, pushed apart where layers are thin. */
	const marks = $derived(
		names.map((zone) => {
			let low = -99;
			return state.ground.stack
				.filter((row) => row.zone === zone && row.kind !== 'barrier')
				.map((row) => {
					low = Math.max(y(row.top_mm) + 5, low + 19);
					return { ...spoken(zone, row.layer), y: low };
				})
				.filter((mark) => mark.text);
		})
	);
	const base = $derived(state.ground.rod.find((row) => row.heavy && row.zone === picked));
</script>

<svg {width} height="346" class="block max-w-full" role="img" aria-label={stand ? groundWords.cores : groundWords.coresLevels}>
	{#if stand}
		<path d="M0 40H{width}" class="fill-none stroke-paint stroke-[2.4px] [stroke-dasharray:10_5]" />
		<text x="84" y="30" class="fill-paint text-body font-[700]"
			>{groundWords.tabs.laser.name}: {stand.name}, <SvgFrac text={stand.on} /></text
		>
	{/if}
	<g>
		<path class="fill-well stroke-ink stroke-2" d="M22 26V{base ? y(base.level_mm) : TOP + 60}H48V26z" />
		{#each Array.from({ length: 22 }, (_, i) => i) as i}
			{@const at = 34 + i * 11}
			{#if at < (base ? y(base.level_mm) : TOP + 60) - 4 && Math.abs(at - 72) > 10}<path
					class="fill-well stroke-ink stroke-2"
					d="M22 {at}h{i % 4 ? 7 : 13}"
				/>{/if}
		{/each}
		<path d="M14 70l12-8 8 8 8-8 14 8v10l-14-8-8 8-8-8-12 8z" class="fill-bench stroke-none stroke-2" />
		{#if base}<path d="M14 {y(base.level_mm)}h42" class="fill-well stroke-ink stroke-6" /><path
				d="M56 {y(base.level_mm)}H{x(Math.max(0, names.indexOf(picked)))}"
				class="fill-well stroke-paint stroke-[2.4px] [stroke-dasharray:10_5]"
			/>{/if}
		{#if stand}<path d="M62 32v16l-13-8z" class="fill-paint stroke-ink stroke-1" />{/if}
	</g>
	{#each names as zone, i}
		<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the list below does the same by keyboard) -->
		<g class="cursor-pointer" class:on={picked === zone} onclick={() => pick(zone)} data-core={zone}>
			<text x={x(i)} y="84" class={['name text-body', picked === zone ? 'fill-ink font-black' : 'fill-ink2 font-[600]']}
				>{zone}</text
			>
			{#each state.ground.stack.filter((row) => row.zone === zone) as row}
				{#if row.kind === 'native'}
					<path d="M{x(i)} {y(row.top_mm)}q6 9 12 2t12 2t{boxWide - 24} -3" class="fill-none stroke-soil stroke-3" />
				{:else if row.kind === 'barrier'}
					<path d="M{x(i)} {y(row.top_mm)}h{boxWide}" class="stroke-ink stroke-4 [stroke-dasharray:8_4]" />
				{:else}
					<rect
						x={x(i)}
						y={y(row.top_mm)}
						width={boxWide}
						height={Math.max(2, (row.top_mm - row.bottom_mm) * scale)}
						class="fill-well"
					/>
					<rect
						x={x(i)}
						y={y(row.top_mm)}
						width={boxWide}
						height={Math.max(2, (row.top_mm - row.bottom_mm) * scale)}
						fill="url(#{HATCHES[row.kind] ?? 'conc'})"
						stroke="var(--color-ink)"
						stroke-width={picked === zone ? 3 : 2}
					/>
					{#if (row.top_mm - row.bottom_mm) * scale > 17}<text
							x={x(i) + boxWide / 2}
							y={y((row.top_mm + row.bottom_mm) / 2) + 5}
							text-anchor="middle"
							class="fill-ink stroke-well stroke-4 text-body font-[760] [paint-order:stroke]"
							><SvgFrac text={row.thickness_text.replace(' mm', '')} /></text
						>{/if}
				{/if}
			{/each}
			{#each marks[i] ?? [] as mark}
				<text
					x={x(i) + boxWide + 6}
					y={mark.y}
					class={['fill-ink', mark.heavy ? 'text-size font-[820]' : 'text-read font-label', mark.heavy && 'font-stretch-[88%]']}
					><SvgFrac text={mark.text} /></text
				>
			{/each}
		</g>
	{/each}
	{#each trenches as row, k}
		{@const i = names.length + k}
		<g class="cursor-pointer">
			<text x={x(i)} y="84" class="name fill-ink2 text-body font-[600]"
				>{row.surface.split(' ')[0]} {groundWords.trench.toLowerCase()}</text
			>
			<rect x={x(i)} y={y(0)} width={boxWide} height={y(row.level_mm) - y(0)} class="fill-well" />
			<rect
				x={x(i)}
				y={y(0)}
				width={boxWide}
				height={y(row.level_mm) - y(0)}
				fill="url(#deep)"
				stroke="var(--color-ink)"
				stroke-width="2"
			/>
			<path d="M{x(i)} {y(row.level_mm)}q6 9 12 2t12 2t{boxWide - 24} -3" class="fill-none stroke-soil stroke-3" />
			<text x={x(i) + boxWide + 6} y={y(row.level_mm) + 5} class="fill-ink text-size font-[820] font-stretch-[88%]"
				><SvgFrac text={row.reading_text || short(row.level_text)} /></text
			>
		</g>
	{/each}
</svg>
