<script lang="ts">
	/** Should read, you read, and what that means: the same for a surface of the card and for a shot on the plan. */
	import Frac from '../../ui/Frac.svelte';
	import Num from '../../ui/Num.svelte';
	import { w } from '../../words/words';
	import type { LaserLink } from './laser.svelte';
	import type { Reading } from './reading.svelte';
	import RodKeys from './RodKeys.svelte';
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
	const act = $derived(
		!said ? '' : said.verdict === 'high' ? w.ground.rakeOff : said.verdict === 'low' ? w.ground.fillPack : w.ground.right
	);
	const size = $derived(said ? said.words.replace(/^(down|up) /, '') : '');
</script>

<div class="panel">
	<h3><Frac text={title} /></h3>
	<div class="row">
		<div class="cell">
			<p class="label">{w.ground.should}</p>
			<p class="num should">
				{#if box.working}<Num working={box.working} text={box.should} />{/if}
			</p>
		</div>
		<label class="cell"
			><span class="label">{w.ground.read}</span><input
				id="rod-reading"
				class="num pen read"
				autocomplete="off"
				placeholder={w.ground.readHint[reads]}
				value={box.typed}
				aria-invalid={box.wrong !== ''}
				oninput={(e) => box.type(e.currentTarget.value)}
				onkeydown={(e) => e.key === 'Enter' && keep && said && void keep()}
			/></label
		>
		<div class="verdict" aria-live="polite" data-verdict={said?.verdict ?? ''}>
			{#if said}
				<svg width="34" height="34" viewBox="-17 -17 34 34" aria-hidden="true">
					{#if said.words === 'on grade' || said.verdict === 'inside'}<path d="M-10 -10l20 20m0-20l-20 20" class="x" />
					{:else}<path d={said.verdict === 'high' ? 'M0 -14l15 27h-30z' : 'M0 14l15-27h-30z'} class="tri" />{/if}
				</svg>
				<p>
					<b class="big"
						>{#if said.words === 'on grade'}{w.ground.on}{:else}<Frac
								text="{size} {said.off_mm > 0 ? w.ground.high : w.ground.low}"
							/>{/if}</b
					><span class="acts"
						><Frac
							text={said.words === 'on grade' ? act : `${said.words[0]?.toUpperCase()}${said.words.slice(1)}. ${act}`}
						/>.</span
					>
				</p>
			{:else}<p class="label">{w.ground.nothingRead}</p>{/if}
		</div>
	</div>
	{#if box.wrong}<p class="wrong" role="alert">{box.wrong}</p>{/if}
	{#if said?.jump}<p class="wrong" role="alert"><Frac text={said.jump} /></p>{/if}
	<RodKeys {box} {reads} start={box.shouldMm} />
	<div class="acts-row">
		{#if keep}<button type="button" class="act main wide" disabled={!said} onclick={() => void keep?.()}
				>{w.ground.keepShot}</button
			>{/if}
		{#if laser.on && shoot}<button type="button" class="act" onclick={shoot}>{w.ground.shootHere}</button>{/if}
		{#if laser.words}<p class="wrong" role="alert">{laser.words}</p>{/if}
	</div>
</div>

<style>
	.panel {
		border-bottom: 2px solid var(--color-ink);
		padding: 8px 0;
	}
	.row {
		display: grid;
		grid-template-columns: auto 190px 1fr;
		gap: 4px 22px;
		align-items: end;
		min-height: 66px;
	}
	.num {
		font-size: 30px;
		font-weight: 780;
		font-stretch: 90%;
		line-height: 40px;
		white-space: nowrap;
	}
	.read {
		width: 100%;
		background: transparent;
		border: 0;
		border-bottom: 2px dashed var(--color-pencil);
		font-weight: 560;
	}
	.read:focus {
		background: var(--color-well);
	}
	.read::placeholder {
		color: var(--color-line);
		font-size: 22px;
	}
	.verdict {
		display: flex;
		gap: 10px;
		align-items: center;
		border-left: 2px solid var(--color-ink);
		padding-left: 14px;
		min-height: 62px;
	}
	.big {
		display: block;
		font-size: 31px;
		line-height: 1.05;
		font-weight: 840;
		font-stretch: 90%;
		white-space: nowrap;
	}
	.acts {
		font-weight: 560;
	}
	.tri {
		fill: var(--color-paint);
		stroke: var(--color-ink);
		stroke-width: 2;
	}
	.x {
		stroke: var(--color-paint);
		stroke-width: 4;
	}
	.acts-row {
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
		align-items: center;
		margin-top: 8px;
	}
	@media (max-width: 600px) {
		.row {
			grid-template-columns: auto 1fr;
			gap: 2px 14px;
		}
		.verdict {
			grid-column: 1 / -1;
			border-left: 0;
			border-top: 2px solid var(--color-ink);
			border-bottom: 2px solid var(--color-ink);
			padding: 4px 0;
			min-height: 74px;
		}
		.big {
			font-size: 40px;
		}
		.acts {
			font-size: 17px;
		}
		.wide {
			width: 100%;
			min-height: 64px;
			font-size: 20px;
		}
	}
</style>
