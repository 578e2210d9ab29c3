/** What the gate looks at beside its day: holds, the walk, trades, papers, changes; asked for tab by tab. */
import { api } from '../../api/api';
import type { GateState, GateHold, NewRecord, PlaceTold, TaskTold, WalkRow } from '../../api/schema';
import { outbox } from '../../outbox/outbox.svelte';
import type { Edit, JobStore } from '../../state/job.svelte';
import { addRecord, isWrong } from '../../state/record';
import { Resource } from '../../state/resource.svelte';
import { session } from '../../state/session.svelte';
import { ApiProblem } from '../../api/client';
import { kept, worst } from './walk';
import { today } from '../../ui/days';

export type GateTab = 'holds' | 'trades' | 'papers' | 'changes';
const ASK_AGAIN_MS = 500;

export class GateData {
	readonly #state: Resource<GateState, [GateTab, boolean]>;
	/** the question of the walk that is looked at */
	picked = $state('');
	/** the task, and the day, that are looked at */
	task = $state('');
	day = $state('');
	/** where the next change is, on the plan */
	spot = $state<[number, number] | null>(null);
	wrong = $state('');
	wrongAt = $state('');
	#tab: GateTab = 'holds';
	#again: ReturnType<typeof setTimeout> | undefined;

	constructor(readonly store: JobStore) {
		this.#state = new Resource(async (tab, days) => {
			const ask = (edits: Edit[]) => api.gate(store.id, { edits, today: today(), tab, days });
			const edits = store.onTop;
			try {
				return await ask(edits);
			} catch (error) {
				if (!edits.length || !(error instanceof ApiProblem)) throw error;
				return ask([]);
			}
		});
	}
	/** Ask for a tab: what is quick first, then when trades are on. */
	async load(tab: GateTab = this.#tab) {
		clearTimeout(this.#again);
		const turned = tab !== this.#tab || this.#state.value === null;
		this.#tab = tab;
		if (!this.store.kept?.document.outline) return;
		if (turned && tab === 'holds') await this.#state.load(tab, false);
		if (this.#tab !== tab) return;
		await this.#state.load(tab, true);
		if (this.#tab === tab && tab === 'holds' && this.#state.value && !this.#state.value.weather)
			this.#again = setTimeout(() => void this.load(tab), ASK_AGAIN_MS);
	}
	leave() {
		clearTimeout(this.#again);
	}
	get state() {
		return this.#state.value;
	}
	get problem() {
		return this.#state.problem;
	}
	get told() {
		return this.state?.told ?? null;
	}
	get schedule() {
		return this.state?.schedule ?? null;
	}
	/** The walk, with what waits on this device already in it. */
	get places(): PlaceTold[] {
		const waiting = outbox
			.of(this.store.id)
			.flatMap((row) => (row.said.kind === 'record' && row.state === 'waiting' && row.said.record.kind === 'check' ? [row] : []))
			.map((row) => (row.said as { record: { values: Record<string, unknown> } }).record.values);
		return (this.state?.walk?.places ?? []).map((place) => {
			const rows = place.rows.map((row) => kept(row, waiting));
			return { ...place, rows, state: worst(rows.map((row) => row.state)) };
		});
	}
	get rows(): WalkRow[] {
		return this.places.flatMap((place) => place.rows);
	}
	get row(): WalkRow | null {
		return this.rows.find((row) => row.id === this.picked) ?? this.nextOpen(null) ?? this.rows[0] ?? null;
	}
	get place(): PlaceTold | null {
		const row = this.row;
		return this.places.find((one) => one.rows.some((own) => own.id === row?.id)) ?? null;
	}
	/** The next question that nobody answered, after one; from the start again where none is left behind it. */
	nextOpen(after: WalkRow | null): WalkRow | null {
		const rows = this.rows;
		const from = after ? rows.findIndex((row) => row.id === after.id) + 1 : 0;
		const open = (row: WalkRow) => row.state === 'open' || row.state === 'second';
		return [...rows.slice(from), ...rows.slice(0, from)].find((row) => open(row) && row.id !== after?.id) ?? null;
	}
	/** To the place before or after on the walk. */
	step(by: number) {
		const at = this.places.findIndex((one) => one.id === this.place?.id);
		const next = this.places[(at + by + this.places.length) % this.places.length];
		if (next) this.picked = (next.rows.find((row) => row.state !== 'pass') ?? next.rows[0])?.id ?? '';
	}
	get taskTold(): TaskTold | null {
		return this.schedule?.tasks.find((row) => row.key === this.task) ?? null;
	}
	hold(code: string): GateHold | null {
		return this.told?.holds.find((row) => row.code === code) ?? null;
	}
	/** Keep a record and look again; whether nothing was wrong with it. */
	async record(kind: NewRecord['kind'], values: Record<string, unknown>, supersedes: string | null = null): Promise<boolean> {
		/* looks of Steel are its own records, which say no hour */
		const stamped = kind === 'steel-check' ? values : { at: new Date().toISOString(), ...values };
		const got = await addRecord(this.store, kind, stamped, session.who, supersedes);
		[this.wrong, this.wrongAt] = isWrong(got) ? [got.words, got.path] : ['', ''];
		if (!isWrong(got) && got) await this.store.load();
		await this.load();
		return !isWrong(got);
	}
	strike(record: string) {
		return this.#struck(record);
	}
	async #struck(record: string): Promise<boolean> {
		const got = await addRecord(this.store, 'struck', { why: '' }, session.who, record);
		if (!isWrong(got) && got) await this.store.load();
		await this.load();
		return !isWrong(got);
	}
	async keep(edits: Edit[], at: string) {
		const ok = await this.store.keep(edits, at);
		await this.load();
		return ok;
	}
}
