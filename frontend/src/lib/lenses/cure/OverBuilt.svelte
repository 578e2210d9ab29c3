<script lang="ts">
	/** How it stands over how it was drawn: sides, joints and bolts to press; in chalk where they really are. */
	import type { BuiltRow, Drawn } from '../../api/schema';
	import type { Viewport, XY } from '../../drawing/viewport';
	import type { AfterData } from './after.svelte';
	let { view, data, rings }: { view: Viewport; data: AfterData; rings: { id: string; rings: XY[][] }[] } = $props();
	const BOWED = 12;
	const things = $derived(data.built?.things ?? []);
	const rows = $derived(data.built?.rows ?? []);
	const lined = $derived(things.filter((one) => one.line));
	const spots = $derived(things.filter((one) => !one.line));
	const line = (of: [XY, XY]) => {
		const [a, b] = [view.px(of[0]), view.px(of[1])];
		return `M${a[0]} ${a[1]}L${b[0]} ${b[1]}`;
	};
	/** a side that bows is drawn so many times as far out; all else where it is */
	function stands(row: BuiltRow): string {
		const points = row.stands as XY[];
		const [a, m, b] = points;
		if (row.thing === 'side' && row.drawn && a && m && b) {
			const [mx, my] = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
			const top: XY = [mx + (m[0] - mx) * BOWED * 2, my + (m[1] - my) * BOWED * 2];
			const [p, q, r] = [view.px(a), view.px(top), view.px(b)];
			return `M${p[0]} ${p[1]}Q${q[0]} ${q[1]} ${r[0]} ${r[1]}`;
		}
		const px = points.map((one) => view.px(one));
		return px.map((one, n) => `${n ? 'L' : 'M'}${one[0]} ${one[1]}`).join('') + (row.thing === 'added' ? 'Z' : '');
	}
	const press = (one: Drawn) => data.press(one.key);
	const enter = (event: KeyboardEvent, one: Drawn) => {
		if (event.key !== 'Enter') return;
		event.stopPropagation();
		press(one);
	};
	function tap(event: MouseEvent) {
		if (!data.adding) return;
		const frame = (event.currentTarget as SVGElement).ownerSVGElement?.getBoundingClientRect();
		if (!frame) return;
		const [x, y] = view.mm(event.clientX - frame.left, event.clientY - frame.top);
		data.cure.spot = [Math.round(x), Math.round(y)];
	}
</script>

{#each lined as one (one.key)}
	<path
		d={line(one.line as [XY, XY])}
		class={['fill-none stroke-ink', one.thing === 'side' ? 'stroke-[2.4px]' : 'stroke-[1.8px]']}
		stroke-dasharray={one.thing === 'joint' && one.state !== 'cut' ? '9 5' : null}
	/>
{/each}
{#each rows as row (row.key)}
	{#if row.stands.length > 1}<path
			d={stands(row)}
			class="pointer-events-none fill-none stroke-chalk stroke-[3.4px]"
			data-stands={row.key}
		/>
	{:else if row.stands[0]}{@const at = view.px(row.stands[0] as XY)}<circle
			cx={at[0]}
			cy={at[1]}
			r="6"
			class="pointer-events-none fill-chalk"
			data-stands={row.key}
		/>{/if}
{/each}
{#each spots as one (one.key)}{@const at = view.px(one.spot as XY)}
	<rect x={at[0] - 3.5} y={at[1] - 3.5} width="7" height="7" class={one.state === 'cannot' ? 'fill-flag' : 'fill-ink'} />
{/each}
{#if data.thing}{@const one = data.thing}
	{#if one.line}<path
			d={line(one.line as [XY, XY])}
			class="pointer-events-none fill-none stroke-chalk stroke-[7px] opacity-50"
			data-thing-held={one.key}
		/>
	{:else}{@const at = view.px(one.spot as XY)}<circle
			cx={at[0]}
			cy={at[1]}
			r="13"
			class="pointer-events-none fill-none stroke-chalk stroke-[4px]"
			data-thing-held={one.key}
		/>{/if}
{/if}
{#if data.adding}
	<!-- svelte-ignore a11y_no_static_element_interactions, a11y_click_events_have_key_events (a tap says where) -->
	<path d={view.path(rings.flatMap((row) => row.rings))} class="cursor-crosshair fill-transparent" onclick={tap} data-tap-added />
	{#if data.cure.spot}{@const at = view.px(data.cure.spot)}<path
			d="M{at[0] - 12} {at[1]}h24M{at[0]} {at[1] - 12}v24"
			class="pointer-events-none stroke-chalk stroke-[3px]"
		/>{/if}
{:else}
	{#each lined as one (one.key)}
		<path
			d={line(one.line as [XY, XY])}
			class="cursor-pointer fill-none stroke-transparent stroke-[26px]"
			role="button"
			tabindex="0"
			aria-label={one.name}
			aria-pressed={data.held === one.key}
			onclick={() => press(one)}
			onkeydown={(event) => enter(event, one)}
			data-thing={one.key}
		/>
	{/each}
	{#each spots as one (one.key)}{@const at = view.px(one.spot as XY)}
		<!-- svelte-ignore a11y_no_static_element_interactions, a11y_click_events_have_key_events (the list beside it names them) -->
		<rect
			x={at[0] - 14}
			y={at[1] - 14}
			width="28"
			height="28"
			class="cursor-pointer fill-transparent"
			onclick={() => press(one)}
			data-thing={one.key}
		/>
	{/each}
{/if}
{#each rows as row, n (row.key)}{@const at = view.px(row.spot as XY)}
	<g class="pointer-events-none">
		<circle cx={at[0]} cy={at[1]} r="11" class="fill-sheet stroke-chalk stroke-2" />
		<text x={at[0]} y={at[1] + 5} text-anchor="middle" class="fill-ink text-note font-heavy">{n + 1}</text>
	</g>
{/each}
