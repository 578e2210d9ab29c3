/** The yard: what an act asks of the program, what is said when it is refused, and what a late list may not wipe out. */
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { YardJob } from '../api/schema';
import { YardState } from './yard.svelte';

let asked: string[] = [];
let replies: (Response | Error)[] = [];
const told = (body: unknown, status = 200) =>
	new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
const refused = (detail: string, path = '') => told({ code: 'cannot-use', detail, path, choices: [], head: null }, 422);
const fern = { id: 'f', name: 'Fern', revision: 4, archived: false } as YardJob;

beforeEach(() => {
	[asked, replies] = [[], []];
	vi.stubGlobal('fetch', async (ask: Request) => {
		asked.push(`${ask.method} ${new URL(ask.url).pathname}`);
		const reply = replies.shift() ?? told([fern]);
		if (reply instanceof Error) throw reply;
		return reply;
	});
});
afterEach(() => vi.unstubAllGlobals());

test('every act is followed by the list as it is then', async () => {
	const yard = new YardState();
	await yard.aside(fern);
	await yard.aside({ ...fern, archived: true });
	await yard.copy(fern);
	expect(asked.filter((row) => row !== 'GET /api/jobs')).toEqual([
		'POST /api/jobs/f/archive',
		'POST /api/jobs/f/restore',
		'POST /api/jobs/f/copy'
	]);
	expect(asked.filter((row) => row === 'GET /api/jobs')).toHaveLength(3);
	expect(yard.jobs).toEqual([fern]);
});

test('what is deleted can be brought back, once', async () => {
	const yard = new YardState();
	await yard.delete(fern);
	expect(yard.deleted).toEqual(fern);
	await yard.undelete();
	await yard.undelete();
	expect([yard.deleted, asked.filter((row) => row.endsWith('undelete'))]).toEqual([null, ['POST /api/jobs/f/undelete']]);
});

test('a refusal is said with its field, and stays while the list comes in', async () => {
	const yard = new YardState();
	replies.push(refused('It needs a name.', 'name'));
	expect(await yard.rename(fern, '')).toBe(false);
	expect([yard.words, yard.jobs]).toEqual(['name: It needs a name.', [fern]]);
	replies.push(refused('That is no job file.'));
	expect(await yard.bringIn(new File(['x'], 'x.json'))).toBeNull();
	expect(yard.words).toBe('That is no job file.');
});

test('without the program it says so and keeps the list that was there', async () => {
	const yard = new YardState();
	await yard.load();
	replies.push(new TypeError('gone'));
	await yard.load();
	expect([yard.jobs, yard.words.endsWith('.')]).toEqual([[fern], true]);
});
