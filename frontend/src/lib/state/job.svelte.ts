/** One open job: its kept state, what is being tried, and edits that wait for the server. */
import { api } from '../api/api';
import { ApiProblem, Offline, TAB } from '../api/client';
import type { Drafted, Graded, JobDoubts, JobState, Problem } from '../api/schema';
import { w } from '../words/words';
import { saysOf, stepOf } from '../outbox/says';
import { outbox, type Outbox, type Outcome } from '../outbox/outbox.svelte';
import type { Edit, Row } from '../outbox/rows';
import { cornerId, type Listed, rowId } from './ids';
import { session } from './session.svelte';
import { Versions } from './versions.svelte';

/** a draft that takes longer is asked for in two parts: numbers at once, the drawing when the hand rests or it is too old */
const SLOW_MS = 40;
const REST_MS = 90;
const OLD_MS = 400;
export type { Edit };

/** The same plan with another order: what the site measured moved it, so the board says what it was. */
function measuredSince(was: JobState | null, now: JobState): JobState {
	const old = was?.figure.concrete?.ordered.text;
	if (!was || !old || was.revision !== now.revision || old === now.figure.concrete?.ordered.text) return now;
	const before = { area: null, perimeter: null, ...now.before, order: old, trucks: was.figure.trucks.length };
	return { ...now, before, summary: w.board.measured };
}

/** Nothing was taken back or brought again, and nothing waits to be. */
export const noAnswer = (): Problem => ({
	type: '',
	code: 'offline',
	title: '',
	status: 0,
	detail: w.notices.noStep,
	path: '',
	choices: [],
	head: null
});

export class JobStore {
	kept = $state.raw<JobState | null>(null);
	draft = $state.raw<Drafted | null>(null);
	/** what follows after the numbers: every finding, how each stage stands; of an older revision while it is on its way */
	doubts = $state.raw<JobDoubts | null>(null);
	/** how much of what takes long is done, from 0 to 1; null when all of it is there */
	counting = $state<number | null>(null);
	/** how the ground stands; of an older revision while it is on its way */
	graded = $state.raw<Graded | null>(null);
	/** edits behind the draft, shown on the board with Keep and Drop */
	trying = $state.raw<Edit[]>([]);
	problem = $state.raw<Problem | null>(null);
	/** which control the problem belongs beside */
	problemAt = $state('');
	missing = $state(false);
	/** why this job cannot be opened, '' while it can */
	fault = $state('');
	/** when it was last seen, where nobody answers and it was never asked for on this page; 0 else */
	seen = $state(0);
	#drafting = false;
	#next: Edit[] | null = null;
	#timer: ReturnType<typeof setTimeout> | undefined;

	constructor(
		readonly id: string,
		private readonly box: Outbox = outbox
	) {
		this.versions = new Versions(this, box);
		box.listen(id, (row, outcome, attended) => this.#hear(row, outcome, attended));
	}
	/** two versions of this slab, where somebody else was faster */
	readonly versions: Versions;
	/** what was said here and is not kept by the program yet */
	get waiting(): Row[] {
		return this.box.of(this.id);
	}
	/** an edit of this device that somebody else was faster than */
	get clash(): Row | null {
		return this.waiting.find((row) => row.state === 'clash') ?? null;
	}
	get busy(): boolean {
		return this.box.sending.includes(this.id);
	}

	get document() {
		return this.draft?.document ?? this.kept?.document ?? null;
	}
	get figure() {
		return this.draft?.figure ?? this.kept?.figure ?? null;
	}
	/** id of a corner, or of the side that begins there */
	cornerId(at: number | null): string {
		return cornerId(this.document, at);
	}
	/** id of a row of a list */
	rowId(list: Listed, at: number): string {
		return rowId(this.document, list, at);
	}
	get units() {
		return this.kept?.document.units ?? 'ft-in';
	}

	async load() {
		try {
			const asked = this.kept;
			const got = await api.job(this.id);
			// something from here was kept while this was on its way
			if (this.kept && this.kept !== asked && got.revision < this.kept.revision) return;
			this.kept = measuredSince(this.kept, got);
			[this.fault, this.seen] = ['', 0];
			void this.#follow();
		} catch (error) {
			if (error instanceof ApiProblem && error.problem.status === 404) this.missing = true;
			else if (error instanceof ApiProblem) this.fault = error.problem.detail;
			else if (error instanceof Offline) {
				if (!this.kept) await this.#asSeen(error);
				this.#later(() => this.load());
			}
		}
	}
	/** The job as it was last seen on this device. */
	async #asSeen(error: Offline) {
		const old = await error.seen();
		if (!old || this.kept) return;
		[this.kept, this.seen] = [old.body as JobState, old.at];
		void this.#follow();
	}
	/** Something changed this job elsewhere: look again, unless it was this page, or something is on its way. */
	told(revision: number, records: string, tab: string) {
		if (tab === TAB || !this.kept || (revision === this.kept.revision && records === this.kept.records)) return;
		if (this.busy) this.#later(() => this.load());
		else void this.load();
	}

