<script lang="ts">
	/** A phone that has not joined: whose slab this is, who one is, the number. */
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { api } from '../api/api';
	import { session } from '../state/session.svelte';
	import { troubleOf } from '../state/resource.svelte';
	import Act from '../ui/Act.svelte';
	import { siteWords as words } from '../words/site';
	import { w } from '../words/words';
	import JoinShape from './JoinShape.svelte';
	import NumberKeys from './NumberKeys.svelte';
	import TrustSteps from './TrustSteps.svelte';
	import { self } from './me.svelte';
	import { afterJoin, DIGITS, shownNumber, tokenOf } from './number';
	let name = $state('');
	let fresh = $state(false);
	let digits = $state('');
	let wrong = $state('');
	let why = $state(false);
	let looks = $state(false);
	let busy = $state(false);
	const me = $derived(self.me);
	const then = $derived(afterJoin(page.url.searchParams.get('then')));
	const person = $derived(name.trim());
	const trusts = $derived(page.url.searchParams.has('lock'));
	$effect(() => {
		const token = tokenOf(location.hash);
		if (token) void follow(token);
	});
	/** the locked line, where this phone trusts it already */
	const locked = $derived(me?.line === 'plain' && !trusts ? (me.locked_url ?? '') : '');
	$effect(() => {
		if (locked && !location.hash) void api.hello(locked).then((yes) => yes && location.replace(`${locked}/in${location.search}`));
	});
	async function into(act: () => Promise<{ job: string | null }>) {
		[busy, wrong] = [true, ''];
		try {
			const got = await act();
			await self.load();
			await session.loadWays().catch(() => undefined);
			await goto(got.job ? `/job/${got.job}/lines` : then, { replaceState: true });
		} catch (error) {
			wrong = troubleOf(error).words;
			digits = '';
		} finally {
			busy = false;
		}
	}
	const follow = (token: string) => into(() => api.look(token));
	const join = () => void into(() => api.join(person, digits));
	const pickCard =
		'min-h-48 border-2 border-ink bg-well px-6 text-key font-strong wrap-anywhere aria-pressed:bg-ink aria-pressed:text-sheet';
</script>

<div class="mx-auto flex min-h-[100dvh] max-w-460 flex-col bg-bench">
	<header class="border-b-3 border-ink bg-ground px-14 py-10 text-center">
		<p class="text-act font-heavy">{w.product}</p>
		<p class="text-note text-ink2">{me?.role ? words.inAlready(me.name || (words.lines['own'] ?? '')) : words.inTitle}</p>
	</header>
	<main class="flex flex-1 flex-col px-8 pb-8">
		{#if trusts}
			<TrustSteps {me} />
		{:else if me?.role && !busy}
			<h1 class="px-6 pt-20">{words.inAlready(me.name || (words.lines['own'] ?? ''))}</h1>
			<p class="mt-14 grid gap-10">
				<Act kind="main" href={me.job ? `/job/${me.job}/lines` : '/'}>{words.inGo}</Act>
				{#if me.line === 'plain' && me.locked_url}<Act href="/in?lock">{words.inLock}</Act>{/if}
				{#if me.device}<Act onclick={() => void self.leave()}>{words.inLeave}</Act>{/if}
			</p>
		{:else if !me}
			<h1 class="px-6 pt-20">{words.inGone}</h1>
			<p class="px-6 text-read">{words.inGoneUnder}</p>
		{:else if !me.open}
			<h1 class="px-6 pt-20">{words.inShut}</h1>
			<p class="px-6 text-read">{words.inShutUnder}</p>
			{#if wrong}<p class="wrong px-6" role="alert">{wrong}</p>{/if}
			<p class="mt-14"><Act class="w-full" onclick={() => void self.load()}>{words.inAgain}</Act></p>
		{:else}
			<JoinShape {me} />
			<h1 class="px-6 pt-8 text-ask">{words.inWho}</h1>
			<div class="mt-4 grid grid-cols-3 gap-4">
				{#each me.names ?? [] as one (one)}
					<button
						type="button"
						class={[pickCard, me.busy?.includes(one) && 'border-dashed font-label text-ink2']}
						aria-pressed={!fresh && name === one}
						onclick={() => ([name, fresh] = [one, false])}
						>{one}{#if me.busy?.includes(one)}<span class="block text-note leading-14">{words.inIs}</span>{/if}</button
					>
				{/each}
				<button type="button" class={pickCard} aria-pressed={fresh} onclick={() => ([name, fresh] = ['', true])}
					>{words.inNew}</button
				>
				<button type="button" class={[pickCard, 'col-span-2 text-body']} aria-expanded={looks} onclick={() => (looks = !looks)}
					>{words.inLook}</button
				>
			</div>
			{#if fresh}
				<label class="label mt-6 px-6"
					>{words.inNewName}<input
						class="block min-h-48 w-full border-2 border-ink bg-well px-10 font-pencil text-ask text-pencil"
						bind:value={name}
						maxlength="60"
						autocomplete="off"
					/></label
				>
			{/if}
			{#if looks}<p class="px-6 pt-4 text-body">{words.inLookSays}</p>{/if}
			<h2 class="px-6 pt-8">{words.inNumber}</h2>
			<div class="flex min-h-48 items-center justify-between border-2 border-b-6 border-ink bg-well px-14">
				<output class="font-pencil text-tally tracking-[2px] text-pencil" data-typed>{shownNumber(digits)}</output>
				<span class="text-body text-ink2">{words.inToGo(DIGITS - digits.length)}</span>
			</div>
			{#if wrong}<p class="wrong px-6" role="alert">{wrong}</p>{/if}
			{#if why}<p class="px-6 pt-4 text-body">{words.inWhySays}</p>{/if}
			<NumberKeys bind:digits why={() => (why = !why)} />
			<Act kind="main" class="mt-10 min-h-56 w-full text-act" disabled={busy || !person || digits.length < DIGITS} onclick={join}
				>{person ? words.inJoin(person) : words.inJoinNone}</Act
			>
		{/if}
	</main>
	{#if me && me.line !== 'own' && !trusts}
		<footer class="flex min-h-52 items-center justify-between gap-10 bg-board px-12 py-6 text-body font-mid text-board-ink">
			<span>{me.line === 'locked' ? words.inLocked : words.inPlain}</span>
			{#if me.line === 'plain' && me.locked_url}<a class="flex min-h-44 items-center underline" href="/in?lock">{words.inLock}</a
				>{/if}
		</footer>
	{/if}
</div>
