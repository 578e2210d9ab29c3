<script lang="ts">
	/** Call it like a tape: typed, heard, drawn as a ghost before it is kept. */
	import { w } from '../../words/words';
	import Frac from '../../ui/Frac.svelte';
	import type { WalkBox, WalkKind } from './walk.svelte';
	let { box, hasOutline }: { box: WalkBox; hasOutline: boolean } = $props();
	const walked = $derived(box.heard?.walked ?? null);
	const problem = $derived(box.store.problemFor('walk'));
	const said = $derived(walked?.heard.legs?.map((leg) => leg.said).join(', ') ?? '');
	const choices = $derived(
		walked
			? [
					...(walked.heard.choices ?? []),
					...(box.kind === 'zone' || (box.kind === 'opening' && walked.heard.origin === '') ? [] : walked.fixes)
				]
			: []
	);
	const kinds: WalkKind[] = ['outline', 'zone', 'opening'];
	const keepWord = $derived({ outline: w.lines.keep, zone: w.lines.keepZone, opening: w.lines.keepOpening }[box.kind]);
</script>

<div class="call">
	{#if hasOutline}
		<div class="kinds" role="group" aria-label={w.lines.call}>
			{#each kinds as kind}
				<button
					type="button"
					class="act quiet"
					class:on={box.kind === kind}
					aria-pressed={box.kind === kind}
					onclick={() => box.choose(kind)}>{w.lines.modes[kind]}</button
				>
			{/each}
		</div>
	{/if}
	<label for="call-out">{w.lines.box[box.kind]}</label>
	<div class="in">
		<input
			id="call-out"
			autocomplete="off"
			autocapitalize="off"
			spellcheck="false"
			value={box.text}
			class:long={box.text.length > 27}
			oninput={(event) => box.type(event.currentTarget.value)}
			onkeydown={(event) => {
				if (event.key === 'Enter') void (box.ready ? box.keep() : box.saveAsTyped());
				if (event.key === 'Escape') void box.forget();
			}}
		/>
		<button type="button" class="act main" disabled={!box.ready} onclick={() => void box.keep()}>{keepWord}</button>
	</div>
	{#if box.kind === 'zone' && box.text}
		<div class="extra">
			<label class="label">{w.lines.zoneName} <input class="well" bind:value={box.zoneName} /></label>
			<label class="label">{w.lines.zoneDrop} <input class="well" placeholder="0" bind:value={box.zoneDrop} /></label>
		</div>
	{/if}
	<div class="echo" aria-live="polite">
		{#if problem}
			<p class="wrong" role="alert">{problem.detail}</p>
		{/if}
		{#if !box.text.trim()}
			<p>{w.lines.hint[box.kind]}</p>
		{:else if walked}
			{#if said}<p>{w.lines.heard}: <Frac text={said} />. {box.heard?.lands}</p>{/if}
			{#if walked.heard.problem}<p class="wrong"><Frac text={walked.heard.problem} /></p>{/if}
			{#if box.kind === 'outline' || walked.closed}<p class="verdict" class:closed={walked.closed}>
					<Frac text={walked.verdict} />
				</p>
			{:else if said && !box.heard?.lands}<p>{w.lines.walkOn[box.kind]}</p>{/if}
			<div class="offers">
				{#each choices as choice}
					<button type="button" class="act quiet" onclick={() => void box.take(choice.text)}><Frac text={choice.label} /></button>
				{/each}
				<button type="button" class="act quiet" onclick={() => void box.forget()}>{w.lines.forget}</button>
			</div>
		{/if}
	</div>
</div>

<style>
	.call {
		margin-top: 8px;
	}
	.kinds {
		display: flex;
		gap: 4px;
		margin-bottom: 6px;
	}
	label {
		font-size: 14px;
		font-weight: 700;
	}
	.in {
		display: flex;
		background: var(--color-well);
		border: 2px solid var(--color-ink);
		border-bottom-width: 5px;
		margin-top: 3px;
	}
	.in:focus-within {
		outline: 3px solid var(--color-chalk);
	}
	.in input {
		flex: 1;
		min-width: 0;
		height: 48px;
		padding: 0 12px;
		font-family: var(--font-pencil);
		font-size: 23px;
		font-weight: 520;
		color: var(--color-pencil);
		background: transparent;
		outline: none;
	}
	.in input.long {
		font-size: 17px;
	}
	.in .act {
		border: 0;
		border-left: 2px solid var(--color-ink);
	}
	.extra {
		display: flex;
		gap: 12px;
		margin-top: 6px;
	}
	.echo {
		font-size: 14px;
		color: var(--color-ink2);
		margin-top: 4px;
		min-height: 40px;
	}
	.verdict {
		font-size: 18px;
		font-weight: 780;
		color: var(--color-flag);
		line-height: 1.2;
		margin-top: 3px;
	}
	.verdict.closed {
		color: var(--color-chalk);
	}
	.offers {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		margin-top: 6px;
		color: var(--color-ink);
	}
	@media (max-width: 600px) {
		.in {
			flex-direction: column;
		}
		.in .act {
			border-left: 0;
			border-top: 2px solid var(--color-ink);
		}
		.echo {
			font-size: 16px;
		}
	}
</style>
