/**
 * Everything that is said goes through here: into the browser's database first, then to the program, each job's rows in
 * their order. A row leaves only when the program said that it is kept, or when a person lets it go.
 */
import { api } from '../api/api';
import { ApiProblem, Offline } from '../api/client';
import type { JobState, Problem, RecordRow } from '../api/schema';
import { forgetId, idOf, noteKept } from './pressed';
import { nextSeq, openRows, pictureOf, type Row, type Rows, type Said } from './rows';

const AGAIN_MS = 1500;
const MOST_MS = 15_000;
const UNTIL_LATER = [401, 500, 502, 503, 504, 507];
const ANSWER_MS = 8000;
const ANSWER_OFFLINE_MS = 1200;
/** held: it waits here and goes out by itself. elsewhere: another tab of this browser sent it. gone: a person let it go. */
export type Outcome =
	| { is: 'kept'; answer: JobState | RecordRow }
	| { is: 'refused'; problem: Problem }
	| { is: 'clash' | 'held' | 'elsewhere' | 'gone' };
export interface Saying {
	job: string;
	name: string;
	base: number;
	author: string;
	said: Said;
}
/** attended: somebody waits for this answer and takes care of what hangs on it */
type Hearer = (row: Row, outcome: Outcome, attended: boolean) => void;
type Waiter = (outcome: Outcome) => void;

const typing = (row: Row) => row.said.kind === 'edit' && row.said.edits.every((edit) => edit.op === 'set_walk');

export class Outbox {
	rows = $state.raw<Row[]>([]);
	/** jobs that a row is on its way for */
	sending = $state.raw<string[]>([]);
	/** the program did not answer the last time */
	offline = $state(false);
	/** rows outlive this page */
	lasting = $state(true);
	#store: Promise<Rows>;
	#waiters = new Map<string, Waiter[]>();
	#listeners = new Map<string, Hearer>();
	#heads = new Map<string, JobState>();
	#tried = new Set<string>();
	/** said while rows of the job were on their way */
	#asked = new Set<string>();
	/** what an edit from here made of a revision: a job and its revision, the one after it */
	#moved = new Map<string, number>();
	#wait = AGAIN_MS;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#tabs: BroadcastChannel | null = null;

