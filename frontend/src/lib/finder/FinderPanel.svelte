<script lang="ts">
	/** What is asked and what answers to it. The plan stays and lights what the arrows come to. */
	import { goto } from '$app/navigation';
	import { Command } from 'bits-ui';
	import Frac from '../ui/Frac.svelte';
	import { w } from '../words/words';
	import { yardWords } from '../words/yard';
	import { lit } from '../drawing/lit.svelte';
	import { help } from '../shell/help.svelte';
	import UprightString from '../shell/UprightString.svelte';
	import { session } from '../state/session.svelte';
	import Act from '../ui/Act.svelte';
	import { finder } from './finder.svelte';
	import { type Found, type FoundKind, SHOWN } from './found';
	/** small drawings that say the kind */
	const DRAWN: Record<FoundKind, string> = {
		tab: 'M3 18V7h6l2 3h8v8z',
		side: 'M3 17L19 5M3 13v8M19 1v8',
		part: 'M3 7h16v5l-5 6H8l-5-6z',
		finding: 'M6 3v18M6 4h13l-4 4 4 4H6',
		paper: 'M5 3h8l5 5v13H5zM13 3v5h5',
		record: 'M4 20l2-6L16 4l4 4L10 18z',
		job: 'M3 19V9h7V4h9v15z',
		rule: 'M4 5h14v14H4zM8 9h6M8 13h6'
	};
	function go(row: Found) {
		finder.close(false);
		void goto(row.href);
	}
	$effect(() => {
		if (finder.entered && finder.here) go(finder.here);
	});
	let box = $state<HTMLInputElement | null>(null);
	$effect(() => box?.focus());
	$effect(() => {
		lit.rings = finder.here?.rings ?? [];
		return () => (lit.rings = []);
	});
</script>

<Command.Root
	label={w.finder.name}
	shouldFilter={false}
	loop
	bind:value={() => finder.here?.id ?? '', (id) => (finder.at = id)}
	class="flex min-h-0 flex-col"
>
	<div class="flex items-center gap-10 border-b-3 border-ink">
		<Command.Input
			bind:ref={box}
			bind:value={() => finder.asked, (text) => finder.ask(text)}
			placeholder={w.finder.hint}
			autocomplete="off"
			autocapitalize="off"
			spellcheck={false}
			onkeydown={(event) => {
				if (event.key !== 'Escape' && event.key !== 'Enter') return;
				event.stopPropagation();
				event.preventDefault();
				if (event.key === 'Escape') finder.close();
				else finder.entered = true;
			}}
			class={[
				'min-h-54 w-full min-w-0 bg-transparent text-ask font-strong outline-offset-0',
				'placeholder:text-read placeholder:font-plain placeholder:text-ink2'
			].join(' ')}
		/>
		<button type="button" class="act quiet flex-none" onclick={() => finder.close()}>{w.slip.close}</button>
	</div>
	<p class="label py-4 max-phone:hidden">{w.finder.goes}</p>
	<p class="hidden flex-wrap gap-6 py-6 max-phone:flex">
		<Act kind="quiet" onclick={help.show}>{w.help.title}</Act>
		<Act kind="quiet" onclick={() => session.toggleDim()}>{session.dim ? w.board.day : w.board.dim}</Act>
		{#if finder.store}<Act kind="quiet" onclick={finder.store.toggleUnits}
				>{finder.store.units === 'mm' ? yardWords.ftin : yardWords.mm}</Act
			>{/if}
	</p>
	{#if finder.store && !finder.asked}<UprightString job={finder.store.id} doubts={finder.store.doubts} />{/if}
	<Command.List class="min-h-0 overflow-auto" aria-label={w.finder.name}>
		{#each finder.shown as row (row.id)}
			<Command.Item
				value={row.id}
				onSelect={() => go(row)}
				data-found={row.kind}
				class={[
					'grid cursor-pointer grid-cols-[30px_1fr_auto] items-center gap-x-8 border-t border-hair px-4 py-6 pointer-coarse:min-h-46',
					'data-selected:bg-ink data-selected:text-sheet'
				].join(' ')}
			>
				<svg width="22" height="24" class="fill-none stroke-current stroke-2" aria-hidden="true"><path d={DRAWN[row.kind]} /></svg
				>
				<span class="min-w-0"
					><b class="font-mid"><Frac text={row.name} /></b>
					<span class="block text-label opacity-85"><Frac text={row.where} /></span></span
				>
				<span class="text-label opacity-85">{w.finder.kinds[row.kind]}</span>
			</Command.Item>
		{:else}
			<p class="py-14 text-key font-mid" role="status">{w.finder.nothing(finder.asked.trim(), finder.near)}</p>
		{/each}
		{#if finder.found.length > SHOWN}<p class="label border-t border-hair py-8">
				{w.finder.more(finder.found.length - SHOWN)}
			</p>{/if}
	</Command.List>
</Command.Root>
