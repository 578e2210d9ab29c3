<script lang="ts">
	/** A step along a tape: slid, pressed by one, or typed. */
	import { Slider } from 'bits-ui';
	import type { Exercise } from '../api/schema';
	import Act from '../ui/Act.svelte';
	import Frac from '../ui/Frac.svelte';
	import { practiceWords as words } from '../words/practice';
	import { typedOption } from './mark';
	let { ask, value, said, set }: { ask: Exercise['asks'][number]; value: string; said: boolean; set: (key: string) => void } =
		$props();
	const at = $derived(
		Math.max(
			0,
			ask.options.findIndex((option) => option.key === value)
		)
	);
	const text = $derived(ask.options[at]?.text ?? '');
	let typed = $state('');
	let wrong = $state('');
	const go = (to: number) => {
		const one = ask.options[Math.min(ask.options.length - 1, Math.max(0, to))];
		if (one && !said) set(one.key);
	};
	function read() {
		const key = typedOption(ask.options, typed);
		wrong = typed.trim() && key === null ? words.noSuch : '';
		if (key !== null) [typed] = ['', set(key)];
	}
</script>

<div class="grid grid-cols-[1fr_auto] items-end gap-x-12 gap-y-2 border-t border-hair py-8" data-ask={ask.id}>
	<p class="font-mid">{ask.label}</p>
	<b class="text-ask leading-none font-black" data-step={ask.id}><Frac {text} /></b>
	<div class="col-span-2 grid grid-cols-[46px_1fr_46px_96px] items-center gap-6">
		<Act kind="quiet" class="h-44" aria-label={words.less(ask.label)} disabled={said || at === 0} onclick={() => go(at - 1)}
			>−</Act
		>
		<Slider.Root
			type="single"
			class="relative flex h-44 w-full touch-none items-center"
			min={0}
			max={ask.options.length - 1}
			step={1}
			disabled={said}
			bind:value={() => at, (to) => go(to)}
		>
			<svg class="absolute inset-0 size-full" aria-hidden="true" preserveAspectRatio="none" viewBox="0 0 100 44">
				<path d="M0 22H100" class="stroke-ink stroke-2" vector-effect="non-scaling-stroke" />
				{#each ask.options as tick, i (tick.key)}{#if ask.options.length < 30 || i % 4 === 0}<path
							d="M{(100 * i) / Math.max(1, ask.options.length - 1)} 22v{i % 8 ? 7 : 13}"
							class="stroke-ink2"
							vector-effect="non-scaling-stroke"
						/>{/if}{/each}
			</svg>
			<Slider.Thumb index={0} class="block size-44 cursor-grab" aria-label={ask.label} aria-valuetext={text}>
				<svg viewBox="0 0 44 44" class="block size-44" aria-hidden="true"
					><path d="M13 4h18v14l-9 12l-9 -12z" class="fill-board stroke-board-ink stroke-2" /></svg
				>
			</Slider.Thumb>
		</Slider.Root>
		<Act
			kind="quiet"
			class="h-44"
			aria-label={words.more(ask.label)}
			disabled={said || at === ask.options.length - 1}
			onclick={() => go(at + 1)}>+</Act
		>
		<input
			class={['well min-h-44', wrong && 'border-flag']}
			aria-label={words.typed(ask.label)}
			aria-invalid={wrong !== ''}
			placeholder={text}
			autocomplete="off"
			disabled={said}
			bind:value={typed}
			onchange={read}
			onkeydown={(event) => event.key === 'Enter' && read()}
		/>
	</div>
	{#if wrong}<p class="wrong col-span-2" role="alert">{wrong}</p>{/if}
</div>
