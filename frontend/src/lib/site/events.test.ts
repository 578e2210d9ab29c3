/** The stream of a device: who holds it, what every page hears, and coming back after a gap. */
import { afterEach, beforeEach, expect, test, vi } from 'vitest';

class Source {
	static made: Source[] = [];
	onopen: (() => void) | null = null;
	onerror: (() => void) | null = null;
	closed = false;
	#hearers = new Map<string, (event: unknown) => void>();
	constructor(readonly url: string) {
		Source.made.push(this);
	}
	addEventListener(kind: string, hear: (event: unknown) => void) {
		this.#hearers.set(kind, hear);
	}
	says(kind: string, data: object, lastEventId = 'b-1') {
		this.#hearers.get(kind)?.({ data: JSON.stringify(data), lastEventId });
	}
	close() {
		this.closed = true;
	}
}
/** pages of one browser: a message of one reaches the others */
class Channel {
	static all: Channel[] = [];
	onmessage: ((event: { data: unknown }) => void) | null = null;
	constructor(readonly name: string) {
		Channel.all.push(this);
	}
	postMessage(data: unknown) {
		for (const other of Channel.all) if (other !== this && other.name === this.name) other.onmessage?.({ data });
	}
}
/** one lock for all pages: the next gets it when the first is done */
let queue: Promise<unknown> = Promise.resolve();
const page = async () => {
	vi.resetModules();
	return (await import('./events.svelte')).events;
};
const settled = () => new Promise((done) => setTimeout(done, 0));

beforeEach(() => {
	[Source.made, Channel.all, queue] = [[], [], Promise.resolve()];
	vi.stubGlobal('EventSource', Source);
	vi.stubGlobal('BroadcastChannel', Channel);
	vi.stubGlobal('navigator', {
		locks: { request: (_: string, act: () => Promise<void>) => (queue = queue.then(act)) }
	});
	vi.stubGlobal('sessionStorage', { getItem: () => null, setItem: () => undefined }); // each page has its own
});
afterEach(() => vi.unstubAllGlobals());

test('one page of a browser holds the stream, all of them hear, and the next takes over where it was', async () => {
	const [first, second] = [await page(), await page()];
	const heard: string[] = [];
	first.on('job', ({ job }) => heard.push(`first ${job}`));
	second.on('job', ({ job }) => heard.push(`second ${job}`));
	first.start();
	first.start();
	second.start();
	await settled();
	expect(Source.made.map((one) => one.url)).toEqual(['/api/site/stream']);
	Source.made[0]?.onopen?.();
	Source.made[0]?.says('job', { job: 'a' }, 'b-7');
	expect(heard).toEqual(['first a', 'second a']);
	expect([first.reached, second.reached]).toEqual([true, true]);
	first.stop();
	await settled();
	expect(Source.made.map((one) => [one.url, one.closed])).toEqual([
		['/api/site/stream', true],
		['/api/site/stream?last=b-7', false]
	]);
});

test('who comes back is told so, once for each gap, and one who stopped listening hears nothing', async () => {
	const events = await page();
	const back: boolean[] = [];
	const stop = events.on('back', ({ first }) => back.push(first as boolean));
	events.start();
	await settled();
	const source = Source.made[0];
	source?.onopen?.();
	source?.onopen?.();
	source?.onerror?.();
	expect(events.reached).toBe(false);
	source?.onopen?.();
	expect(back).toEqual([true, false]);
	stop();
	source?.onerror?.();
	source?.onopen?.();
	expect(back).toEqual([true, false]);
});

test('a browser without streams goes on without them', async () => {
	vi.stubGlobal('EventSource', undefined);
	const events = await page();
	events.start();
	await settled();
	expect([Source.made, events.reached]).toEqual([[], false]);
});
