import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { RuleRow } from '../api/schema';
import { session } from '../state/session.svelte';
import { found, RuleStore, toOpen } from './rules.svelte';

const rule = (name: string, source: string, words: string): RuleRow => ({
	name,
	title: words,
	what: '',
	formula: 'a − b',
	source,
	source_words: 'IRC R403',
	standing: 'standard',
	edition: '2021',
	table: [['index', '2500']],
	asks: [],
	limits: []
});
const book = [rule('edges/bury', 'bury', 'How deep an edge is buried'), rule('edges/frost', 'frost', 'Edge against frost')];

describe('the rule book', () => {
	it('finds rules that have every word, in whatever part', () => {
		expect(found(book, 'edge FROST').map((one) => one.name)).toEqual(['edges/frost']);
		expect(found(book, 'r403 2500')).toHaveLength(2);
		expect(found(book, '')).toHaveLength(2);
		expect(found(book, 'roof')).toEqual([]);
	});
	it('opens the rule that is named, or the first from a source', () => {
		expect(toOpen(book, 'edges/frost', null)).toBe('edges/frost');
		expect(toOpen(book, null, 'frost')).toBe('edges/frost');
		expect(toOpen(book, 'gone', 'gone')).toBe('edges/bury');
		expect(toOpen([], null, null)).toBe('');
	});
});

describe('its store', () => {
	let asked: { method: string; url: string; body: unknown }[] = [];
	let replies: Record<string, () => Promise<{ status: number; body: unknown }>> = {};
	const say = (status: number, body: unknown) => () => Promise.resolve({ status, body });
	const refusal = (code: string, path: string, detail: string) => ({
		type: '',
		code,
		title: '',
		status: 422,
		detail,
		path,
		choices: [{ label: "24'", text: "24'" }],
		head: null
	});
	beforeEach(() => {
		asked = [];
		vi.stubGlobal('fetch', async (request: Request) => {
			const at = new URL(request.url).pathname;
			asked.push({ method: request.method, url: at, body: request.body ? await request.json() : null });
			const { status, body } = await (replies[`${request.method} ${at}`] ?? say(404, {}))();
			return new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
		});
		replies = { 'GET /api/rules': say(200, book), 'GET /api/ways': say(200, { version: 9, ways: {}, schools: {} }) };
	});
	afterEach(() => vi.unstubAllGlobals());

	it('says beside the field what a calculator refuses, and clears it with the next answer', async () => {
		const store = new RuleStore();
		replies['POST /api/rules/volume/slab/try'] = say(422, refusal('bare', 'length', '24 what?'));
		await store.try('volume/slab', { length: '24' });
		expect(store.problem).toMatchObject({ at: 'length', words: '24 what?', choices: [{ text: "24'" }] });
		replies['POST /api/rules/volume/slab/try'] = say(200, [{ name: 'Slab' }]);
		await store.try('volume/slab', { length: "24'" });
		expect([store.problem, store.told.length]).toEqual([null, 1]);
		expect(asked.at(-1)?.body).toEqual({ units: 'ft-in', values: { length: "24'" } });
	});
	it('lets no late answer stand over a newer one', async () => {
		const store = new RuleStore();
		let late: (got: { status: number; body: unknown }) => void = () => undefined;
		replies['POST /api/rules/volume/slab/try'] = () => new Promise((done) => (late = done));
		const first = store.try('volume/slab', { length: '2' });
		await vi.waitFor(() => expect(asked).toHaveLength(1));
		replies['POST /api/rules/volume/slab/try'] = say(200, [{ name: 'new' }]);
		await store.try('volume/slab', { length: "24'" });
		late({ status: 422, body: refusal('bare', 'length', '2 what?') });
		await first;
		expect(store.told.map((one) => one.name)).toEqual(['new']);
		expect(store.problem).toBeNull();
	});
	it('keeps a county word with the version it was read at, and reads the ways again when they are newer', async () => {
		const store = new RuleStore();
		[session.waysVersion, session.who] = [4, 'Juno'];
		replies['PUT /api/rules/limits/bury'] = say(409, refusal('stale', '', 'Somebody changed the ways.'));
		expect(await store.keep('bury', '30', 'Ann', '2027-03-14')).toBe(false);
		expect(store.problem).toMatchObject({ at: 'bury', words: 'Somebody changed the ways.' });
		expect(asked[0]?.body).toMatchObject({ version: 4, value: '30', who: 'Ann', at: '2027-03-14', author: 'Juno' });
		expect(session.waysVersion).toBe(9);
		replies['PUT /api/rules/limits/bury'] = say(200, { version: 10, ways: {}, schools: {} });
		expect(await store.keep('bury', '30', 'Ann', '2027-03-14')).toBe(true);
		expect([session.waysVersion, store.problem, store.rules?.length]).toEqual([10, null, 2]);
	});
});
