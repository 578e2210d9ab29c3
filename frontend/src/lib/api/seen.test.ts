/** Answers as they were last seen: which are kept, and for how long. */
import 'fake-indexeddb/auto';
import { expect, test, vi } from 'vitest';
import { forgetSeen, keepSeen, lastSeen, worthSeeing } from './seen';

test("what is looked at is kept; progress, the laptop's own pages and what is sent are not", () => {
	const yes = [
		['get', '/api/jobs'],
		['get', '/api/jobs/{job_id}/doubts'],
		['get', '/api/site/me'],
		['post', '/api/jobs/{job_id}/order']
	];
	const no = [
		['get', '/api/readings/{key}'],
		['get', '/api/site/state'],
		['post', '/api/jobs/{job_id}/edits'],
		['post', '/api/jobs/{job_id}/figure'],
		['put', '/api/ways']
	];
	expect(yes.map(([verb, path]) => worthSeeing(verb!, path!))).toEqual([true, true, true, true]);
	expect(no.map(([verb, path]) => worthSeeing(verb!, path!))).toEqual([false, false, false, false, false]);
});

test('the newest answer of a question is found again, and nothing after somebody left', async () => {
	keepSeen('a', { n: 1 });
	await vi.waitFor(async () => expect((await lastSeen('a'))?.body).toEqual({ n: 1 }));
	keepSeen('a', { n: 2 });
	await vi.waitFor(async () => expect((await lastSeen('a'))?.body).toEqual({ n: 2 }));
	expect(await lastSeen('b')).toBeNull();
	await forgetSeen();
	expect(await lastSeen('a')).toBeNull();
});
