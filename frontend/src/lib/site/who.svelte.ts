/** Who is looking where, and where this screen says that it is. */
import { api } from '../api/api';
import type { HereTold } from '../api/schema';
import { session } from '../state/session.svelte';

export interface Here {
	job: string;
	lens: string;
	tab: string;
	part: string;
	spot_mm: [number, number] | null;
	waits: number;
}
const REST_MS = 300;

class Who {
	rows = $state.raw<HereTold[]>([]);
	#said = '';
	#timer: ReturnType<typeof setTimeout> | undefined;
	#asked: ReturnType<typeof setTimeout> | undefined;

	/** others who look at a job */
	on(job: string): HereTold[] {
		return this.rows.filter((row) => !row.own && row.job === job && (row.name || row.device === 'laptop'));
	}
	/** Ask again, a moment after the last news. */
	news(): void {
		clearTimeout(this.#asked);
		this.#asked = setTimeout(() => void this.load(), REST_MS);
	}
	async load(): Promise<void> {
		try {
			this.rows = await api.who();
		} catch {
			/* who is where stays as it was seen */
		}
	}
	/** Say where this screen is, when the hand rests. */
	say(here: Here): void {
		const told = JSON.stringify([here, session.who]);
		if (told === this.#said) return;
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => {
			this.#said = told;
			api.here({ ...here, name: session.who }).catch(() => (this.#said = ''));
		}, REST_MS);
	}
	/** Say it again: the laptop may have started anew. */
	again(): void {
		this.#said = '';
	}
}

export const who = new Who();
/** A name with what tells it from another of the same name. */
export const nameOf = (row: { name: string; mark: string }, laptop: string) =>
	[row.name || laptop, row.mark].filter(Boolean).join(' ');
