/** What the edges lens looks at: the picked thing by its id, a line of one's own, and the section that belongs to it. */
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { EdgesData } from './edges.svelte';

const places = [
	{ kind: 'side', row: 0, mark: '', start: [0, 0], end: [0, 9] },
	{ kind: 'side', row: 1, mark: 'E1', start: [1, 0], end: [1, 9] },
	{ kind: 'beam', row: 0, mark: 'B1', start: [2, 0], end: [2, 9] }
];
let asked: Record<string, unknown>[] = [];
let replies: Promise<object>[] = [];
const told = (body: unknown, status = 200) =>
	new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
const document = (beams: string[]) => ({ outline: [[0, 0]], corner_ids: ['ca', 'cb'], beams: beams.map((id) => ({ id })) });
function data() {
	const store = {
		id: 'j',
		kept: { revision: 3 },
		trying: [] as object[],
		document: document(['b1', 'b2']),
		figure: { section_places: places },
		rowId: (_: string, at: number) => `b${at + 1}`,
		cornerId: (at: number) => ['ca', 'cb'][at]
	};
	return { store, data: new EdgesData(store as never) };
}
beforeEach(() => {
	[asked, replies] = [[], []];
	vi.stubGlobal('fetch', async (ask: Request) => {
		asked.push(ask.method === 'POST' ? ((await ask.json()) as Record<string, unknown>) : {});
		const reply = replies.shift();
		return reply ? told(await reply) : told({ section: { words: `cut ${asked.length}` } });
	});
});
afterEach(() => vi.unstubAllGlobals());

test('it begins at the first thickened side, and what is picked stays picked when rows go before it', () => {
	const { store, data: one } = data();
	expect(one.place).toBe(places[1]);
	one.choose('beam', 1);
	expect(one.picked).toEqual({ kind: 'beam', row: 1 });
	store.document = document(['b2']);
	expect([one.picked, one.place]).toEqual([{ kind: 'beam', row: 0 }, places[2]]);
	store.document = document(['b7']);
	expect([one.picked, one.place]).toEqual([null, places[1]]);
});

test('the section is asked for once for a line, its revision and what is tried, and an own line goes before a place', async () => {
	const { store, data: one } = data();
	await one.load();
	await one.load();
	expect([asked.length, one.section?.words]).toEqual([1, 'cut 1']);
	store.trying = [{ op: 'set_edge_type' }];
	await one.load();
	one.own = { start: [5, 5], end: [6, 6] };
	await one.load();
	expect(asked.map((row) => [row['start'], (row['edits'] as object[]).length])).toEqual([
		[[1, 0], 0],
		[[1, 0], 1],
		[[5, 5], 1]
	]);
	one.choose('beam', 0);
	expect([one.own, one.line]).toEqual([null, { start: [2, 0], end: [2, 9] }]);
});

test('a line that moved on while its section was under way is asked for again', async () => {
	const { data: one } = data();
	let free: (value: object) => void = () => undefined;
	replies.push(new Promise<object>((done) => (free = done)));
	const first = one.load();
	one.own = { start: [5, 5], end: [6, 6] };
	await one.load(); // busy: leaves it to the one under way
	free({ section: { words: 'old' } });
	await first;
	expect([asked.map((row) => row['start']), one.section?.words]).toEqual([
		[
			[1, 0],
			[5, 5]
		],
		'cut 2'
	]);
});

test('one part alone is fetched for one lit part, and not for several', async () => {
	const { data: one } = data();
	replies.push(Promise.resolve({ text: '0.4' }));
	await one.light([7]);
	expect([one.lit, one.alone]).toEqual([[7], { text: '0.4' }]);
	await one.light([7, 8]);
	expect([one.alone, asked.length]).toEqual([null, 1]);
});
