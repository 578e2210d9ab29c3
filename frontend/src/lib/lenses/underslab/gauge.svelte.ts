/** The link to a test gauge or a level in a stand-pipe: JSON lines on a WebSocket. Here it is the stand-in. */
export type GaugeFault = 'none' | 'leak' | 'misread' | 'unplugged';
interface Line {
	kind: 'hello' | 'reading' | 'no-reading' | 'ok' | 'error';
	value?: number | null;
	unit?: 'mm' | 'kPa';
}

export class GaugeLink {
	on = $state(false);
	fault = $state<GaugeFault>('none');
	silent = $state(false);
	#socket: WebSocket | null = null;
	#waits: ((line: Line) => void)[] = [];

	connect(jobId: string, line: string, how: string): Promise<boolean> {
		this.close();
		const asked = new URLSearchParams({ line, how });
		const socket = new WebSocket(`${location.origin.replace('http', 'ws')}/api/jobs/${jobId}/gauge?${asked}`);
		this.#socket = socket;
		return new Promise((done) => {
			socket.onmessage = (event) => {
				const said = JSON.parse(String(event.data)) as Line;
				if (said.kind === 'hello') done((this.on = true));
				else this.#waits.shift()?.(said);
			};
			socket.onclose = () => {
				if (this.#socket === socket) this.on = false;
				for (const wait of this.#waits.splice(0)) wait({ kind: 'error' });
				done(false);
			};
		});
	}
	close() {
		this.#socket?.close();
		this.#socket = null;
		[this.on, this.fault, this.silent] = [false, 'none', false];
	}
	#say(line: object): Promise<Line> {
		const socket = this.#socket;
		if (!socket || socket.readyState !== WebSocket.OPEN) return Promise.resolve({ kind: 'error' });
		return new Promise((done) => {
			this.#waits.push(done);
			socket.send(JSON.stringify(line));
		});
	}
	async misbehave(fault: GaugeFault) {
		await this.#say({ fault: fault === 'none' ? null : fault });
		this.fault = fault;
	}
	/** What it reads, as it is typed with its unit; '' where it says nothing. */
	async read(after_s: number): Promise<string> {
		const line = await this.#say({ read: after_s });
		this.silent = line.kind !== 'reading';
		return line.kind === 'reading' ? `${line.value} ${line.unit}` : '';
	}
}
