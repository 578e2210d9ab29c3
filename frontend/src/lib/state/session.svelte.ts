/** What belongs to this browser: who is working, light, keys; and the crew's ways as loaded. */
import type { Ways, WaysState } from '../api/schema';
import { api } from '../api/api';
import { Offline } from '../api/client';

function stored(key: string, fallback: string): string {
	try {
		return localStorage.getItem(key) ?? fallback;
	} catch {
		return fallback;
	}
}
function store(key: string, value: string): void {
	try {
		localStorage.setItem(key, value);
	} catch {
		/* private windows may refuse; the choice then lasts for this page */
	}
}

class Session {
	who = $state(stored('who', ''));
	dim = $state(stored('light', 'day') === 'dim');
	letters = $state(stored('letters', 'on') === 'on');
	ways = $state.raw<Ways | null>(null);
	waysVersion = $state(0);
	/** why the newest ways are not those in use, '' where they are */
	waysUnread = $state('');
	schools = $state.raw<WaysState['schools']>({});

	setWho(name: string) {
		this.who = name;
		store('who', name);
	}
	toggleDim() {
		this.dim = !this.dim;
		store('light', this.dim ? 'dim' : 'day');
	}
	toggleLetters() {
		this.letters = !this.letters;
		store('letters', this.letters ? 'on' : 'off');
	}
	async loadWays() {
		const got = await api.ways().catch(async (error) => {
			const old = error instanceof Offline ? await error.seen() : null;
			if (!old) throw error;
			return old.body as WaysState;
		});
		this.ways = got.ways;
		this.waysVersion = got.version;
		this.waysUnread = got.unread;
		this.schools = got.schools;
	}
}

export const session = new Session();
