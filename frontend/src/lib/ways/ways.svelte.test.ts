/** Changes of the ways: one after the other, so that nobody clashes with himself. */
import { expect, test, vi } from 'vitest';
import type { Ways } from '../api/schema';

const api = vi.hoisted(() => ({ keepWays: vi.fn(), ways: vi.fn() }));
vi.mock('../api/api', () => ({ api }));
const { ApiProblem } = await import('../api/client');
const { session } = await import('../state/session.svelte');
const { WaysStore } = await import('./ways.svelte');

function begin() {
	session.ways = { firm: 'one', crew: [] } as unknown as Ways;
	session.waysVersion = 4;
	api.keepWays.mockReset().mockImplementation(async ({ version, ways }: { version: number; ways: Ways }) => {
		await new Promise((resolve) => setTimeout(resolve, 5));
		if (version !== session.waysVersion) throw new ApiProblem({ detail: 'stale', code: 'stale' } as never);
		return { version: version + 1, ways, unread: '' };
	});
	return new WaysStore();
}

test('two changes pressed one after the other both hold, on the version that the first one made', async () => {
	const store = begin();
	const both = [
		store.keep((ways) => (ways.firm = 'two'), 'firm'),
		store.keep((ways) => ways.crew.push({ name: 'Ana', phone: '' }), 'crew')
	];
	expect(await Promise.all(both)).toEqual([true, true]);
	expect(session.ways).toMatchObject({ firm: 'two', crew: [{ name: 'Ana' }] });
	expect([api.keepWays.mock.calls.map(([body]) => body.version), session.waysVersion]).toEqual([[4, 5], 6]);
});

test('one that is refused says so at its field and does not hold up the next', async () => {
	const store = begin();
	api.keepWays.mockRejectedValueOnce(
		new ApiProblem({ detail: 'Bumps are no deeper than 3 in.', code: 'cannot-use', path: '' } as never)
	);
	const refused = store.keep((ways) => (ways.firm = 'bad'), 'rough_mm');
	const after = store.keep((ways) => (ways.firm = 'good'), 'firm');
	expect(await refused).toBe(false);
	expect([store.problem, store.problemAt]).toEqual(['Bumps are no deeper than 3 in.', 'rough_mm']);
	expect(await after).toBe(true);
	expect(session.ways?.firm).toBe('good');
});
