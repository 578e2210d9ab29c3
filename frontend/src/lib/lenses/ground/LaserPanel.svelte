<script lang="ts">
	/** Benchmarks, set-ups with their backsight, the mark shot again, turning points. */
	import { remember } from '../../state/remember.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { ground as groundWords } from '../../words/ground';
	import type { GroundData } from './ground.svelte';
	import type { LaserLink } from './laser.svelte';
	import StandIn from './StandIn.svelte';
	import Fold from '../../ui/Fold.svelte';
	import Act from '../../ui/Act.svelte';
	import Table from '../../ui/Table.svelte';
	let { data, laser, connect }: { data: GroundData; laser: LaserLink; connect: () => Promise<boolean> } = $props();
	const store = $derived(data.store);
	const marks = $derived(data.state?.marks ?? []);
	const stand = $derived(data.stand);
	const problem = $derived(store.problemFor('mark'));
	let mark = $state({ name: '', level: '', what: 'nail' as 'nail' | 'floor' | 'kerb' | 'cover' | 'other' });
	let up = $state({ name: '', on: '', read: '' as string, simulated: false });
	let again = $state('');
	let turn = $state({ name: '', read: '' });
	// svelte-ignore state_referenced_locally (one store for the life of this component)
	remember(
		`${data.store.id}/laser`,
		() => ({ mark, up, again, turn }),
		(old) => ({ mark, up, again, turn } = old)
	);
	let wrong = $state<{ at: string; words: string }>({ at: '', words: '' });
	const on = $derived(up.on || marks[0]?.name || '');
	async function addMark(level = mark.level) {
		mark.level = level;
		if (
			await store.keep(
				[{ op: 'set_benchmark', benchmark: null, name: mark.name, level, what: mark.what, at: data.stick }],
				'mark'
			)
		) {
			mark = { name: '', level: '', what: 'nail' };
			await data.load();
		}
	}
	async function take(at: string, then: (mm: number) => void, name: string) {
		const fresh = at === 'up' ? (data.state?.ground.stands.length ?? 0) + 1 : undefined;
		if (fresh !== undefined || !laser.on) {
			laser.close();
			if (!(await connectAs(fresh))) return;
		}
		const mm = await laser.shoot({ mark: name });
		if (mm !== null) then(mm);
	}
	const connectAs = (stand?: number) => (stand === undefined ? connect() : laser.connect(store.id, data.layer, stand));
	async function note(
		at: string,
		kind: 'set-up' | 'bench-shot' | 'turning-point',
		values: Record<string, unknown>
	): Promise<boolean> {
		const got = await data.record(kind, values);
		wrong = { at, words: got?.words ?? '' };
		return !got;
	}
	async function setUp() {
		const name = up.name.trim() || `Set-up ${(data.state?.ground.stands.length ?? 0) + 1}`;
		const at = data.stick;
		if (await note('up', 'set-up', { name, on, backsight_mm: up.read, at, simulated: up.simulated }))
			up = { name: '', on: '', read: '', simulated: false };
	}
	async function checkAgain() {
		if (stand && (await note('again', 'bench-shot', { setup: stand.id, on: stand.on, reading_mm: again }))) again = '';
	}
	async function keepTurn() {
		if (stand && (await note('turn', 'turning-point', { setup: stand.id, name: turn.name, foresight_mm: turn.read })))
			turn = { name: '', read: '' };
	}
	const whats = (Object.keys(groundWords.whats) as (keyof typeof groundWords.whats)[]).map((value) => ({
		value,
		label: groundWords.whats[value]
	}));
</script>

