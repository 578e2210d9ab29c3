<script lang="ts">
	/** How the crew tapes and forms: tolerance, boards on hand, the kit and its prices, what holds, and the schools. */
	import type { Problem, School, Ways } from '../api/schema';
	import { remember } from '../state/remember.svelte';
	import { session } from '../state/session.svelte';
	import Field from '../ui/Field.svelte';
	import { bothLengths } from '../ui/typed';
	import { w } from '../words/words';
	import { waysWords } from '../words/ways';
	import OnHand from './OnHand.svelte';
	import type { WaysStore } from './ways.svelte';
	import WaysSection from './WaysSection.svelte';
	import Act from '../ui/Act.svelte';
	let { store, ways }: { store: WaysStore; ways: Ways } = $props();
	const inch = bothLengths;
	const text = (typed: string): number => typed.replace(/\(.*\)/, '').trim() as unknown as number;
	const cents = (typed: string): number =>
		Number.isFinite(Number(typed)) && typed.trim() ? Math.round(Number(typed) * 100) : (typed as unknown as number);
	const number = (typed: string): number =>
		Number.isFinite(Number(typed)) && typed.trim() ? Number(typed) : (typed as unknown as number);
	const money = (value: number) => (value / 100).toFixed(2);
	const problem = (at: string): Problem | null =>
		store.problem && store.problemAt === at
			? { type: '', code: '', title: '', status: 422, detail: store.problem, path: '', choices: [], head: null }
			: null;
	interface Row {
		at: string;
		label: string;
		value: string;
		set: (x: Ways, typed: string) => unknown;
	}
	const f = $derived(ways.forms);
	const sizes = $derived<Row[]>([
		{
			at: 'tolerance',
			label: waysWords.tolerance,
			value: ways.tape.tolerance_mm ? inch(ways.tape.tolerance_mm) : '',
			set: (x, t) => (x.tape.tolerance_mm = t.trim() ? text(t) : null)
		},
		{ at: 'sigma', label: waysWords.sigma, value: inch(ways.tape.sigma_mm), set: (x, t) => (x.tape.sigma_mm = text(t)) },
		{
			at: 'profile',
			label: waysWords.profile,
			value: inch(ways.set_out.profile_mm),
			set: (x, t) => (x.set_out.profile_mm = text(t))
		},
		{ at: 'bulge', label: waysWords.bulge, value: inch(f.bulge_mm), set: (x, t) => (x.forms.bulge_mm = text(t)) },
		{
			at: 'stake-n',
			label: waysWords.stakeHolds,
			value: String(f.stake_holds_n),
			set: (x, t) => (x.forms.stake_holds_n = number(t))
		},
		{
			at: 'kicker-n',
			label: waysWords.kickerHolds,
			value: String(f.kicker_holds_n),
			set: (x, t) => (x.forms.kicker_holds_n = number(t))
		},
		{ at: 'rate', label: waysWords.rate, value: String(f.form_m_per_hour), set: (x, t) => (x.forms.form_m_per_hour = number(t)) },
		{ at: 'min', label: waysWords.minPiece, value: inch(f.min_piece_mm), set: (x, t) => (x.forms.min_piece_mm = text(t)) }
	]);
	const prices = $derived<Row[]>([
		{ at: 'stake-c', label: waysWords.stakePrice, value: money(f.stake_cents), set: (x, t) => (x.forms.stake_cents = cents(t)) },
		{
			at: 'kicker-c',
			label: waysWords.kickerPrice,
			value: money(f.kicker_cents),
			set: (x, t) => (x.forms.kicker_cents = cents(t))
		},
		{ at: 'panel-c', label: waysWords.panelPrice, value: money(f.panel_cents), set: (x, t) => (x.forms.panel_cents = cents(t)) },
		{
			at: 'splice-c',
			label: waysWords.splicePrice,
			value: money(f.splice_cents),
			set: (x, t) => (x.forms.splice_cents = cents(t))
		},
		{ at: 'hour-c', label: waysWords.hourPrice, value: money(f.hour_cents), set: (x, t) => (x.forms.hour_cents = cents(t)) }
	]);
	const perFoot = (i: number): Row => ({
		at: `board-${i}`,
		label: `${f.boards[i]?.mark}, ${waysWords.perFoot}`,
		value: (((f.boards[i]?.price_per_m_cents ?? 0) * 0.3048) / 100).toFixed(2),
		set: (x, t) => {
			const board = x.forms.boards[i];
			if (board)
				board.price_per_m_cents = Number.isFinite(Number(t)) && t.trim() ? (Number(t) * 100) / 0.3048 : (t as unknown as number);
		}
	});
	let mark = $state('');
	let deep = $state('');
	remember(
		'ways/board',
		() => ({ mark, deep }),
		(old) => ({ mark, deep } = old)
	);
	async function addBoard() {
		const board = { mark: mark.trim(), thick_mm: 38.1, deep_mm: text(deep), cap_mm: 609.6, price_per_m_cents: 0, bends: false };
		if (await store.keep((x) => x.forms.boards.push(board), 'kit')) mark = deep = '';
	}
	const keep = (row: Row) => (typed: string) => store.keep((x) => row.set(x, typed), row.at);
	const schools = $derived<['corner' | 'stack' | 'buy' | 'pads', School[]][]>(
		(['corner', 'stack', 'buy', 'pads'] as const).map((key) => [key, session.schools[key] ?? []])
	);
