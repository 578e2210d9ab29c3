<script lang="ts">
	/** A link for somebody who only looks at one slab. */
	import { api } from '../api/api';
	import type { LinkMade } from '../api/schema';
	import { troubleOf, type Trouble } from '../state/resource.svelte';
	import { today } from '../ui/days';
	import Act from '../ui/Act.svelte';
	import Choose from '../ui/Choose.svelte';
	import { siteWords as words } from '../words/site';
	import { squareOf } from './number';
	import type { SiteData } from './site.svelte';
	let { data }: { data: SiteData } = $props();
	let name = $state('');
	let job = $state('');
	let until = $state('');
	let made = $state.raw<LinkMade | null>(null);
	let trouble = $state.raw<Trouble | null>(null);
	let copied = $state(false);
	const slab = $derived(job || (data.jobs[0]?.id ?? ''));
	async function make() {
		trouble = null;
		try {
			made = await api.makeLink({ name, job: slab, until });
			[name, until] = ['', ''];
			await data.load();
		} catch (error) {
			trouble = troubleOf(error);
		}
	}
	async function copy() {
		await navigator.clipboard?.writeText(made?.url ?? '').catch(() => undefined);
		copied = true;
	}
	const box = 'block min-h-44 w-full border-[1.5px] border-ink bg-well px-10 text-read';
</script>

<section class="mt-14 border-t-2 border-ink pt-10 print:hidden">
	<h2>{words.lookTitle}</h2>
	<p class="text-body text-ink2">{words.lookUnder}</p>
	<form
		class="mt-8 grid grid-cols-[1fr_1fr_170px_auto] items-end gap-10 max-phone:grid-cols-1"
		onsubmit={(event) => {
			event.preventDefault();
			void make();
		}}
	>
		<label class="label">{words.lookName}<input class={box} bind:value={name} maxlength="60" autocomplete="off" /></label>
		<div>
			<p class="label" aria-hidden="true">{words.pickJob}</p>
			<Choose
				name={words.pickJob}
				rows={data.jobs.map((row) => ({ value: row.id, label: row.name }))}
				value={slab}
				pick={(id) => (job = id)}
				class="min-h-44 w-full"
			/>
		</div>
		<label class="label">{words.lookUntil}<input class={box} type="date" min={today()} bind:value={until} /></label>
		<Act type="submit" disabled={!name.trim() || !until}>{words.lookMake}</Act>
	</form>
	{#if trouble}<p class="wrong" role="alert">{trouble.words}</p>{/if}
	{#if made}
		<div class="mt-10 flex flex-wrap items-center gap-14">
			<img class="size-120 border-2 border-ink bg-[#fff]" src={squareOf(made.square)} alt={words.lookSquare} />
			<div class="min-w-0 flex-1">
				<p class="text-note break-all select-all">{made.url}</p>
				<p class="mt-4 text-body text-ink2">{words.lookOnce}</p>
				<Act kind="quiet" onclick={() => void copy()}>{copied ? words.copied : words.lookCopy}</Act>
			</div>
		</div>
	{/if}
</section>
