<script lang="ts">
	/** Should read, you read, and what that means: the same for a surface of the card and for a shot on the plan. */
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { ground as groundWords } from '../../words/ground';
	import type { LaserLink } from './laser.svelte';
	import type { Reading } from './reading.svelte';
	import VerdictBand from './VerdictBand.svelte';
	import Act from '../../ui/Act.svelte';
	interface Props {
		box: Reading;
		title: string;
		reads: 'sixteenths' | 'tenths' | 'mm';
		laser: LaserLink;
		shoot?: (() => void) | null;
		keep?: (() => Promise<void>) | null;
	}
	let { box, title, reads, laser, shoot = null, keep = null }: Props = $props();
	const said = $derived(box.answer);
</script>

<div class="border-b-2 border-ink px-0 py-8">
	<h2><Frac text={title} /></h2>
	<div
		class={[
			'row grid min-h-66 grid-cols-[auto_190px_1fr] items-end gap-x-22 gap-y-4 max-phone:gap-y-2',
			'max-phone:grid-cols-[auto_1fr] max-phone:gap-x-14'
		]}
	>
		<div class="cell">
			<p class="label">{groundWords.should}</p>
			<p class="num should text-tally leading-40 font-heavy whitespace-nowrap font-stretch-[90%]">
				{#if box.working}<Num working={box.working} text={box.should} />{/if}
			</p>
		</div>
		<label class="cell"
			><span class="label">{groundWords.read}</span><input
				id="rod-reading"
				class={[
					'num pen border-x-0 border-t-0 border-b-2 border-dashed border-pencil text-tally font-label',
					'w-full bg-transparent bg-none leading-40 whitespace-nowrap font-stretch-[90%] placeholder:text-line',
					'placeholder:text-ask focus:bg-well'
				]}
				autocomplete="off"
				placeholder={groundWords.readHint[reads]}
				value={box.typed}
				aria-invalid={box.wrong !== ''}
				oninput={(e) => box.type(e.currentTarget.value)}
				onkeydown={(e) => e.key === 'Enter' && keep && said && void keep()}
			/></label
		>
		<div
			class={[
				'verdict flex min-h-62 items-center gap-10 border-l-2 border-ink pl-14 max-phone:px-0 max-phone:py-4',
				'max-phone:col-span-full max-phone:border-y-2 max-phone:border-l-0 max-phone:border-ink',
				'max-phone:min-h-74'
			]}
			aria-live="polite"
			data-verdict={said?.verdict ?? ''}
		>
			{#if said}<VerdictBand {said} />
			{:else}<p class="label">{groundWords.nothingRead}</p>{/if}
		</div>
	</div>
	{#if box.wrong}<p class="wrong" role="alert">{box.wrong}</p>{/if}
	{#if said?.jump}<p class="wrong" role="alert"><Frac text={said.jump} /></p>{/if}
	<div class="mt-8 flex flex-wrap items-center gap-8">
		{#if keep}<Act
				kind="main"
				class="max-phone:min-h-64 max-phone:w-full max-phone:text-act"
				disabled={!said}
				onclick={() => void keep?.()}>{groundWords.keepShot}</Act
			>{/if}
		{#if laser.on && shoot}<Act onclick={shoot}>{groundWords.shootHere}</Act>{/if}
		{#if laser.words}<p class="wrong" role="alert">{laser.words}</p>{/if}
	</div>
</div>
