import { afterEach, expect, test, vi } from 'vitest';
import { api } from './api';
import { ApiProblem, Offline } from './client';

const asked: Request[] = [];
function answers(status: number, body: unknown) {
	asked.length = 0;
	vi.stubGlobal('fetch', (ask: Request) => {
		asked.push(ask);
		return Promise.resolve(
			new Response(typeof body === 'string' ? body : JSON.stringify(body), {
				status,
				headers: { 'content-type': 'application/json' }
			})
		);
	});
}
afterEach(() => vi.unstubAllGlobals());

test('a request goes to its path with its parameters and body', async () => {
	answers(200, [{ id: 'r' }]);
	expect(await api.records('a b', 'shots')).toEqual([{ id: 'r' }]);
	expect(asked[0]?.url).toMatch(/\/api\/jobs\/a%20b\/records\?kind=shots$/);
	await api.records('j');
	expect(asked[1]?.url).toMatch(/\/records$/);
	await api.walk('j', '10 right');
	expect([asked[2]?.method, await asked[2]?.json()]).toEqual(['POST', { text: '10 right' }]);
});

test('a file goes as it is', async () => {
	answers(201, { id: 'new' });
	const got = await api.bringIn(new Blob(['{"name": "Fern"}']), 'Juno');
	expect(got.id).toBe('new');
	expect(asked[0]?.url).toMatch(/\/import\?author=Juno&reading=$/);
	expect(await asked[0]?.text()).toBe('{"name": "Fern"}');
	expect(asked[0]?.headers.get('content-type')).toBe('application/octet-stream');
});

test('a refusal is a problem in plain words, whatever the answer looks like', async () => {
	answers(422, { code: 'cannot-use', detail: 'Too short.', path: 'outline' });
	await expect(api.job('j')).rejects.toMatchObject({ problem: { path: 'outline', detail: 'Too short.' } });
	answers(502, '"bad gateway"');
	const refused: unknown = await api.job('j').catch((error: unknown) => error);
	expect(refused).toBeInstanceOf(ApiProblem);
	expect((refused as ApiProblem).problem.detail).toBe('The program answered 502.');
});

test('no answer at all is offline', async () => {
	vi.stubGlobal('fetch', () => Promise.reject(new TypeError('failed')));
	await expect(api.yard()).rejects.toBeInstanceOf(Offline);
});
