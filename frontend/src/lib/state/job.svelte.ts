/** One open job: its kept state, what is being tried, and edits that wait for the server. */
import { api } from '../api/api';
import { ApiProblem, Offline } from '../api/client';
import type { Drafted, Graded, JobDoubts, JobState, Keep, Problem } from '../api/schema';
import { w } from '../words/words';
import { cornerId, type Listed, rowId } from './ids';
import { session } from './session.svelte';

/** a draft that takes longer is asked for in two parts: numbers at once, the drawing when the hand rests or it is too old */
const SLOW_MS = 40;
const REST_MS = 90;
const OLD_MS = 400;
export type Edit = Keep['edits'][number];
interface Waiting {
	edit_id: string;
	edits: Edit[];
}
interface Clash {
	head: JobState;
	edits: Edit[];
	words: string;
}

/** The same plan with another order: what the site measured moved it, so the board says what it was. */
function measuredSince(was: JobState | null, now: JobState): JobState {
	const old = was?.figure.concrete?.ordered.text;
	if (!was || !old || was.revision !== now.revision || old === now.figure.concrete?.ordered.text) return now;
	const before = { area: null, perimeter: null, ...now.before, order: old, trucks: was.figure.trucks.length };
	return { ...now, before, summary: w.board.measured };
}

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
	waiting = $state.raw<Waiting[]>([]);
	clash = $state.raw<Clash | null>(null);
	missing = $state(false);
	/** why this job cannot be opened, '' while it can */
	fault = $state('');
	busy = $state(false);
	#drafting = false;
	#next: Edit[] | null = null;
	#timer: ReturnType<typeof setTimeout> | undefined;

	constructor(readonly id: string) {
		this.waiting = this.#read();
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
			const got = await api.job(this.id);
			this.kept = measuredSince(this.kept, got);
			void this.#follow();
			if (this.waiting.length) void this.#send();
		} catch (error) {
			if (error instanceof ApiProblem && error.problem.status === 404) this.missing = true;
			else if (error instanceof ApiProblem) this.fault = error.problem.detail;
			else if (error instanceof Offline) this.#later(() => this.load());
		}
	}

	/** Keep edits. `at` names the control, for a problem to show beside it. Resolves true when the server has it. */
	async keep(edits: Edit[], at = ''): Promise<boolean> {
		if (!this.kept) return false;
		this.#clear();
		const job: Waiting = { edit_id: crypto.randomUUID(), edits };
		if (this.waiting.length) {
			this.#hold([...this.waiting, job]);
			this.#later(() => this.#send());
			return false;
		}
		return this.#inLine(() => this.#post(job, at));
	}
	/** One edit at a time: a second press waits for the first, so that it is kept on top of it. */
	#line: Promise<unknown> = Promise.resolve();
	#inLine<T>(act: () => Promise<T>): Promise<T> {
		const next = this.#line.then(act);
		this.#line = next.catch(() => undefined);
		return next;
	}

	async #post(job: Waiting, at: string): Promise<boolean> {
		if (!this.kept) return false;
		this.busy = true;
		try {
			const body = { revision: this.kept.revision, edits: job.edits, edit_id: job.edit_id, author: session.who };
			this.kept = await api.keep(this.id, body);
			this.dropDraft();
			void this.#follow();
			return true;
		} catch (error) {
			this.#failed(error, job, at);
			return false;
		} finally {
			this.busy = false;
		}
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
			this.doubts = got;
			this.kept = { ...now, figure: { ...now.figure, concrete: got.concrete ?? now.figure.concrete } };
		} catch (error) {
			if (error instanceof Offline) this.#followLater();
			else if (!(error instanceof ApiProblem)) throw error;
		}
	}
	#followTimer: ReturnType<typeof setTimeout> | undefined;
	#followLater() {
		clearTimeout(this.#followTimer);
		this.#followTimer = setTimeout(() => void this.#follow(), 1500);
	}

	#failed(error: unknown, job: Waiting, at: string) {
		if (error instanceof Offline) {
			if (!this.waiting.some((row) => row.edit_id === job.edit_id)) this.#hold([...this.waiting, job]);
			this.#later(() => this.#send());
		} else if (error instanceof ApiProblem) {
			if (error.problem.code === 'stale' && error.problem.head) {
				this.clash = { head: error.problem.head, edits: job.edits, words: error.problem.detail };
			} else {
				this.problem = error.problem;
				this.problemAt = at;
			}
		} else throw error;
	}

	async #send() {
		if (!this.kept) await this.load();
		const first = this.waiting[0];
		if (!first || !this.kept) return;
		const done = await this.#post(first, 'waiting');
		if (done || this.problem || this.clash) this.#hold(this.waiting.slice(1));
		if (done && this.waiting.length) await this.#send();
	}

	#later(act: () => Promise<unknown>) {
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => void act(), 1500);
	}
	#hold(rows: Waiting[]) {
		this.waiting = rows;
		try {
			localStorage.setItem(`waiting-${this.id}`, JSON.stringify(rows));
		} catch {
			/* kept in this page all the same */
		}
	}
	#read(): Waiting[] {
		try {
			return JSON.parse(localStorage.getItem(`waiting-${this.id}`) ?? '[]') as Waiting[];
		} catch {
			return [];
		}
	}

	/** Take the other's version and put the own edits on top of it. */
	async reapply() {
		const clash = this.clash;
		if (!clash) return;
		this.kept = clash.head;
		this.clash = null;
		await this.keep(clash.edits, 'clash');
	}
	takeTheirs() {
		if (this.clash) this.takeHead(this.clash.head);
		this.clash = null;
		this.dropDraft();
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
		const { drawing, section_places, levels, checks, second_pours } = this.figure ?? got.figure;
		return { ...got, figure: { ...got.figure, drawing, section_places, levels, checks, second_pours } };
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
	dropDraft() {
		clearTimeout(this.#rest);
		this.draft = null;
		this.trying = [];
		this.#next = null;
	}
	#clear() {
		this.problem = null;
		this.problemAt = '';
	}
	clearProblem() {
		this.#clear();
	}
	problemFor(at: string): Problem | null {
		return this.problem && this.problemAt === at ? this.problem : null;
	}

	async everyDiagonal() {
		if (!this.kept) return;
		const body = { revision: this.kept.revision, edits: [], every_diagonal: true, quick: false, numbers: false };
		const got = await api.draft(this.id, body);
		this.kept = { ...this.kept, figure: { ...got.figure, concrete: got.figure.concrete } };
	}

	undo = () => this.#step(api.undo);
	redo = () => this.#step(api.redo);
	async #step(step: typeof api.undo) {
		if (!this.kept) return;
		this.#clear();
		this.dropDraft();
		const body = { revision: this.kept.revision, author: session.who };
		try {
			this.kept = await step(this.id, body);
			void this.#follow();
		} catch (error) {
			if (error instanceof ApiProblem && error.problem.head) this.takeHead(error.problem.head);
			else if (error instanceof ApiProblem || error instanceof Offline) this.problemAt = 'board';
			if (error instanceof ApiProblem) this.problem = error.problem;
		}
	}
	async goBack(n: number) {
		if (!this.kept) return;
		const body = { revision: this.kept.revision, author: session.who, n };
		this.kept = await api.goBack(this.id, body);
		void this.#follow();
	}
	takeHead(head: JobState) {
		this.kept = head;
		void this.#follow();
	}
}
