/** How somebody does, on this device; and by name, where they want it: what waits for a signal goes out with the next. */
import { api } from '../api/api';
import { ApiProblem, Offline } from '../api/client';
import type { TryIn } from '../api/schema';
import type { Grade } from './mark';

const TRIES = 'practice/tries';
const KEEP = 'practice/keep';
const WAITS = 'practice/waits';
const MOST = 400;
export const LAST = 10;
export interface Tried {
	kind: string;
	level: number;
	grade: Grade;
	off: number | null;
}
function read<T>(key: string, none: T): T {
	try {
		return (JSON.parse(localStorage.getItem(key) ?? 'null') as T | null) ?? none;
	} catch {
		return none;
	}
}
function write(key: string, value: unknown): void {
	try {
		localStorage.setItem(key, JSON.stringify(value));
	} catch {
		/* a private window may refuse: it lasts as long as the page */
	}
}

/** The last ten of a kind, the newest last. */
export const lastOf = (tries: Tried[], kind: string): Tried[] => tries.filter((one) => one.kind === kind).slice(-LAST);
/** The middle of how far somebody is out, null where nothing is along a tape. */
export function wayOf(rows: Tried[]): number | null {
	const offs = rows.flatMap((row) => (row.off === null ? [] : [row.off])).sort((a, b) => a - b);
	return offs.length ? (offs[Math.floor(offs.length / 2)] ?? null) : null;
}

export class Book {
	tries = $state.raw<Tried[]>(read<Tried[]>(TRIES, []));
	/** the name it is kept by, '' for nobody's */
	keep = $state(read(KEEP, ''));
	waits = $state.raw<TryIn[]>(read<TryIn[]>(WAITS, []));
	problem = $state('');
	#sending = false;

	note(one: Tried): void {
		this.tries = [...this.tries, one].slice(-MOST);
		write(TRIES, this.tries);
	}
	setKeep(name: string): void {
		this.keep = name;
		write(KEEP, name);
	}
	/** Kept by name: first on this device, then with the program. */
	async say(one: TryIn): Promise<void> {
		this.#waiting([...this.waits, one]);
		await this.send();
	}
	async send(): Promise<void> {
		if (this.#sending) return;
		this.#sending = true;
		try {
			for (let next = this.waits[0]; next; next = this.waits[0]) {
				await api.keepTry(next);
				this.#waiting(this.waits.slice(1));
				this.problem = '';
			}
		} catch (error) {
			if (error instanceof ApiProblem) {
				// it will never be taken: said, and not tried again
				this.problem = error.problem.detail;
				this.#waiting(this.waits.slice(1));
			} else if (!(error instanceof Offline)) throw error;
		} finally {
			this.#sending = false;
		}
	}
	async forget(): Promise<number> {
		const name = this.keep;
		this.setKeep('');
		this.#waiting([]);
		return (await api.forgetTries(name)).forgot;
	}
	#waiting(rows: TryIn[]): void {
		this.waits = rows;
		write(WAITS, rows);
	}
}