	/** Keep edits. `at` names the control, for a problem to show beside it. Resolves true when the server has it. */
	async keep(edits: Edit[], at = ''): Promise<boolean> {
		if (!this.kept) return false;
		this.#clear();
		const said = { kind: 'edit' as const, edits };
		const got = await this.box.say({
			job: this.id,
			name: this.kept.document.name,
			base: this.kept.revision,
			author: session.who,
			said
		});
		if (got.is === 'refused') [this.problem, this.problemAt] = [got.problem, at];
		return got.is === 'kept' || got.is === 'elsewhere';
	}
	/** What became of something that was said here, now or before. */
	#hear(row: Row, outcome: Outcome, attended: boolean) {
		if (outcome.is === 'elsewhere') return void this.load();
		if (outcome.is === 'kept' && row.said.kind === 'record') return attended ? undefined : void this.load();
		if (outcome.is !== 'kept') return;
		const state = outcome.answer as JobState;
		if (this.kept && state.revision < this.kept.revision) return;
		this.kept = state;
		this.dropDraft();
		void this.#follow();
	}

	/** Fetch what follows after the numbers; an answer to an older revision or record is let go. */
	async #follow() {
		const asked = this.kept;
		if (!asked) return;
		try {
			const got = await api.doubts(this.id);
			const now = this.kept;
			if (now === asked) [this.counting, this.graded] = [got.counting, got.graded];
			if (got.counting !== null) return now === asked ? void this.#follow() : undefined;
			if (now?.revision !== got.revision || now.records !== got.records) return;
			const before = this.doubts;
			this.doubts = got;
			if (got.later) this.#followLater(500);
			/* doubts of the day came after the others: the numbers stand already, and nothing that is open may start anew */
			const stands = before?.later && before.revision === got.revision && before.records === got.records;
			if (stands && (now.figure.concrete?.second_way_m3 ?? null) !== null) return;
			this.kept = { ...now, figure: { ...now.figure, concrete: got.concrete ?? now.figure.concrete } };
		} catch (error) {
			if (error instanceof Offline) {
				const old = this.doubts ? null : await error.seen();
				if (old) this.doubts = old.body as JobDoubts;
				this.#followLater();
			} else if (!(error instanceof ApiProblem)) throw error;
		}
	}
	#followTimer: ReturnType<typeof setTimeout> | undefined;
	#followLater(after_ms = 1500) {
		clearTimeout(this.#followTimer);
		this.#followTimer = setTimeout(() => void this.#follow(), after_ms);
	}

	#later(act: () => Promise<unknown>) {
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => void act(), 1500);
	}

	/** the drawing of this job cannot keep up with a drag */
	#slow = false;
	#drawnAt = 0;
	#rest: ReturnType<typeof setTimeout> | undefined;
	#drafted(edits: Edit[], numbers: boolean): Promise<Drafted> {
		const body = { revision: this.kept?.revision ?? 1, edits, every_diagonal: false, quick: true, numbers };
		return api.draft(this.id, body);
	}
	/** New numbers over the drawing that is on the screen. */
	#overDrawing(got: Drafted): Drafted {
		const { outline, concrete, trucks, findings, call_in } = got.figure;
		return { ...got, figure: { ...(this.figure ?? got.figure), outline, concrete, trucks, findings, call_in } };
	}
	/** Compute edits without keeping them; calls while one is under way keep only the newest. */
	async try(edits: Edit[], at = '', rests = false) {
		if (rests && !edits.length) return;
		this.trying = edits;
		if (this.#drafting) {
			this.#next = edits;
			return;
		}
		if (!this.kept) return;
		this.#drafting = true;
		clearTimeout(this.#rest);
		try {
			const began = performance.now();
			const numbers = this.#slow && !rests && began - this.#drawnAt < OLD_MS;
			const got = await this.#drafted(edits, numbers);
			const took = performance.now() - began;
			if (this.trying.length) this.draft = numbers ? this.#overDrawing(got) : got;
			this.problem = null;
			if (numbers) this.#rest = setTimeout(() => void this.try(this.trying, at, true), REST_MS);
			else [this.#slow, this.#drawnAt] = [took > SLOW_MS, performance.now()];
		} catch (error) {
			if (error instanceof ApiProblem) {
				this.problem = error.problem;
				this.problemAt = at;
			} else if (!(error instanceof Offline)) throw error;
		} finally {
			this.#drafting = false;
		}
		const next = this.#next;
		this.#next = null;
		if (next && this.trying.length) await this.try(next, at);
	}
	async keepDraft(at = ''): Promise<boolean> {
		return this.trying.length ? this.keep(this.trying, at) : false;
	}
	/** how often a person let go of what was tried: what is typed for it goes too */
	lets = $state(0);
	letGo() {
		this.lets += 1;
		this.#clear();
		this.dropDraft();
	}
	/** What is tried, to be worked out on top of what is kept: nothing while it is on its way to be kept, or it would count twice. */
	get onTop(): Edit[] {
		return this.box.sending.includes(this.id) ? [] : this.trying;
	}
	dropDraft() {
		clearTimeout(this.#rest);
		this.draft = null;
		this.versions.clear();
		this.trying = [];
		this.#next = null;
	}
	#clear() {
		this.problem = null;
		this.problemAt = '';
	}
	clearProblem = () => this.#clear();
	problemFor(at: string): Problem | null {
		return this.problem && this.problemAt === at ? this.problem : null;
	}

	toggleUnits = () => void this.keep([{ op: 'set_fields', values: { units: this.units === 'mm' ? 'ft-in' : 'mm' } }], 'units');
	async everyDiagonal() {
		if (!this.kept) return;
		const body = { revision: this.kept.revision, edits: [], every_diagonal: true, quick: false, numbers: false };
		const got = await api.draft(this.id, body);
		this.kept = { ...this.kept, figure: { ...got.figure, concrete: got.figure.concrete } };
	}

	/** the last that waits here and is not on its way: what undo takes back while it waits */
	get lastWaiting(): Row | null {
		return this.busy ? null : (this.waiting.filter((row) => row.state === 'waiting').at(-1) ?? null);
	}
	/** what undo takes back, and what redo brings again, in words; '' where there is nothing */
	get undoes(): string {
		return this.lastWaiting ? saysOf(this.lastWaiting) : stepOf(this.kept?.undo_record ?? null, this.kept?.undo ?? '');
	}
	get redoes(): string {
		return stepOf(this.kept?.redo_record ?? null, this.kept?.redo ?? '');
	}
	/** presses that follow each other fast are steps after each other */
	#steps: Promise<unknown> = Promise.resolve();
	#inTurn(step: () => Promise<unknown>): Promise<void> {
		const done = this.#steps.then(step).then(() => undefined);
		this.#steps = done.catch(() => undefined);
		return done;
	}
	undo = () =>
		this.#inTurn(() => {
			const last = this.lastWaiting;
			const record = this.kept?.undo_record?.id ?? null;
			return last ? this.box.letGo(last.id) : this.#step((body) => api.undo(this.id, { ...body, record }));
		});
	redo = () =>
		this.#inTurn(() => this.#step((body) => api.redo(this.id, { ...body, record: this.kept?.redo_record?.id ?? null })));
	goBack = (n: number) => this.#step((body) => api.goBack(this.id, { ...body, n }));
	async #step(step: (body: { revision: number; author: string }) => Promise<JobState>) {
		if (!this.kept) return;
		this.#clear();
		this.dropDraft();
		try {
			this.kept = measuredSince(this.kept, await step({ revision: this.kept.revision, author: session.who }));
			void this.#follow();
		} catch (error) {
			if (!(error instanceof ApiProblem || error instanceof Offline)) throw error;
			this.problemAt = 'board';
			this.problem = error instanceof ApiProblem ? error.problem : noAnswer();
			if (this.problem.head) this.takeHead(this.problem.head);
		}
	}
	takeHead(head: JobState) {
		this.kept = head;
		void this.#follow();
	}
}