<div class="saying" aria-live="polite">
	{#if stand}
		<p class="big" class:good={stand.checked > 0 && !stand.moved} class:plain={stand.checked === 0}>
			{stand.name}{stand.moved ? ' moved.' : stand.checked ? ' stands.' : ' is not checked.'}
		</p>
		<p data-drift={stand.moved}><Frac text={stand.words} /></p>
	{:else}
		<p class="big plain">{marks.length ? groundWords.noLaser : groundWords.noMarks}</p>
	{/if}
</div>

{#if stand}
	<h2 class="mt-10">{groundWords.again}</h2>
	<p class="label">{groundWords.againHow}</p>
	<div class="row mx-0 mt-4 mb-8 flex flex-wrap items-end gap-x-12 gap-y-8">
		<label class="label"
			>{stand.on}<input
				class="reading block w-150"
				id="again"
				bind:value={again}
				placeholder={groundWords.readHint[data.state?.reads ?? 'sixteenths']}
				onkeydown={(e) => e.key === 'Enter' && void checkAgain()}
			/></label
		>
		<Act disabled={!again.trim()} onclick={() => void checkAgain()}>{groundWords.check}</Act>
		{#if stand.simulated}<Act kind="quiet" onclick={() => void take('again', (mm) => (again = `${mm} mm`), stand.on)}
				>{groundWords.fromStandIn}</Act
			>{/if}
	</div>
	{#if wrong.at === 'again' && wrong.words}<p class="wrong" role="alert">{wrong.words}</p>{/if}
{/if}

<h2 class="mt-10">{groundWords.setUp}</h2>
<div class="row mx-0 mt-4 mb-8 flex flex-wrap items-end gap-x-12 gap-y-8">
	<label class="label"
		>{groundWords.setUpName}<input
			class="reading block w-150"
			bind:value={up.name}
			placeholder={groundWords.setUpNext((data.state?.ground.stands.length ?? 0) + 1)}
		/></label
	>
	<Choose
		label
		class="min-w-110"
		name={groundWords.on_}
		rows={marks.map((row) => ({ value: row.name, label: row.name }))}
		value={on}
		pick={(name) => (up.on = name)}
	/>
	<label class="label"
		>{groundWords.backsight}<input
			class="reading block w-150"
			id="backsight"
			bind:value={up.read}
			oninput={() => (up.simulated = false)}
			placeholder={groundWords.readHint[data.state?.reads ?? 'sixteenths']}
			onkeydown={(e) => e.key === 'Enter' && void setUp()}
		/></label
	>
	<Act kind="main" disabled={!on || !up.read.trim()} onclick={() => void setUp()}>{groundWords.setUpKeep}</Act>
	<Act
		kind="quiet"
		disabled={!on}
		onclick={() => void take('up', (mm) => (up = { ...up, read: `${mm} mm`, simulated: true }), on)}
		>{groundWords.fromStandIn}</Act
	>
</div>
{#if wrong.at === 'up' && wrong.words}<p class="wrong" role="alert">{wrong.words}</p>{/if}
{#if laser.words}<p class="wrong" role="alert">{laser.words}</p>{/if}

<h2 class="mt-10">{groundWords.marks}</h2>
{#if marks.length}
	<Table>
		{#each marks as row}
			<tr
				><th scope="row">{row.name}</th><td><Frac text={row.level_text} /></td>
				<td
					>{#if row.benchmark !== null}<Act
							kind="quiet"
							onclick={() =>
								void store
									.keep(
										[{ op: 'remove_benchmark', benchmark: store.document?.ground.benchmarks[row.benchmark ?? 0]?.id ?? '' }],
										'mark'
									)
									.then(() => data.load())}>{groundWords.takeOff}</Act
						>{/if}</td
				></tr
			>
		{/each}
	</Table>
{/if}
<div class="row mx-0 mt-4 mb-8 flex flex-wrap items-end gap-x-12 gap-y-8">
	<label class="label">{groundWords.markName}<input class="reading block w-190" id="mark-name" bind:value={mark.name} /></label>
	<label class="label"
		>{groundWords.markLevel}<input
			class="reading block w-150"
			id="mark-level"
			bind:value={mark.level}
			placeholder={groundWords.markHint[store.units]}
			onkeydown={(e) => e.key === 'Enter' && void addMark()}
		/></label
	>
	<Choose
		label
		class="min-w-110"
		name={groundWords.markWhat}
		rows={whats}
		value={mark.what}
		pick={(what) => (mark.what = what)}
	/>
	<Act kind="quiet" disabled={!mark.name.trim() || !mark.level.trim()} onclick={() => void addMark()}>{groundWords.addMark}</Act>
</div>
{#if problem}<p class="wrong" role="alert">
		{problem.detail}
		{#each problem.choices ?? [] as choice}<Act kind="quiet" onclick={() => void addMark(choice.text)}>{choice.label}</Act>{/each}
	</p>{/if}

{#if stand}
	<Fold name={groundWords.turning}>
		<div class="row mx-0 mt-4 mb-8 flex flex-wrap items-end gap-x-12 gap-y-8">
			<label class="label">{groundWords.turningName}<input class="reading block w-190" bind:value={turn.name} /></label>
			<label class="label">{groundWords.turningRead}<input class="reading block w-150" bind:value={turn.read} /></label>
			<Act kind="quiet" disabled={!turn.name.trim() || !turn.read.trim()} onclick={() => void keepTurn()}
				>{groundWords.turningKeep}</Act
			>
		</div>
		{#if wrong.at === 'turn' && wrong.words}<p class="wrong" role="alert">{wrong.words}</p>{/if}
	</Fold>
{/if}
<StandIn {laser} connect={() => void connect()} />
