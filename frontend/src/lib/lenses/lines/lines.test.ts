/** What the lines lens fetches: a cut plan that takes long, one that is let go, and an answer that comes too late. */
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { LinesData } from './lines.svelte';

let asked: string[] = [];
let cuts: (object | Promise<object>)[] = [];
const told = (body: unknown, status = 200) =>
	new Response(status === 204 ? null : JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
const lines = () => new LinesData({ id: 'j', kept: { document: { outline: [[0, 0]] } }, load: () => Promise.resolve() } as never);

beforeEach(() => {
	vi.useFakeTimers();
	[asked, cuts] = [[], []];
	vi.stubGlobal('fetch', async (ask: Request) => {
		const what = `${ask.method} ${ask.url.split('/').pop()}`;
		asked.push(what);
		if (what === 'GET cut-plan') return told(await (cuts.shift() ?? { counting: null, cuts: { verdict: 'late' } }));
		return ask.method === 'DELETE' ? told(null, 204) : told({ sheet: true });
	});
});
afterEach(() => {
	vi.unstubAllGlobals();
	vi.useRealTimers();
});

test('a cut plan is asked for again while it is worked out, and says how far it is', async () => {
	const data = lines();
	let free: (value: object) => void = () => undefined;
	cuts.push({ counting: 0.25, cuts: null }, new Promise<object>((done) => (free = done)));
	const loading = data.load('boards');
	await vi.advanceTimersByTimeAsync(400);
	expect([data.share, data.working, data.cuts]).toEqual([0.25, true, null]);
	free({ counting: null, cuts: { verdict: 'Buy 3 boards.' } });
	await loading;
	expect([data.working, data.cuts]).toEqual([false, { verdict: 'Buy 3 boards.' }]);
	expect(asked).toEqual(['GET set-out', 'GET forms', 'GET cut-plan', 'GET cut-plan']);
});

test('a cut plan that is let go is dropped at the program too, and its late answer is not shown', async () => {
	const data = lines();
	let free: (value: object) => void = () => undefined;
	cuts.push(new Promise<object>((done) => (free = done)));
	const loading = data.load('boards');
	await vi.advanceTimersByTimeAsync(400);
	await data.letGo();
	free({ counting: null, cuts: { verdict: 'too late' } });
	await loading;
	expect([data.gone, data.working, data.cuts]).toEqual([true, false, null]);
	expect(asked).toContain('DELETE cut-plan');
	await data.load('boards');
	expect([data.gone, data.cuts]).toEqual([false, { verdict: 'late' }]);
});
