/** Who is where, and saying where one is oneself: when the hand rests, and once. */
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { nameOf } from './who.svelte';

const row = (device: string, job: string, more: object = {}) => ({
	device,
	name: device,
	mark: '',
	job,
	own: false,
	reach: true,
	...more
});
let told: Record<string, unknown>[] = [];
let rows: object[] | null = [];

beforeEach(() => {
	[told, rows] = [[], []];
	vi.resetModules();
	vi.useFakeTimers();
	vi.stubGlobal('fetch', async (ask: Request) => {
		if (rows === null) throw new TypeError('gone');
		if (ask.method === 'POST') {
			told.push((await ask.json()) as Record<string, unknown>);
			return new Response(null, { status: 204 });
		}
		return new Response(JSON.stringify(rows), { headers: { 'content-type': 'application/json' } });
	});
});
afterEach(() => {
	vi.unstubAllGlobals();
	vi.useRealTimers();
});
const opened = async () => (await import('./who.svelte')).who;
const here = (part: string) => ({ job: 'j', lens: 'ground', tab: '', part, spot_mm: null, waits: 0 });

test('others on the same slab are shown, not oneself, nor who is elsewhere, nor one without a name', async () => {
	const who = await opened();
	rows = [
		row('odo', 'j'),
		row('pim', 'k'),
		row('me', 'j', { own: true }),
		row('x', 'j', { name: '' }),
		row('laptop', 'j', { name: '' })
	];
	await who.load();
	expect(who.on('j').map((one) => one.device)).toEqual(['odo', 'laptop']);
	rows = null;
	await who.load();
	expect(who.on('j')).toHaveLength(2); // as it was seen
});

test('where one is goes out when the hand rests, the last of it, and not again while nothing changed', async () => {
	const who = await opened();
	for (const part of ['A-B', 'B-C', 'C-D']) who.say(here(part));
	await vi.advanceTimersByTimeAsync(400);
	expect(told.map((one) => one['part'])).toEqual(['C-D']);
	who.say(here('C-D'));
	await vi.advanceTimersByTimeAsync(400);
	expect(told).toHaveLength(1);
	who.again();
	who.say(here('C-D'));
	await vi.advanceTimersByTimeAsync(400);
	expect(told).toHaveLength(2);
});

test('what nobody heard is said again', async () => {
	const who = await opened();
	rows = null;
	who.say(here('A'));
	await vi.advanceTimersByTimeAsync(400);
	rows = [];
	who.say(here('A'));
	await vi.advanceTimersByTimeAsync(400);
	expect(told).toHaveLength(1);
});

test('a name with its mark; the laptop where nobody signed', () => {
	expect([
		nameOf({ name: 'Odo', mark: '2' }, 'laptop'),
		nameOf({ name: 'Odo', mark: '' }, 'laptop'),
		nameOf({ name: '', mark: '' }, 'laptop')
	]).toEqual(['Odo 2', 'Odo', 'laptop']);
});
