/** What the Underslab lens looks at: the runs and risers with what is being tried, what is held, and the call. */
import { api } from '../../api/api';
import type { UnderslabState } from '../../api/schema';
import { Resource } from '../../state/resource.svelte';
import { tried } from '../../state/tried';
import type { Edit, JobStore } from '../../state/job.svelte';

export type What = 'run' | 'riser';

export class UnderslabData {
	readonly #state: Resource<UnderslabState>;
	/** id of the run or riser that is held */
	#held = $state.raw<{ what: What; id: string } | null>(null);
	#line = $state('');
	#loop = $state(0);
	/** what the call box is for */
	calls = $state<What>('run');
	text = $state('');
	refused = $state(false);

	constructor(readonly store: JobStore) {
		this.#state = tried(store, api.underslab);
	}

	get problem() {
		return this.#state.problem;
	}
	get buried() {
		return this.#state.value?.buried ?? null;
	}
	get covered() {
		return this.#state.value?.covered ?? null;
	}
	get tested() {
		return this.#state.value?.tested ?? null;
	}
	/** the line under test that is held: the one that was pressed, else the first that does not hold yet */
	get line() {
		const lines = this.tested?.lines ?? [];
		return lines.find((one) => one.id === this.#line) ?? lines.find((one) => one.told?.state !== 'passed') ?? lines[0] ?? null;
	}
	/** what pipes and tube take up of the concrete, in words */
	get displaced() {
		return this.#state.value?.displaced ?? '';
	}
	/** sleeves that pass where bars of a cage lie */
	get bites() {
		return this.#state.value?.bites ?? [];
	}
	get tubing() {
		return this.#state.value?.tubing ?? null;
	}
	get tubingFindings() {
		return this.tubing?.findings.filter((row) => row.code !== 'tube-saw') ?? [];
	}
	/** the loop that is held: the one that was pressed, else one that runs long, else the first */
	get loop() {
		const loops = this.tubing?.loops ?? [];
		return loops.find((one) => one.n === this.#loop) ?? loops.find((one) => one.over) ?? loops[0] ?? null;
	}
	holdLoop(n: number) {
		this.#loop = n;
	}
	holdLine(id: string) {
		this.#line = id;
	}
	get runs() {
		return this.buried?.runs ?? [];
	}
	get risers() {
		return this.buried?.risers ?? [];
	}
	get clashes() {
		return [...(this.buried?.clashes ?? []), ...(this.tubing?.clashes ?? [])];
	}
	/** the run that is held: the one that was pressed, else that of the first clash, else the first */
	get run() {
		const id = this.#held?.what === 'run' ? this.#held.id : this.clashes[0]?.where;
		return this.runs.find((one) => one.id === id) ?? this.runs[0] ?? null;
	}
	/** the riser that was pressed */
	get riser() {
		const held = this.#held;
		return held?.what === 'riser' ? (this.risers.find((one) => one.id === held.id) ?? null) : null;
	}
	hold(what: What, id: string) {
		this.#held = { what, id };
	}
	/** Run to run. */
	step(by: number) {
		const at = this.runs.findIndex((one) => one.id === this.run?.id);
		const next = this.runs[at + by];
		if (next) this.hold('run', next.id);
	}
	async load() {
		if (this.store.kept?.document.outline) await this.#state.load();
	}
	get #edit(): Edit {
		return this.calls === 'run' ? { op: 'call_service', text: this.text } : { op: 'add_riser', text: this.text };
	}
	type(text: string) {
		this.text = text;
		this.refused = false;
		if (text.trim()) void this.store.try([this.#edit], 'buried');
		else this.store.dropDraft();
	}
	async keep() {
		if (!this.text.trim()) return;
		const said = this.text;
		const had = new Set([...this.runs, ...this.risers].filter(() => !this.store.draft).map((one) => one.id));
		this.refused = !(await this.store.keep([this.#edit], 'buried'));
		if (this.refused || this.text !== said) return;
		this.letGo();
		await this.load();
		const fresh = (this.calls === 'run' ? this.runs : this.risers).at(-1);
		if (fresh && !had.has(fresh.id)) this.hold(this.calls, fresh.id);
	}
	letGo() {
		this.text = '';
		this.refused = false;
		this.store.clearProblem();
		this.store.dropDraft();
	}
}
