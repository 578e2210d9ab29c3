/** A file on its way in: how far it is, and letting it go. */
import { api } from '../api/api';
import { newId } from '../outbox/pressed';

const ASK_MS = 300;

export class FileReading {
	/** how much of it is read, from 0 to 1; null while nothing is read */
	share = $state<number | null>(null);
	/** said where it takes long enough to be worth a word */
	long = $state(false);
	#key = '';

	/** Send a file; `send` is given the name under which it is asked after. */
	async read<T>(send: (reading: string) => Promise<T>): Promise<T> {
		const key = (this.#key = newId());
		this.share = 0;
		this.long = false;
		const asking = setInterval(() => void this.#ask(key), ASK_MS);
		try {
			return await send(key);
		} finally {
			clearInterval(asking);
			if (key === this.#key) [this.share, this.long] = [null, false];
		}
	}
	async #ask(key: string) {
		this.long = key === this.#key && this.share !== null;
		const got = await api.reading(key).catch(() => null);
		if (got && key === this.#key && this.share !== null) this.share = got.share;
	}
	/** Read it no further; whoever sent it hears so. */
	async letGo() {
		await api.dropReading(this.#key).catch(() => undefined);
	}
}
