/** How somebody does: the last ten, which way they are out, and what waits for a signal. */
import { beforeEach, expect, test, vi } from 'vitest';

const api = vi.hoisted(() => ({ keepTry: vi.fn(), forgetTries: vi.fn(), exercise: vi.fn() }));
vi.mock('../api/api', () => ({ api }));
const { ApiProblem, Offline } = await import('../api/client');
const { Book, lastOf, wayOf } = await import('./book.svelte');
const { exercise, here, keyOf, makeAhead, nextSeed, used } = await import('./ahead');

const kept = new Map<string, string>();
vi.stubGlobal('localStorage', {
	getItem: (key: string) => kept.get(key) ?? null,
	setItem: (key: string, value: string) => kept.set(key, value)
});
const tried = (off: number | null, kind = 'rack') => ({
	kind,
	level: 1,
	grade: off === 0 ? ('right' as const) : ('off' as const),
	off
});
const said = (id: string) => ({ id, who: 'Ana', kind: 'rack', level: 1, seed: 7, units: 'ft-in' as const, answer: {}, at: '' });

beforeEach(() => {
	kept.clear();
	vi.resetAllMocks();
});

test('the last ten of a kind, and the middle of how far they are out', () => {
	const rows = [...Array.from({ length: 12 }, (_, n) => tried(n - 8)), tried(null, 'faults')];
	expect(lastOf(rows, 'rack')).toHaveLength(10);
	expect(wayOf(lastOf(rows, 'rack'))).toBe(-1);
	expect(wayOf(lastOf(rows, 'faults'))).toBeNull();
	expect(wayOf([])).toBeNull();
});

test('what is kept by name waits for a signal, in its order, also over a reload; what is refused is said', async () => {
	const book = new Book();
	book.setKeep('Ana');
	book.note(tried(0));
	api.keepTry.mockRejectedValue(new Offline());
	await book.say(said('try-00000001'));
	await book.say(said('try-00000002'));
	const again = new Book();
	expect([again.keep, again.tries.length, again.waits.map((row) => row.id)]).toEqual([
		'Ana',
		1,
		['try-00000001', 'try-00000002']
	]);
	api.keepTry.mockReset().mockResolvedValueOnce({});
	api.keepTry.mockRejectedValueOnce(new ApiProblem({ detail: 'That name holds signs that cannot be seen.' } as never));
	await again.send();
	expect(again.waits).toEqual([]);
	expect(again.problem).toContain('cannot be seen');
	api.forgetTries.mockResolvedValue({ forgot: 2 });
	expect(await again.forget()).toBe(2);
	expect(api.forgetTries).toHaveBeenCalledWith('Ana');
	expect(new Book().keep).toBe('');
});

test('three of a kind are made ahead, done ones may be done again, and without a signal it stops', async () => {
	const key = keyOf('rod', 2, 'mm');
	let seed = 10;
	api.exercise.mockResolvedValue({ seed: 1 });
	await makeAhead(['rod'], 2, 'mm', () => ++seed);
	expect(here(key)).toEqual([11, 12, 13]);
	expect(nextSeed(key, () => 99)).toBe(11);
	used(key, 11);
	expect(nextSeed(key, () => 99)).toBe(12);
	expect(here(key)).toEqual([12, 13, 11]);
	expect(nextSeed(keyOf('rod', 1, 'mm'), () => 99)).toBe(99);
	api.exercise.mockRejectedValue(Object.assign(new Offline(), { seen: () => Promise.resolve({ body: { seed: 12 } }) }));
	await makeAhead(['walk', 'rod'], 2, 'mm', () => ++seed);
	expect(here(keyOf('walk', 2, 'mm'))).toEqual([]);
	expect(await exercise('rod', 2, 12, 'mm')).toEqual({ made: { seed: 12 }, offline: true });
});
