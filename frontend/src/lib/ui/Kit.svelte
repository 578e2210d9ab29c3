<script lang="ts">
	/** Every part of the kit with what it is for, by day and dim. */
	import type { Working } from '../api/schema';
	import { session } from '../state/session.svelte';
	import Act from './Act.svelte';
	import Cards from './Cards.svelte';
	import Choice from './Choice.svelte';
	import Choose from './Choose.svelte';
	import Field from './Field.svelte';
	import FileIn from './FileIn.svelte';
	import FindingList from './FindingList.svelte';
	import Fold from './Fold.svelte';
	import Frac from './Frac.svelte';
	import Verdict from './Verdict.svelte';
	import OneOf from './OneOf.svelte';
	import Num from './Num.svelte';
	import Slip from './Slip.svelte';
	import Switch from './Switch.svelte';
	import Table from './Table.svelte';
	import Tip from './Tip.svelte';
	import Turns from './Turns.svelte';
	const ways = ['chute', 'pump', 'barrows'].map((value) => ({ value, label: value }));
	const tabs = ['walk', 'square', 'forms'].map((value) => ({ value, label: value }));
	const finding = { code: 'edge-above-frost', words: 'E1 ends 14″ above frost.', remedy: 'Dig to 32″, or lay a wing of foam.' };
	const working = { name: 'Order', text: '23 1/2 yd', inputs: [], formula: '', result: '23 1/2' } as unknown as Working;
	const colours =
		'ground sheet bench slab well ink ink2 line hair chalk chalk-tint board grain slip pencil flag soil rust paint water';
	const steps = 'label note body read key size act ask tally verdict';
	let [way, tab, on, open, kept] = $state(['chute', 'walk', false, false, "24' 6 1/2"]);
</script>

<main class="grid max-w-[960px] gap-22 bg-bench px-20 py-20">
	<div class="flex flex-wrap items-end justify-between gap-14">
		<h1 class="text-tally font-black">The kit</h1>
		<Switch on={session.dim} set={() => session.toggleDim()}>dim</Switch>
	</div>
	<section class="grid gap-8">
		<h2>Act</h2>
		<p class="label">What is pressed. main keeps, quiet stands beside it. 44 px under a finger.</p>
		<p class="flex flex-wrap gap-8">
			<Act kind="main">Keep the zone</Act><Act>Start a slab</Act><Act kind="quiet">Copy</Act><Act kind="main" disabled>Keep</Act>
		</p>
	</section>
	<section class="grid gap-8">
		<h2>Choice, Switch, Choose, OneOf, Cards</h2>
		<p class="label">One of a few; on or off; one of many, with the device's own list under a thumb. Arrow keys go along.</p>
		<div class="flex flex-wrap items-end gap-14">
			<Choice name="Unloaded by" rows={ways} value={way} pick={(now) => now && (way = now)} />
			<Switch {on} set={(now) => (on = now)}>{on ? 'Corners stay square' : 'Corners move freely'}</Switch>
			<Choose name="Unloaded by" rows={ways} value={way} pick={(now) => (way = now)} />
			<OneOf name="Unloaded by" rows={ways} value={way} pick={(now) => (way = now)} />
			<Cards name="Unloaded by" rows={ways} value={way} pick={(now) => (way = now)} each="px-12 py-8 text-left">
				{#snippet card(row)}<b class="block">{row.label}</b><span class="text-note">a card holds a drawing or sentences</span
					>{/snippet}
			</Cards>
		</div>
	</section>
	<section class="grid gap-8">
		<h2>Turns</h2>
		<p class="label">The tabs of a bench. Arrow keys turn them and the focus stays.</p>
		<Turns name="Tabs of the kit" rows={tabs} here={tab} turn={(now) => (tab = now)}><p>What {tab} holds.</p></Turns>
	</section>
	<section class="grid gap-8">
		<h2>Field, FileIn, Num, Frac</h2>
		<div class="mb-8"><FileIn label="Bring in a file" accept=".json" take={() => undefined} /></div>
		<p class="label">Pencil is what a person wrote; worked is what follows, and shows its working when pressed.</p>
		<div class="flex flex-wrap items-end gap-20">
			<div class="w-160"><Field label="A to B" value={kept} keep={async (now) => ((kept = now), true)} problem={null} /></div>
			<p class="text-tally font-heavy"><Num {working} text="23 1/2 yd" /></p>
			<p class="text-tally font-heavy"><Frac text="4′-10 7/8″" /></p>
		</div>
	</section>
	<section class="grid gap-8">
		<h2>Table, Tip</h2>
		<p class="label">
			One head, a row a thing; up and down go to the same place of the next row. A tip repeats what a press would do.
		</p>
		<Table name="Loads" heads={['Truck', 'Load']}>
			{#each ['9 yd', '5 1/2 yd'] as load, i}<tr
					><th scope="row"><button type="button">Truck {i + 1}</button></th><td><Frac text={load} /></td></tr
				>{/each}
		</Table>
		<p>
			<Tip says="E1 18″ deep"
				>{#snippet children(props)}<button {...props} type="button" class="act quiet">Undo</button>{/snippet}</Tip
			>
		</p>
	</section>
	<section class="grid gap-8">
		<h2>Verdict, FindingList, Fold, Slip</h2>
		<Verdict text="Short: frost." under="The answer of a tab, first and largest." is="bad" />
		<FindingList findings={[finding]} />
		<Fold name="From a file of shots" aside="seldom needed"><p>What is under the fold.</p></Fold>
		<p><Act kind="quiet" onclick={() => (open = true)}>Open a slip</Act></p>
		<Slip bind:open title="A slip"><p class="mb-14">The focus goes in and comes back.</p></Slip>
	</section>
	<section class="grid gap-8">
		<h2>Colour and type</h2>
		<div class="grid grid-cols-[repeat(auto-fill,minmax(110px,1fr))] gap-8">
			{#each colours.split(' ') as colour}
				<div>
					<div class="h-46 border border-ink" style:background="var(--color-{colour})"></div>
					<p class="label">{colour}</p>
				</div>
			{/each}
		</div>
		{#each steps.split(' ') as step}
			<p style:font-size="var(--text-{step})" class="leading-[1.2]">{step}: rack the north boards <Frac text="1/4″" /> west</p>
		{/each}
	</section>
</main>