</script>

<WaysSection>
	<h2>{waysWords.forms}</h2>
	<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8">
		{#each sizes as row (row.at)}<Field
				label={row.label}
				value={row.value}
				placeholder={row.at === 'tolerance' ? waysWords.toleranceDefault : w.notSet}
				calm={row.at === 'tolerance'}
				problem={problem(row.at)}
				keep={keep(row)}
			/>{/each}
	</div>
	{#each schools as [choice, rows]}
		<h3>{waysWords.choices[choice]}</h3>
		{#each rows as school (school.key)}
			<div class="grid grid-cols-[118px_1fr] items-center gap-12 border-t border-hair pt-6 text-note">
				<Act
					kind="quiet"
					on={f[choice] === school.key}
					aria-pressed={f[choice] === school.key}
					onclick={() => void store.keep((x) => ((x.forms[choice] as string) = school.key), choice)}
					>{waysWords.schoolNames[school.key as 'lap']}</Act
				>
				<p>{school.pro} <span class="label">{waysWords.against} {school.con}</span></p>
			</div>
		{/each}
	{/each}
</WaysSection>
<WaysSection>
	<h2>{waysWords.boards}</h2>
	<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8">
		{#each f.boards.keys() as i}{@const row = perFoot(i)}<Field
				label={row.label}
				value={row.value}
				problem={problem(row.at)}
				keep={keep(row)}
			/>{/each}
	</div>
	<div class="flex flex-wrap items-end gap-8">
		<label class="label w-130">{waysWords.boardMark}<input class="well" bind:value={mark} placeholder="2x14" /></label>
		<label class="label w-130">{waysWords.deep}<input class="well" bind:value={deep} placeholder="13 1/4 in" /></label>
		<Act kind="quiet" disabled={!mark.trim() || !deep.trim()} onclick={() => void addBoard()}>{waysWords.addBoard}</Act>
		{#if store.problem && store.problemAt === 'kit'}<p class="wrong" role="alert">{store.problem}</p>{/if}
	</div>
	<h3>{waysWords.onHand}</h3>
	<OnHand {store} {ways} />
	<h3>{waysWords.prices}</h3>
	<div class="grid grid-cols-[1fr_1fr] gap-x-18 gap-y-8">
		{#each prices as row (row.at)}<Field label={row.label} value={row.value} problem={problem(row.at)} keep={keep(row)} />{/each}
	</div>
	<p class="label">{f.reason}</p>
</WaysSection>
