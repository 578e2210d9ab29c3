import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { FileReading } from './reading.svelte';

const asked: string[] = [];
beforeEach(() => {
	vi.useFakeTimers();
	asked.length = 0;
	vi.stubGlobal('fetch', async (ask: Request) => {
		asked.push(`${ask.method} ${new URL(ask.url).pathname.slice(0, 14)}`);
		return new Response(JSON.stringify({ share: 0.4 }), { headers: { 'content-type': 'application/json' } });
	});
});
afterEach(() => {
	vi.unstubAllGlobals();
	vi.useRealTimers();
});

test('a file that takes long says how far it is and can be let go; a quick one says nothing', async () => {
	const reading = new FileReading();
	expect(await reading.read(async () => 7)).toBe(7);
	expect([reading.share, reading.long, asked]).toEqual([null, false, []]);
	let done: (value: number) => void = () => undefined;
	const keys: string[] = [];
	const got = reading.read((key) => (keys.push(key), new Promise<number>((resolve) => (done = resolve))));
	await vi.advanceTimersByTimeAsync(650);
	expect([reading.long, reading.share]).toEqual([true, 0.4]);
	await reading.letGo();
	expect(asked).toEqual(
		['GET /api/readings/', 'GET /api/readings/', 'DELETE /api/readings/'].map((row) => row.slice(0, row.indexOf(' ') + 15))
	);
	done(3);
	expect([await got, reading.share, reading.long, keys.length]).toEqual([3, null, false, 1]);
});

test('a file that fails lets the next one in', async () => {
	const reading = new FileReading();
	await expect(reading.read(() => Promise.reject(new Error('no')))).rejects.toThrow('no');
	expect([reading.share, await reading.read(async () => 1)]).toEqual([null, 1]);
});
