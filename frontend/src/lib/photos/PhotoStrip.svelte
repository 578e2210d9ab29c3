<script lang="ts">
	/** Photos of one thing: a press takes one and keeps it; each is seen large, noted on, struck out. */
	import { outbox } from '../outbox/outbox.svelte';
	import { note, restored } from '../state/remember.svelte';
	import { Resource } from '../state/resource.svelte';
	import type { JobStore } from '../state/job.svelte';
	import { isWrong, type Wrong } from '../state/record';
	import Act from '../ui/Act.svelte';
	import Slip from '../ui/Slip.svelte';
	import Switch from '../ui/Switch.svelte';
	import { photos as words } from '../words/photos';
	import Picture from './Picture.svelte';
	import { correctPhoto, keepPhoto, loadPhotos, photosOf, strikePhoto, type PhotoSeen } from './photos';
	import { MOST_BYTES, placeOf, shrunk } from './shrink';
	import FileIn from '../ui/FileIn.svelte';
	interface Props {
		store: JobStore;
		/** what the photos show: the stage and its id */
		of: string;
		/** that in words */
		title: string;
	}
	let { store, of, title }: Props = $props();
	const kept = new Resource((job: string) => loadPhotos(job));
	$effect(() => {
		void store.kept?.records;
		void kept.load(store.id);
	});
	const rows = $derived(photosOf(kept.value ?? [], outbox.of(store.id)).filter((row) => row.of === of));
	let withPlace = $state(false);
	let busy = $state(false);
	let says = $state('');
	let wrong = $state('');
	let held = $state<string | null>(null);
	const one = $derived(rows.find((row) => row.photo === held) ?? null);
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	const key = `${store.id}/photo-notes`;
	/** notes that are typed and not kept, by photo */
	let typed = $state<Record<string, string>>(restored<Record<string, string>>(key) ?? {});
	$effect(() => note(key, Object.keys(typed).length ? { ...typed } : ''));
	async function take(file: File) {
		[wrong, says] = ['', ''];
		if (file.size >= MOST_BYTES) return void (wrong = words.tooLarge(Math.ceil(file.size / 1e6)));
		const [ofNow, titleNow] = [of, title];
		busy = true;
		try {
			const small = await shrunk(file);
			if (!small) return void (wrong = words.noPicture);
			const place = withPlace ? await placeOf(file) : null;
			if (withPlace && !place) says = words.noPlace;
			after(await keepPhoto(store, small, ofNow, titleNow, place));
		} finally {
			busy = false;
		}
	}
	function after(got: boolean | Wrong): boolean {
		if (isWrong(got)) wrong = got.words;
		else if (got) void store.load();
		return !isWrong(got);
	}
	/** A note or a strike: what was typed is let go once it is kept. */
	async function change(row: PhotoSeen, said: Promise<boolean | Wrong>) {
		if (!after(await said)) return;
		delete typed[row.photo];
		held = null;
	}
</script>

<div class="mt-10" role="group" aria-label={words.name}>
	<div class="flex flex-wrap items-center gap-6">
		{#each rows as row, i (row.photo)}
			<button
				type="button"
				class={['size-56 overflow-hidden border-2 bg-well', row.waits ? 'border-dashed border-ink' : 'border-ink']}
				aria-label="{words.see(title, i + 1)}{row.waits ? `, ${words.waiting}` : ''}"
				onclick={() => (held = row.photo)}
			>
				<Picture job={store.id} one={row} small alt="" class="size-full object-cover" />
			</button>
		{/each}
		<FileIn label={busy ? words.reading : words.take} name="{words.take}, {title}" accept="image/*" disabled={busy} {take} />
		<Switch on={withPlace} set={(on) => (withPlace = on)} title={words.placeTip}>{words.withPlace}</Switch>
	</div>
	{#if wrong}<p class="wrong mt-4" role="alert">{wrong}</p>{/if}
	{#if says}<p class="label mt-4" role="status">{says}</p>{/if}
</div>

<Slip bind:open={() => one !== null, (open) => (held = open ? held : null)} title={one?.title ?? ''} wide>
	{#if one}
		<Picture job={store.id} {one} alt={one.note || one.title} class="max-h-[54vh] w-full bg-well object-contain" />
		<p class="label mt-6">
			{words.by(one.who, new Date(one.at).toLocaleString())}
			{#if one.place}{words.place(one.place.latitude_deg, one.place.longitude_deg)}{/if}
			{#if one.waits}<b>{words.waiting}</b>{/if}
		</p>
		<label class="label mt-8 block"
			>{words.note}<input
				class="well w-full font-pencil text-call text-pencil"
				maxlength="200"
				bind:value={() => typed[one.photo] ?? one.note, (text) => (typed[one.photo] = text)}
			/></label
		>
		<div class="my-8 flex flex-wrap gap-8">
			<Act
				kind="main"
				disabled={(typed[one.photo] ?? one.note) === one.note}
				onclick={() => void change(one, correctPhoto(store, one, typed[one.photo] ?? ''))}>{words.keepNote}</Act
			>
			<Act onclick={() => void change(one, strikePhoto(store, one))}>{words.strike}</Act>
		</div>
	{/if}
</Slip>
