<script lang="ts">
	/** One act in the largest type with its minute, the two after it, and the trucks on their strings. */
	import type { ActTold } from '../../api/schema';
	import PhotoStrip from '../../photos/PhotoStrip.svelte';
	import { session } from '../../state/session.svelte';
	import Act from '../../ui/Act.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { inBox } from '../../shell/keys';
	import { pourWords as words } from '../../words/pour';
	import type { PourData } from './pour.svelte';
	import ActWho from './ActWho.svelte';
	import Switch from '../../ui/Switch.svelte';
	import TruckStrings from './TruckStrings.svelte';
	let { data, turn }: { data: PourData; turn: (tab: string) => void } = $props();
	const act = $derived(data.next);
	const after = $derived(data.acts.filter((one) => one.key !== act?.key).slice(0, 2));
	const due = $derived(!!act && act.late_min >= -0.5);
	/** something else is due as well */
	const two = $derived(!!act && act.late_min >= -0.5 ? (after.find((one) => one.late_min >= -0.5) ?? null) : null);
	let asking = $state('');
	let own = $state('');
	let reads = $state('');
	const when = (one: ActTold) => (one.late_min >= 1 ? words.due(one.late_min) : words.in(-one.late_min));
	const titleSize = $derived(
		(act?.title.length ?? 0) > 34 ? 'text-[40px]' : (act?.title.length ?? 0) > 22 ? 'text-[52px]' : 'text-[64px]'
	);
	async function done() {
		if (!act) return;
		if (act.says === 'ticket') return turn('tickets');
		if (act.says === 'load_called') return turn('left');
		if (act.kind === 'strike') return void (await data.struck(act.of));
		if (act.kind === 'edges') return void (await data.say('front', { edges: true }));
		if (act.says === 'gauge') {
			if (reads.trim() && (await data.say('gauge', { pressure_kpa: reads.trim() }))) reads = '';
			return;
		}
		await data.answer(act, 'done');
	}
	async function cannot(reason: string) {
		if (act && (await data.answer(act, 'cannot', { reason, words: own.trim() }))) [asking, own] = ['', ''];
	}
	/** Enter does, P puts off, C cannot */
	function keys(event: KeyboardEvent) {
		if (!act || inBox(event) || event.ctrlKey || event.metaKey || event.altKey) return;
		const pressed = event.target instanceof HTMLElement && ['BUTTON', 'A'].includes(event.target.tagName);
		if (event.key === 'Enter' && !pressed) void done();
		else if (session.letters && event.key.toLowerCase() === 'p') void data.answer(act, 'put-off', { put_off_min: 10 });
		else if (session.letters && event.key.toLowerCase() === 'c') asking = asking ? '' : act.key;
		else return;
		event.preventDefault();
		event.stopPropagation();
	}
</script>

