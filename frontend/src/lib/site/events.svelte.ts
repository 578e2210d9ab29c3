/** What changes elsewhere, told to this page: one stream a device, shared by its tabs, resumed after a gap. */
import { listen, type Told } from '../api/stream';

type Hear = (data: Record<string, unknown>) => void;
const LAST = 'stream-last';

const remembered = () => {
	try {
		return sessionStorage.getItem(LAST) ?? '';
	} catch {
		return ''; // it looks at everything again then
	}
};
const remember = (id: string) => {
	try {
		sessionStorage.setItem(LAST, id);
	} catch {
		/* as above */
	}
};

class Events {
	/** the stream stands: what others change is seen within a moment */
	reached = $state(false);
	/** it stood once on this page */
	began = false;
	#hearers = new Map<string, Set<Hear>>();
	#stop: (() => void) | null = null;
	#tabs: BroadcastChannel | null = null;
	#started = false;
	/** the last event that was heard, by whichever page: who takes over goes on from there */
	#last = '';

	/** Hear of one kind; returns how to stop. */
	on(kind: string, hear: Hear): () => void {
		const own = this.#hearers.get(kind) ?? new Set();
		this.#hearers.set(kind, own.add(hear));
		return () => own.delete(hear);
	}
	/** Begin to listen: the first tab of a browser holds the stream, and tells the others. */
	start(): void {
		if (this.#started || typeof EventSource === 'undefined') return;
		this.#started = true;
		if (typeof BroadcastChannel !== 'undefined') {
			this.#tabs = new BroadcastChannel('stream');
			this.#tabs.onmessage = ({ data }: MessageEvent<{ told?: Told; id?: string; reached?: boolean }>) => {
				if (data.told) this.#hear(data.told, data.id ?? '');
				if (data.reached !== undefined) this.#reach(data.reached);
			};
		}
		const locks = globalThis.navigator?.locks;
		if (locks) void locks.request('stream', () => this.#lead());
		else void this.#lead();
	}
	#lead(): Promise<void> {
		const last = this.#last || remembered();
		return new Promise((ended) => {
			const stop = listen(
				last,
				(told, id) => {
					this.#hear(told, id);
					this.#tabs?.postMessage({ told, id });
				},
				(yes) => {
					this.#reach(yes);
					this.#tabs?.postMessage({ reached: yes });
				}
			);
			this.#stop = () => {
				stop();
				ended();
			};
		});
	}
	/** Listen no more, and begin anew when asked. */
	stop(): void {
		this.#stop?.();
		[this.#stop, this.#started, this.reached] = [null, false, false];
	}
	#hear(told: Told, id: string): void {
		this.#last = id;
		remember(id);
		for (const hear of this.#hearers.get(told.kind) ?? []) hear(told.data);
	}
	#reach(yes: boolean): void {
		const back = yes && !this.reached;
		this.reached = yes;
		if (back) for (const hear of this.#hearers.get('back') ?? []) hear({ first: !this.began });
		if (yes) this.began = true;
	}
}

export const events = new Events();
