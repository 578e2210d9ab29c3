<script lang="ts">
	/** The pour over the plan: what is wet, what is full and when, where fronts stood and should have, what the next act is about. A tap says
	 * where the front stands, a press on a number that its strip is struck. */
	import type { StripNow } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	import { pourWords as words } from '../../words/pour';
	import OverFinish from './OverFinish.svelte';
	import type { PourData } from './pour.svelte';
	let { view, data, tab }: { view: Viewport; data: PourData; tab: string } = $props();
	const own = $props.id();
	const small = $derived(view.scale < 0.033);
	const lit = $derived(new Set(tab === 'now' ? (data.next?.parts ?? []) : []));
	const spots = $derived(tab === 'now' && data.next?.kind !== 'strike' ? (data.next?.spots ?? []) : []);
	const fronts = $derived(data.told?.fronts.filter((one) => one.counts && one.lines.length) ?? []);
	/** the newest, and the ones at which trucks ran out */
	const shown = $derived(tab === 'left' ? fronts.filter((one, i) => one.truck || i === fronts.length - 1) : fronts.slice(-1));
	const wave = (line: readonly XY[]) => {
		const [a, b] = [view.px(line[0] as XY), view.px(line.at(-1) as XY)];
		const size = Math.hypot(b[0] - a[0], b[1] - a[1]);
		const count = Math.max(2, Math.round(size / 14));
		const [ux, uy] = [(b[0] - a[0]) / count, (b[1] - a[1]) / count];
		let path = `M${a[0]} ${a[1]}`;
		for (let i = 0; i < count; i++) {
			const side = i % 2 ? 5 : -5;
			const [nx, ny] = [(-uy / Math.hypot(ux, uy)) * side, (ux / Math.hypot(ux, uy)) * side];
			path += `q${ux / 2 + nx} ${uy / 2 + ny} ${ux} ${uy}`;
		}
		return path;
	};
	const straight = (line: readonly XY[]) => `M${line.map((spot) => view.px(spot).join(' ')).join('L')}`;
	function tap(event: MouseEvent) {
		const frame = (event.currentTarget as SVGElement).ownerSVGElement?.getBoundingClientRect();
		if (!frame) return;
		const [x, y] = view.mm(event.clientX - frame.left, event.clientY - frame.top);
		void data.tap([Math.round(x), Math.round(y)]);
	}
	const says = (row: StripNow) => (tab === 'left' ? row.left_text.replace(/ (yd|m³)$/, '') : row.full_text);
	const tiny = $derived(view.scale < 0.016);
	const reads = (row: StripNow) => (tiny || (small && row.full) ? '' : says(row));
</script>

<defs>
	<pattern id="{own}-shade" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
		<path d="M0 0V9" class="stroke-ink2 stroke-[1.6px]" />
	</pattern>
	<pattern id="{own}-wet" width="10" height="10" patternUnits="userSpaceOnUse">
		<path d="M2 2h2v2h-2zM7 6h2v2h-2z" class="fill-ink opacity-60" />
	</pattern>
</defs>
{#each data.strips as row (row.id)}
	<path
		d={view.path(row.rings as XY[][])}
		fill-rule="evenodd"
		class={['stroke-ink stroke-[1px]', row.full ? 'fill-line' : lit.has(row.id) ? 'fill-chalk-tint' : 'fill-transparent']}
		data-strip={row.n}
		data-full={row.full}
	/>
	{#if row.full}<path d={view.path(row.rings as XY[][])} fill="url(#{own}-wet)" class="pointer-events-none" />{/if}
	{#if row.wet.length}<path
			d={view.path(row.wet as XY[][])}
			fill-rule="evenodd"
			class="fill-line stroke-ink stroke-[1px]"
			data-front-share={row.full_share.toFixed(2)}
		/>{/if}
{/each}
<!-- svelte-ignore a11y_no_static_element_interactions, a11y_click_events_have_key_events (numbers take the keyboard) -->
<path
	d={view.path(data.strips.flatMap((row) => row.rings) as XY[][])}
	class="cursor-crosshair fill-transparent"
	onclick={tap}
	data-tap-front
/>
{#each shown as one (one.record)}
	{#each one.should as line, i (i)}{#if tab === 'left'}<path
				d={straight(line as XY[])}
				class="pointer-events-none fill-none stroke-chalk stroke-[4px]"
				data-should
			/>{/if}{/each}
	{#each one.lines as line, i (i)}
		<path
			d={one === shown.at(-1) ? wave(line as XY[]) : straight(line as XY[])}
			class={['pointer-events-none fill-none stroke-ink stroke-[4px]', one !== shown.at(-1) && '[stroke-dasharray:3_5]']}
			data-front={one.at_text}
		/>
	{/each}
{/each}
{#each tab === 'trouble' ? (data.told?.stops ?? []) : [] as one, i (i)}
	{@const [a, b] = [view.px(one.line[0] as XY), view.px(one.line[1] as XY)]}
	<path
		d="M{a[0]} {a[1]}L{b[0]} {b[1]}"
		class={['pointer-events-none stroke-[5px]', i ? 'stroke-ink2' : 'stroke-flag']}
		data-stop={i + 1}
	/>
	<text
		x={(a[0] + b[0]) / 2 + 10}
		y={(a[1] + b[1]) / 2 - 8}
		class="pointer-events-none fill-ink stroke-sheet stroke-[4px] text-key font-black [paint-order:stroke]">{i + 1}</text
	>
{/each}
{#if tab === 'finish'}<OverFinish {view} {data} shade="{own}-shade" />{/if}
{#each spots as spot, i (i)}
	{@const at = view.px(spot as XY)}
	<circle cx={at[0]} cy={at[1]} r={small ? 4 : 6} class="pointer-events-none fill-sheet stroke-chalk stroke-[2.6px]" data-spot />
{/each}
{#each tab === 'finish' ? [] : data.strips as row (row.id)}
	{@const at = view.px(row.at as XY)}
	<g
		class={row.full ? '' : 'cursor-pointer'}
		role="button"
		tabindex={row.full ? -1 : 0}
		aria-label="{row.n} {row.name}, {row.full ? words.states['done'] : words.struck}"
		aria-disabled={row.full}
		onclick={() => !row.full && void data.struck(row.id)}
		onkeydown={(event) => event.key === 'Enter' && !row.full && (event.stopPropagation(), void data.struck(row.id))}
		data-number={row.n}
	>
		<rect x={at[0] - 22} y={at[1] - 22} width="44" height="44" class="fill-transparent" />
		<circle
			cx={at[0]}
			cy={at[1]}
			r={small ? 11 : 15}
			class={['stroke-ink stroke-2', row.full_share > 0 && !row.full ? 'fill-ink' : 'fill-well']}
		/>
		<text
			x={at[0]}
			y={at[1] + (small ? 4 : 6)}
			text-anchor="middle"
			class={[small ? 'text-label' : 'text-key', 'font-black', row.full_share > 0 && !row.full ? 'fill-sheet' : 'fill-ink']}
			>{row.n}</text
		>
	</g>
	{#if reads(row)}
		<text
			x={at[0]}
			y={at[1] + (small ? 24 : 36)}
			text-anchor="middle"
			class={[
				'pointer-events-none fill-ink stroke-sheet stroke-[5px] font-heavy [paint-order:stroke]',
				small ? 'text-label' : 'text-read',
				row.full && tab === 'left' && 'opacity-0'
			]}>{reads(row)}</text
		>
	{/if}
{/each}
