<script lang="ts">
	/** A signature drawn by finger, kept as strokes in shares of its box. */
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import { holdWords as words } from '../../words/holds';
	import type { GateData } from './holds.svelte';
	let { data, of, title }: { data: GateData; of: string; title: string } = $props();
	type Stroke = [number, number][];
	const kept = $derived((data.state?.signatures ?? []).filter((row) => row.of === of));
	let strokes = $state<Stroke[]>([]);
	let name = $state(session.who);
	let wide = $state(320);
	let wrong = $state('');
	const HIGH = 110;
	const path = (rows: readonly (readonly (readonly number[])[])[], w: number, h: number) =>
		rows
			.map((row) => row.map(([x, y], i) => `${i ? 'L' : 'M'}${((x ?? 0) * w).toFixed(1)} ${((y ?? 0) * h).toFixed(1)}`).join(''))
			.join('');
	function at(event: PointerEvent): [number, number] {
		const box = (event.currentTarget as Element).getBoundingClientRect();
		const share = (one: number) => Math.min(1, Math.max(0, Math.round(one * 10000) / 10000));
		return [share((event.clientX - box.left) / box.width), share((event.clientY - box.top) / box.height)];
	}
	function begin(event: PointerEvent) {
		(event.currentTarget as Element).setPointerCapture(event.pointerId);
		strokes = [...strokes, [at(event)]].slice(-60);
	}
	function draw(event: PointerEvent) {
		if (!event.buttons || !strokes.length) return;
		const last = strokes.at(-1)!;
		if (last.length < 600) strokes = [...strokes.slice(0, -1), [...last, at(event)]];
	}
	async function keep() {
		const ok = await data.record('signature', { of, name: name.trim(), strokes });
		wrong = ok ? '' : data.wrong;
		if (ok) strokes = [];
	}
</script>

<h2 class="panel-head">{title}</h2>
{#each kept as one (one.record)}
	<div class="mt-4 flex items-center gap-10" data-signed={one.name}>
		<svg width="150" height="52" class="border-b-2 border-ink" aria-hidden="true"
			><path d={path(one.strokes, 150, 50)} class="fill-none stroke-pencil stroke-2" /></svg
		>
		<span class="text-note">{words.walk.signed(one.name)}</span>
		<Act kind="quiet" aria-label="{words.undo}: {one.name}" onclick={() => void data.strike(one.record)}>{words.undo}</Act>
	</div>
{/each}
<div class="mt-6 max-w-420" bind:clientWidth={wide}>
	<svg
		width={wide}
		height={HIGH}
		class="block touch-none border-2 border-ink bg-well"
		role="img"
		aria-label={words.walk.signHow}
		onpointerdown={begin}
		onpointermove={draw}
		data-sign-box
	>
		<path d="M14 {HIGH - 26}H{wide - 14}" class="stroke-hair stroke-2" />
		<path d={path(strokes, wide, HIGH)} class="fill-none stroke-pencil stroke-[3px] [stroke-linecap:round]" />
		{#if !strokes.length}<text x="16" y="30" class="fill-ink2 text-note">{words.walk.signHow}</text>{/if}
	</svg>
	<div class="mt-4 flex flex-wrap items-end gap-8">
		<label class="label w-180">{words.name}<input class="well w-full" maxlength="80" bind:value={name} /></label>
		<Act kind="plain" disabled={!strokes.length || !name.trim()} onclick={() => void keep()}>{words.walk.keepSign}</Act>
		<Act kind="quiet" disabled={!strokes.length} onclick={() => (strokes = [])}>{words.walk.wipe}</Act>
	</div>
	{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
</div>
