<script lang="ts">
	/** The cut under a side, to one true scale both ways, its sizes on it; press a size to type it. */
	import type { Section } from '../../api/schema';
	import { crowsFoot } from '../../drawing/marks';
	import type { XY } from '../../drawing/viewport';
	import SvgFrac from '../../ui/SvgFrac.svelte';
	let { section, press }: { section: Section; press: (key: string) => void } = $props();
	let width = $state(640);
	const height = $derived(width < 480 ? 270 : 318);
	const end = $derived(Math.max(...section.ring.map((p) => p[0] ?? 0)));
	const deep = $derived(section.depth_mm);
	const scale = $derived(Math.min((width - (width < 480 ? 176 : 250)) / end, (height - 118) / Math.max(deep, 300)));
	const left = $derived(width < 480 ? 88 : Math.min(190, width * 0.27));
	const top = 58;
	const px = (p: readonly number[]): XY => [left + (p[0] ?? 0) * scale, top + (p[1] ?? 0) * scale];
	const ring = $derived('M' + section.ring.map((p) => px(p).map((v) => v.toFixed(1)).join(' ')).join('L'));
	const bottom = $derived(top + deep * scale);
	const right = $derived(left + end * scale);
	const slabY = $derived(top + section.thickness_mm * scale);
	const thick = $derived(section.kind === 'thickened' && section.depth_mm > section.thickness_mm);
	const size = (key: string) => section.sizes.find((one) => one.key === key);
	const w = $derived(section.bottom_width_mm * scale);
	const formX = $derived(left - 9);
	const earth = $derived(
		thick
			? `M${left} ${bottom}H${left + w}L${left + section.strip_mm * scale} ${slabY}H${right}`
			: `M${left} ${slabY}H${right}`
	);
</script>

{#snippet tag(key: string, x: number, y: number, anchor: string)}
	{@const one = size(key)}
	{#if one}
		<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the same sizes stand as fields below) -->
		<g class="tag" data-dim={key} onclick={() => press(key)}>
			<rect x={anchor === 'start' ? x - 5 : x - one.text.length * 5.4 - 8} y={y - 19} width={one.text.length * 10.8 + 16} height="26" />
			<text {x} {y} text-anchor={anchor}><SvgFrac text={one.text} /></text>
		</g>
	{/if}
{/snippet}

<div class="cut" bind:clientWidth={width}>
	<svg {width} {height} role="img" aria-label={section.words}>
		<defs>
			<pattern id="s-conc" width="18" height="16" patternUnits="userSpaceOnUse"><g fill="var(--ink2)"><circle cx="3" cy="3" r="1" /><circle cx="12" cy="7" r=".9" /><circle cx="6" cy="13" r="1" /></g><path d="M13 13l3-1-1 2.6z" fill="none" stroke="var(--ink2)" stroke-width=".8" /></pattern>
			<clipPath id="earth-band"><path d="M{left - 170} {top + 30}H{left - 18}V{height}H{left - 170}Z" /></clipPath>
		</defs>
		<!-- ground outside, form board -->
		<path d="M{left - 170} {top + Math.min(34, deep * scale * 0.5)}H{left - 18}" stroke="var(--ink)" stroke-width="2" />
		<g stroke="var(--soil)" stroke-width="1.3">
			{#each [0, 1, 2, 3] as k}<path d="M{left - 160 + k * 38} {top + Math.min(34, deep * scale * 0.5) + 14}l9-9m-4 13l9-9m-4 13l9-9" />{/each}
		</g>
		{#if section.kind === 'plain' || section.kind === 'thickened'}
			<rect x={formX - 9} y={top - 2} width="18" height={Math.max(30, Math.min(deep * scale, 60))} fill="url(#grain)" stroke="var(--ink)" stroke-width="1.8" />
			<path d="M{formX - 9} {top - 8}h-11v{Math.min(deep * scale + 20, 130)}l5.500 14l5.500-14z" fill="var(--board)" stroke="var(--ink)" stroke-width="1.8" />
		{:else}
			<rect x={left - 60} y={top - 14} width="60" height={deep * scale + 60} fill="var(--hair)" stroke="var(--ink)" stroke-width="1.6" />
			<path d="M{left} {top - 14}V{bottom + 46}" stroke="var(--ink)" stroke-width="2.4" />
			{#if section.kind === 'dowelled'}<path d="M{left - 40} {top + (section.thickness_mm * scale) / 2}H{left + 46}" stroke="var(--ink)" stroke-width="4" />{/if}
		{/if}
		<path d="{ring}Z" fill="var(--slab)" />
		<path d="{ring}Z" fill="url(#s-conc)" />
		<path d="M{left} {top}H{right}M{left} {top}V{bottom}" stroke="var(--ink)" stroke-width="3" />
		<path d={earth} fill="none" stroke="var(--ink)" stroke-width="3" />
		<g stroke="var(--soil)" stroke-width="1.3">
			{#each thick ? [left + 8, left + w * 0.5] : [] as x}<path d="M{x} {bottom + 13}l8-9m-2 13l8-9m-2 13l8-9" />{/each}
			{#each [0.55, 0.75, 0.92] as share}<path d="M{left + (right - left) * share} {slabY + 14}l8-9m-2 13l8-9m-2 13l8-9" opacity={left + (right - left) * share > left + section.strip_mm * scale ? 1 : 0} />{/each}
		</g>
		<!-- break at the right -->
		<path d="M{right} {top - 12}V{top + 6}l6 5l-12 7l6 5V{slabY + 14}" fill="none" stroke="var(--ink)" stroke-width="1.4" />
		<!-- sizes -->
		<g stroke="var(--ink)" stroke-width="1.2" fill="none">
			<path d="M{right + 26} {top}V{slabY}{crowsFoot([right + 26, top], [0, 1], 6, 4)}{crowsFoot([right + 26, slabY], [0, -1], 6, 4)}" />
			{#if thick}
				<path d="M{left - 66} {top}V{bottom}{crowsFoot([left - 66, top], [0, 1])}{crowsFoot([left - 66, bottom], [0, -1])}" />
				<path d="M{left} {bottom + 34}H{left + w}{crowsFoot([left, bottom + 34], [1, 0])}{crowsFoot([left + w, bottom + 34], [-1, 0])}" />
			{/if}
		</g>
		<g stroke="var(--line)" stroke-width=".9">
			<path d="M{right + 6} {top}h26M{right + 6} {slabY}h26" />
			{#if thick}<path d="M{left - 74} {top}h46M{left - 74} {bottom}h70M{left} {bottom + 6}v36M{left + w} {bottom + 6}v36" />{/if}
		</g>
		{@render tag('thickness', right + 38, top + (slabY - top) / 2 + 6, 'start')}
		{#if thick}
			{@render tag('depth', left - 66, top + (bottom - top) / 2 + 6, 'middle')}
			{@render tag('bottom_width', left + w / 2, bottom + 40, 'middle')}
			{@render tag('degrees', left + w + 62, bottom - 4, 'middle')}
		{/if}
		<text x={right + 2} y={top - 22} text-anchor="end" class="zone">{section.zone}</text>
	</svg>
</div>

<style>
	.cut {
		min-width: 0;
	}
	.tag {
		cursor: text;
	}
	.tag rect {
		fill: var(--bench);
	}
	.tag text {
		font-size: 19px;
		font-weight: 800;
		font-stretch: 92%;
		fill: var(--ink);
		text-decoration: underline;
		text-decoration-thickness: 1.5px;
		text-underline-offset: 3px;
	}
	.zone {
		font-size: 15px;
		font-weight: 640;
		fill: var(--ink2);
	}
</style>