<svelte:window onkeydowncapture={keys} />
{#if !act}<p class="mt-10 text-verdict font-black">{words.nothing}</p>
{:else}
	<section aria-label={act.title} data-act={act.key} data-act-state={act.state}>
		<div class="mt-6 flex flex-wrap items-start justify-between gap-x-16">
			<h2 class={['min-w-0 flex-1 leading-[1.02] font-black font-stretch-[90%] max-phone:text-[34px]', titleSize]}>
				<Frac text={due || act.late_min > -30 ? act.title : words.nothingTill(act.at_text)} />
			</h2>
			<p class="text-right leading-none">
				<b
					class={[
						'text-[104px] leading-[0.9] font-black font-stretch-[88%] max-phone:text-[58px]',
						due ? 'text-flag' : 'text-ink'
					]}>{act.at_text}</b
				>
				<span class={['block text-call font-heavy max-phone:text-key', due ? 'text-flag' : 'text-ink2']}>{when(act)}</span>
			</p>
		</div>
		<p class="text-read">
			<Frac text={act.why} />{#if act.was_text}, <s>{words.was(act.was_text)}</s>{/if}
		</p>
		{#if two}<p class="text-read font-heavy" data-two>{words.two(two.title, two.waits, act.cost)}</p>{/if}
		{#if act.caution}<p class="text-note font-strong">{act.caution}</p>{/if}
		{#if act.says === 'gauge'}<label class="mt-8 flex items-center gap-10 text-read"
				>{words.gauge}
				<input
					class="w-140 border-2 border-ink bg-well px-8 py-8 text-key"
					bind:value={reads}
					inputmode="decimal"
					aria-label={words.gauge}
				/></label
			>{/if}
		<div class="mt-10 grid grid-cols-[2fr_1fr_1fr] gap-10 max-phone:grid-cols-2">
			<Act kind="main" class="min-h-60 text-act max-phone:col-span-2" onclick={() => void done()}
				><span><Frac text={act.kind === 'say' ? words.left.say(data.left?.best_text ?? '') : act.done} /></span></Act
			>
			<Act class="min-h-60" onclick={() => void data.answer(act, 'put-off', { put_off_min: 10 })}>{words.putOff}</Act>
			<Act class="min-h-60" aria-expanded={asking === act.key} onclick={() => (asking = asking ? '' : act.key)}
				>{words.cannot}</Act
			>
		</div>
		<div class="mt-8"><ActWho {data} act={act.key} to={act.to} name={words.whoDoes(act.title)} /></div>
		{#if asking === act.key}
			<div class="mt-10 border-t-2 border-ink pt-8" data-why>
				<h3 class="text-key font-heavy">{words.why}</h3>
				<ul>
					{#each act.reasons as one (one.key)}<li class="flex flex-wrap items-center gap-10 border-b border-hair py-6">
							<Act class="min-w-200 justify-start max-phone:w-full" onclick={() => void cannot(one.key)}>{one.words}</Act>
							<span class="min-w-0 flex-1 text-note">{one.follows}</span>
						</li>{/each}
				</ul>
				<div class="mt-8 flex flex-wrap items-end gap-10">
					<label class="min-w-200 flex-1 text-note"
						>{words.ownWords}
						<input class="w-full border-2 border-ink bg-well px-8 py-8 text-body" maxlength="400" bind:value={own} /></label
					>
					<Act kind="quiet" disabled={!own.trim()} onclick={() => void cannot('')}>{words.keepWhy}</Act>
				</div>
				<PhotoStrip store={data.store} of="pour/act/{act.key.replaceAll('/', '-')}" title={act.title} />
			</div>
		{/if}
	</section>
	<ul class="mt-12 border-t-2 border-ink">
		{#each after as one (one.key)}
			<li>
				<button
					type="button"
					class="grid min-h-52 w-full grid-cols-[92px_minmax(0,1fr)_auto] items-center gap-8 border-b border-hair text-left"
					onclick={() => (data.act = one.key)}
				>
					<b class={['text-title font-black max-phone:text-ask', one.late_min >= -0.5 && 'text-flag']}>{one.at_text}</b>
					<span class="text-ask leading-tight font-heavy max-phone:text-key"
						><Frac text={one.title} />{#if one.late_min >= -0.5 && !one.waits}<span class="block text-note font-plain"
								>{words.costs(one.cost)}</span
							>{/if}</span
					>
					<span class="text-read">{when(one)}</span>
				</button>
			</li>
		{/each}
	</ul>
{/if}
<TruckStrings {data} />
<div class="mt-12 flex flex-wrap items-center gap-10">
	<Switch on={data.aloud.on} set={(on) => void data.aloud.turn(on)}>{words.aloud}</Switch>
	<span class="min-w-0 flex-1 text-note">{words.aloudHow}</span>
</div>
<Fold name={words.said}>
	<ul>
		{#each data.told?.past ?? [] as one (one.key)}
			<li class="flex min-h-48 flex-wrap items-center gap-8 border-b border-hair py-4">
				<b class="w-60">{one.said_text}</b>
				<span class="flex-1"
					><Frac text={one.title} />: {words.states[one.state]}{one.reason ? `, ${one.reason}` : ''}{one.by
						? `, ${one.by}`
						: ''}</span
				>
				{#if one.record}<Act kind="quiet" aria-label="{words.undoThis}, {one.title}" onclick={() => void data.strike(one.record)}
						>{words.undoThis}</Act
					>{/if}
			</li>
		{/each}
	</ul>
</Fold>
