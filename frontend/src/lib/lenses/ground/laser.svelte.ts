/** The link to a laser receiver: JSON lines on a WebSocket. Here it is the stand-in. */
import type { XY } from '../../drawing/viewport';
import { ground as groundWords } from '../../words/ground';

export type Fault = 'none' | 'tilt' | 'mud' | 'bump' | 'battery';
interface Line {
	kind: 'hello' | 'reading' | 'no-beam' | 'ok' | 'error';
	reading_mm?: number | null;
	battery_percent?: number;
	why?: string;
	at?: XY | null;
}

export class LaserLink {
	on = $state(false);
	battery = $state(100);
	fault = $state<Fault>('none');
	words = $state('');
	#socket: WebSocket | null = null;
	#waits: ((line: Line) => void)[] = [];

	/** stand: how many set-ups there are, so that the same tripod is found again. */
	connect(jobId: string, layer: string, stand: number): Promise<boolean> {
		this.close();
		const asked = new URLSearchParams({ layer, stand: String(Math.max(1, stand)) });
		const socket = new WebSocket(`${location.origin.replace('http', 'ws')}/api/jobs/${jobId}/laser?${asked}`);
		this.#socket = socket;
		this.words = '';
		return new Promise((done) => {
			socket.onmessage = (event) => {
				const line = JSON.parse(String(event.data)) as Line;
				if (line.kind === 'hello') {
					this.on = true;
					done(true);
				} else this.#waits.shift()?.(line);
			};
			socket.onclose = () => {
				if (this.#socket === socket) this.on = false;
				for (const wait of this.#waits.splice(0)) wait({ kind: 'error', why: 'it was switched off' });
				done(false);
			};
		});
	}
	close() {
		this.#socket?.close();
		this.#socket = null;
		this.on = false;
		this.fault = 'none';
	}
	#say(line: object): Promise<Line> {
		const socket = this.#socket;
		if (!socket || socket.readyState !== WebSocket.OPEN) return Promise.resolve({ kind: 'error', why: 'it is off' });
		return new Promise((done) => {
			this.#waits.push(done);
			socket.send(JSON.stringify(line));
		});
	}
	async misbehave(fault: Fault) {
		await this.#say({ fault: fault === 'none' ? null : fault });
		this.fault = fault;
	}
	/** A reading in mm where the rod stands, or null with `words` saying why. */
	async shoot(where: { at: XY } | { mark: string }): Promise<number | null> {
		const line = await this.#say(where);
		if (line.battery_percent !== undefined) this.battery = line.battery_percent;
		if (line.kind === 'reading' && typeof line.reading_mm === 'number') {
			this.words = '';
			return line.reading_mm;
		}
		this.words = groundWords.noBeam[line.why ?? ''] ?? line.why ?? '';
		return null;
	}
}