	constructor(store: Promise<Rows> = openRows()) {
		this.#store = store;
	}
	/** Read what waits from before, and send it. */
	async start(): Promise<void> {
		const store = await this.#store;
		this.lasting = store.lasting;
		await this.#fromBefore(store);
		await this.#read();
		if (typeof BroadcastChannel !== 'undefined' && !this.#tabs) {
			this.#tabs = new BroadcastChannel('outbox');
			this.#tabs.onmessage = () => void this.#elsewhere();
		}
		globalThis.addEventListener?.('online', () => this.flush());
		this.flush();
	}
	/** Rows that an older version kept elsewhere. */
	async #fromBefore(store: Rows): Promise<void> {
		try {
			for (const key of Object.keys(localStorage).filter((one) => one.startsWith('waiting-'))) {
				const old = JSON.parse(localStorage.getItem(key) ?? '[]') as {
					edit_id: string;
					edits: (Said & { kind: 'edit' })['edits'];
				}[];
				const job = key.slice('waiting-'.length);
				for (const { edit_id, edits } of old) {
					await store.put({
						id: edit_id,
						seq: nextSeq(),
						job,
						name: '',
						base: 0,
						author: '',
						made_at: new Date().toISOString(),
						said: { kind: 'edit', edits },
						state: 'waiting',
						words: ''
					});
				}
				localStorage.removeItem(key);
			}
		} catch {
			/* nothing from before can be read */
		}
	}
	async #read(): Promise<void> {
		this.rows = await (await this.#store).all();
	}
	of(job: string): Row[] {
		return this.rows.filter((row) => row.job === job);
	}
	/** Tell the screen of a job what became of its rows; the newest screen of a job hears. */
	listen(job: string, hear: Hearer): void {
		this.#listeners.set(job, hear);
	}

	/** Say something: it is written down here, then sent. Resolves with what became of it, `held` where no answer comes. */
	async say(saying: Saying): Promise<Outcome> {
		const said = JSON.parse(JSON.stringify(saying.said)) as Said;
		const id = idOf(saying.job, said.kind === 'record' ? { ...said.record, at_device: '' } : said.edits);
		const heard = new Promise<Outcome>((resolve) => this.#waiters.set(id, [...(this.#waiters.get(id) ?? []), resolve]));
		if (!this.rows.some((row) => row.id === id)) {
			const row: Row = { ...saying, said, id, seq: nextSeq(), made_at: new Date().toISOString(), state: 'waiting', words: '' };
			const before = this.of(saying.job)
				.filter((one) => one.state === 'waiting' && one.said.kind === 'edit')
				.at(-1);
			if (before && typing(before) && typing(row) && !this.sending.includes(saying.job))
				await this.#remove(before, { is: 'gone' });
			await this.#put(row);
		}
		const given = setTimeout(() => this.#tell(id, { is: 'held' }), this.offline ? ANSWER_OFFLINE_MS : ANSWER_MS);
		void this.#flushJob(saying.job);
		const outcome = await heard;
		clearTimeout(given);
		return outcome;
	}
	/** Send all that waits. */
	flush(): void {
		clearTimeout(this.#timer);
		this.#timer = undefined;
		for (const job of new Set(this.rows.filter((row) => row.state === 'waiting').map((row) => row.job))) void this.#flushJob(job);
	}
	async #flushJob(job: string): Promise<void> {
		if (this.sending.includes(job)) return void this.#asked.add(job);
		this.sending = [...this.sending, job];
		try {
			const locks = globalThis.navigator?.locks;
			await (locks ? locks.request(`outbox-${job}`, () => this.#sendAll(job)) : this.#sendAll(job));
		} finally {
			this.sending = this.sending.filter((one) => one !== job);
		}
		if (this.#asked.delete(job)) await this.#flushJob(job);
	}
	async #sendAll(job: string): Promise<void> {
		await this.#read();
		const done = new Set<string>();
		for (;;) {
			const rows = this.of(job);
			const held = rows.some((row) => row.said.kind === 'edit' && row.state === 'clash');
			const row = rows.find((one) => one.state === 'waiting' && !done.has(one.id) && !(held && one.said.kind === 'edit'));
			if (!row) break;
			done.add(row.id);
			const outcome = await this.#send(row);
			if (outcome.is === 'held') {
				for (const one of this.of(job)) this.#tell(one.id, outcome);
				this.#later();
				return;
			}
			this.#tell(row.id, outcome, row);
		}
	}
	async #send(row: Row): Promise<Outcome> {
		const first = !this.#tried.has(row.id) && this.#waiters.has(row.id);
		this.#tried.add(row.id);
		try {
			const answer = await this.#post(row);
			this.offline = false;
			this.#wait = AGAIN_MS;
			noteKept(row.job, row.id);
			if (row.said.kind === 'edit') await this.#rebase(row, (answer as JobState).revision);
			await this.#remove(row, { is: 'kept', answer });
			return { is: 'kept', answer };
		} catch (error) {
			if (error instanceof Offline) {
				this.offline = true;
				await this.#put({ ...row, words: '' });
				return { is: 'held' };
			}
			if (!(error instanceof ApiProblem)) throw error;
			this.offline = false;
			return this.#refused(row, error.problem, first);
		}
	}
	async #refused(row: Row, problem: Problem, first: boolean): Promise<Outcome> {
		if (problem.code === 'stale' && problem.head) {
			this.#heads.set(row.job, problem.head);
			await this.#put({ ...row, state: 'clash', words: problem.detail });
			return { is: 'clash' };
		}
		if (UNTIL_LATER.includes(problem.status)) {
			await this.#put({ ...row, words: problem.detail });
			return { is: 'held' };
		}
		if (first && problem.status !== 413) await this.#remove(row, { is: 'refused', problem });
		else await this.#put({ ...row, state: 'refused', words: problem.detail });
		forgetId(row.job, row.id);
		return { is: 'refused', problem };
	}
	async #post(row: Row): Promise<JobState | RecordRow> {
		const { said } = row;
		const [photo, store] = [pictureOf(row), await this.#store];
		const picture = photo && (await store.picture(photo));
		if (photo && picture) await api.keepPhoto(row.job, photo, picture);
		if (said.kind === 'record') return this.#record(row, said.record);
		return this.#based(row).then((revision) =>
			api.keep(row.job, { revision, edits: said.edits, edit_id: row.id, author: row.author })
		);
	}
	/** A record says which state of the plan it was made on; where the program was put back to before that, it counts on the newest. */
	async #record(row: Row, record: (Said & { kind: 'record' })['record']): Promise<RecordRow> {
		const send = (revision: number) => api.record(row.job, { ...record, id: row.id, revision });
		try {
			return await send(Math.max(row.base, 1));
		} catch (error) {
			if (!(error instanceof ApiProblem) || error.problem.path !== 'revision') throw error;
			return send((await api.job(row.job)).revision);
		}
	}
	/** What an edit goes on top of: on what edits from here made of its base while it was on its way; one from an older
	 * version goes on the newest. */
	async #based(row: Row): Promise<number> {
		let base = row.base || (await api.job(row.job)).revision;
		for (let next = base; next; next = this.#moved.get(`${row.job} ${next}`) ?? 0) base = next;
		return base;
	}
	/** Edits that were made on the same screen go on top of the one that is kept now. */
	async #rebase(row: Row, revision: number): Promise<void> {
		if (row.base && row.base < revision) this.#moved.set(`${row.job} ${row.base}`, revision);
		for (const one of this.of(row.job)) {
			if (one.id !== row.id && one.said.kind === 'edit' && one.base === row.base) await this.#put({ ...one, base: revision });
		}
	}

	/** The newest state that a clash was answered with. */
	headOf(job: string): JobState | null {
		return this.#heads.get(job) ?? null;
	}
	/** All of this device's edits of a job go on top of a revision, in their order. */
	async onTop(job: string, revision: number): Promise<void> {
		for (const row of this.of(job)) {
			if (row.said.kind === 'edit' && row.state !== 'refused')
				await this.#put({ ...row, base: revision, state: 'waiting', words: '' });
		}
		await this.#flushJob(job);
	}
	/** A person lets a row go; edits after it go on top of what is there now. */
	async letGo(id: string): Promise<void> {
		const row = this.rows.find((one) => one.id === id);
		if (!row) return;
		await this.#remove(row, { is: 'gone' });
		forgetId(row.job, row.id);
		this.#tell(row.id, { is: 'gone' }, row);
		if (row.state === 'clash') await this.onTop(row.job, this.headOf(row.job)?.revision ?? row.base);
	}

	async #put(row: Row): Promise<void> {
		await (await this.#store).put(row);
		await this.#changed();
	}
	/** A picture waits here until the record that names it is kept. */
	async holdPicture(id: string, picture: Blob): Promise<void> {
		await (await this.#store).holdPicture(id, picture);
	}
	/** A picture that waits here. */
	async picture(id: string): Promise<Blob | null> {
		return (await this.#store).picture(id);
	}
	async #remove(row: Row, outcome: Outcome): Promise<void> {
		const [photo, store] = [pictureOf(row), await this.#store];
		await store.remove(row.id);
		if (photo && !this.rows.some((one) => one.id !== row.id && pictureOf(one) === photo)) await store.dropPicture(photo);
		await this.#changed();
		this.#listeners.get(row.job)?.(row, outcome, this.#waiters.has(row.id));
	}
	async #changed(): Promise<void> {
		await this.#read();
		this.#tabs?.postMessage('changed');
	}
	#tell(id: string, outcome: Outcome, row?: Row): void {
		const waiting = this.#waiters.get(id) ?? [];
		this.#waiters.delete(id);
		if (row && outcome.is === 'kept' && waiting.length) forgetId(row.job, id);
		for (const hear of waiting) hear(outcome);
	}
	/** Another tab changed the rows: what is gone from here was kept, or let go, there. */
	async #elsewhere(): Promise<void> {
		const before = this.rows;
		await this.#read();
		for (const row of before.filter((one) => !this.rows.some((now) => now.id === one.id))) {
			this.#tell(row.id, { is: 'elsewhere' });
			this.#listeners.get(row.job)?.(row, { is: 'elsewhere' }, false);
		}
	}
	#later(): void {
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => {
			this.#wait = Math.min(this.#wait * 1.6, MOST_MS);
			this.flush();
		}, this.#wait);
	}
}

export const outbox = new Outbox();
