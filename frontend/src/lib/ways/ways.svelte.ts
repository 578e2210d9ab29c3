/** Changing the crew's ways: each change is kept at once. */
import { api } from '../api/api';
import { ApiProblem } from '../api/client';
import { troubleOf } from '../state/resource.svelte';
import type { Ways } from '../api/schema';
import { session } from '../state/session.svelte';
import { waysWords } from '../words/ways';

export class WaysStore {
	problem = $state('');
	problemAt = $state('');
	said = $state('');
	/** changes go out one after the other: each stands on what the one before it made of the ways */
	#before: Promise<unknown> = Promise.resolve();

	keep(change: (ways: Ways) => unknown, at: string): Promise<boolean> {
		const own = this.#before.then(() => this.#keep(change, at));
		this.#before = own.catch(() => undefined);
		return own;
	}
	async #keep(change: (ways: Ways) => unknown, at: string): Promise<boolean> {
		if (!session.ways) return false;
		const ways = structuredClone(session.ways);
		change(ways);
		this.problem = '';
		try {
			const got = await api.keepWays({ version: session.waysVersion, ways, author: session.who });
			session.ways = got.ways;
			session.waysVersion = got.version;
			session.waysUnread = got.unread;
			this.said = waysWords.kept;
			return true;
		} catch (error) {
			this.problemAt = at;
			this.problem = troubleOf(error).words;
			if (error instanceof ApiProblem && error.problem.code === 'stale') await session.loadWays();
			return false;
		}
	}
}
