/** Something the program is asked for: what it last said, whether that is of now, and what is wrong. The latest ask wins. */
import { ApiProblem, Offline } from '../api/client';
import { w } from '../words/words';

export interface Trouble {
	words: string;
	path: string;
	/** nobody answered, so nothing is wrong with what was asked */
	offline: boolean;
}
/** What an error says to a person. Anything that is neither a problem nor a missing answer is a fault of ours and goes on. */
export function troubleOf(error: unknown): Trouble {
	if (error instanceof ApiProblem) return { words: error.problem.detail, path: error.problem.path, offline: false };
	if (error instanceof Offline) return { words: w.notices.noAnswer, path: '', offline: true };
	throw error;
}

export class Resource<T, Asked extends unknown[] = []> {
	value = $state.raw<T | null>(null);
	/** words of what is wrong with the last ask; '' where nothing is, or nobody answered */
	problem = $state('');
	offline = $state(false);
	/** an answer is on its way, and what is shown is of before */
	loading = $state(false);
	/** when the answer that is shown was last seen, where nobody answers now; 0 else */
	seen = $state(0);
	#last = 0;
	#newest: Promise<boolean> = Promise.resolve(false);

	constructor(readonly ask: (...asked: Asked) => Promise<T>) {}
	/** what is shown may not be of now */
	get stale(): boolean {
		return this.value !== null && (this.loading || this.offline || this.problem !== '');
	}
	/** Ask; done once what is shown is of this ask or of a later one, true where it is. */
	load(...asked: Asked): Promise<boolean> {
		const own = ++this.#last;
		this.loading = true;
		this.#newest = this.#answered(own, asked);
		return this.#newest;
	}
	async #answered(own: number, asked: Asked): Promise<boolean> {
		try {
			const got = await this.ask(...asked);
			if (own !== this.#last) return await this.#newest;
			this.value = got;
			[this.problem, this.offline, this.seen] = ['', false, 0];
			return true;
		} catch (error) {
			const found = troubleOf(error);
			if (own !== this.#last) return await this.#newest;
			[this.problem, this.offline] = [found.offline ? '' : found.words, found.offline];
			if (error instanceof Offline && this.value === null) await this.#asSeen(error, own);
			return false;
		} finally {
			if (own === this.#last) this.loading = false;
		}
	}
	/** What was last seen is better than nothing; it says that it is old. */
	async #asSeen(error: Offline, own: number): Promise<void> {
		const old = await error.seen();
		if (old && own === this.#last && this.value === null) [this.value, this.seen] = [old.body as T, old.at];
	}
	/** Forget it; an answer on its way counts no more. */
	clear(): void {
		this.#last++;
		this.#newest = Promise.resolve(false);
		this.value = null;
		this.loading = false;
	}
}
