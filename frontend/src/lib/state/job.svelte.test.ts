/** The open job when the server answers, clashes, is slow, or is gone. */
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { JobState } from '../api/schema';
import { TAB } from '../api/client';
import { Outbox } from '../outbox/outbox.svelte';
import { OnPage } from '../outbox/rows';
import { JobStore } from './job.svelte';

const head = (revision: number, summary = 'Started'): JobState =>
	({
		id: 'j',
		revision,
		records: '0',
		summary,
		author: 'Juno',
		document: { units: 'ft-in' },
		figure: { findings: [] }
	}) as unknown as JobState;
const answer = (body: unknown, status = 200) =>
	new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
const problem = (status: number, code: string, more: object = {}) =>
	answer({ type: '', code, title: '', status, detail: `said ${code}`, path: '', choices: [], head: null, ...more }, status);

let replies: (Response | Error | Promise<Response>)[] = [];
let doubts: (Response | Promise<Response>)[] = [];
let sent: { url: string; body: Record<string, unknown> }[] = [];
const kept = new Map<string, string>();
let rows = new OnPage();

beforeEach(() => {
	rows = new OnPage();
	vi.useFakeTimers();
	replies = [];
	doubts = [];
	sent = [];
	kept.clear();
	vi.stubGlobal('sessionStorage', {
		getItem: (k: string) => kept.get(k) ?? null,
		setItem: (k: string, v: string) => kept.set(k, v),
		removeItem: (k: string) => kept.delete(k)
	});
	vi.stubGlobal('fetch', async (ask: Request) => {
		if (ask.url.endsWith('/doubts')) return doubts.shift() ?? problem(404, 'none');
		const text = ask.method === 'GET' ? '' : await ask.clone().text();
		sent.push({ url: new URL(ask.url).pathname, body: text ? JSON.parse(text) : {} });
		const reply = replies.shift();
		if (!reply || reply instanceof Error) throw reply ?? new TypeError('no reply left');
		return reply;
	});
});
afterEach(() => {
	vi.unstubAllGlobals();
	vi.useRealTimers();
});

const SIDE = { op: 'set_side' as const, side: 'ca', length: "16'", moves: 'end' as const };
async function opened(): Promise<JobStore> {
	replies.push(answer(head(1)));
	const store = new JobStore('j', new Outbox(Promise.resolve(rows)));
	await store.load();
	return store;
}

test('an edit is kept against the revision on the screen, with an id of its own', async () => {
	const store = await opened();
	replies.push(answer(head(2, 'A to B now 16′')));
	expect(await store.keep([SIDE], 'size')).toBe(true);
	expect(sent[1]?.body).toMatchObject({ revision: 1, edits: [SIDE] });
	expect(String(sent[1]?.body['edit_id']).length).toBeGreaterThan(8);
	expect(store.kept?.revision).toBe(2);
});

test('a problem stands beside the control it came from and nowhere else', async () => {
	const store = await opened();
	replies.push(problem(422, 'cannot-use'));
	expect(await store.keep([SIDE], 'size')).toBe(false);
	expect(store.problemFor('size')?.detail).toBe('said cannot-use');
	expect(store.problemFor('cut')).toBeNull();
	expect(store.kept?.revision).toBe(1);
});

test('while the server is gone edits wait in order, survive a reload, and go out once with the same id', async () => {
	const store = await opened();
	replies.push(new TypeError('gone'), new TypeError('gone'));
	expect(await store.keep([SIDE], 'size')).toBe(false);
	expect(await store.keep([{ ...SIDE, side: 'cb' }], 'size')).toBe(false);
	expect(store.waiting.length).toBe(2);
	expect(sent.length).toBe(3); // the first goes first, at every try
	expect((await rows.all()).map((row) => row.said)).toEqual(
		[SIDE, { ...SIDE, side: 'cb' }].map((edit) => ({ kind: 'edit', edits: [edit] }))
	);
	const ids = store.waiting.map((row) => row.id);
	replies.push(answer(head(2)), answer(head(3)));
	await vi.advanceTimersByTimeAsync(4000);
	expect(sent.slice(3).map((row) => row.body['edit_id'])).toEqual(ids);
	expect(store.waiting).toEqual([]);
	expect(store.kept?.revision).toBe(3);
});

test('a clash shows the other and puts the own edits on top, or takes theirs', async () => {
	const store = await opened();
	replies.push(problem(409, 'stale', { head: head(5, 'Juno was here') }));
	expect(await store.keep([SIDE], 'size')).toBe(false);
	expect(store.clash?.words).toBe('said stale');
	replies.push(answer(head(6)));
	await store.versions.reapply();
	expect(sent.at(-1)?.body).toMatchObject({ revision: 5, edits: [SIDE] });
	expect(store.kept?.revision).toBe(6);
	replies.push(problem(409, 'stale', { head: head(9) }));
	await store.keep([SIDE], 'size');
	await store.versions.takeTheirs();
	expect([store.kept?.revision, store.clash]).toEqual([9, null]);
});

test('while one draft is under way only the newest waits, and a dropped one does not come back', async () => {
	const store = await opened();
	let free: (value: Response) => void = () => undefined;
	replies.push(new Promise<Response>((done) => (free = done)), answer({ document: { n: 3 }, figure: {}, summary: '' }));
	const first = store.try([{ ...SIDE, length: '1' }]);
	void store.try([{ ...SIDE, length: '2' }]);
	void store.try([{ ...SIDE, length: '3' }]);
	free(answer({ document: { n: 1 }, figure: {}, summary: '' }));
	await first;
	expect(sent.slice(1).map((row) => (row.body['edits'] as { length: string }[])[0]?.length)).toEqual(['1', '3']);
	expect(store.draft?.document).toEqual({ n: 3 });
	store.dropDraft();
	expect([store.draft, store.trying]).toEqual([null, []]);
});

test('a job that is gone says so', async () => {
	replies.push(problem(404, 'no-such-job'));
	const store = new JobStore('j');
	await store.load();
	expect(store.missing).toBe(true);
});

test('what follows after the numbers joins its own revision, and a late answer to an older one is let go', async () => {
	const told = (revision: number, records = '0') => ({
		revision,
		records,
		counting: null as number | null,
		concrete: { second_way_m3: revision },
		findings: [],
		stops: [],
		stages: [{ id: 'lines', state: 'tight', words: 'closes' }]
	});
	doubts.push(answer(told(1)));
	const store = await opened();
	await vi.advanceTimersByTimeAsync(10);
	expect(store.doubts?.stages[0]?.words).toBe('closes');
	expect(store.kept?.figure.concrete).toEqual({ second_way_m3: 1 });
	let free: (value: Response) => void = () => undefined;
	doubts.push(new Promise<Response>((done) => (free = done)), answer(told(3)));
	replies.push(answer(head(2)), answer(head(3)));
	await store.keep([SIDE]);
	await store.keep([SIDE]);
	free(answer(told(2)));
	await vi.advanceTimersByTimeAsync(10);
	expect([store.doubts?.revision, store.kept?.revision]).toEqual([3, 3]);
	doubts.push(answer(told(3, '1/9')));
	replies.push(answer(head(3)));
	await store.load();
	await vi.advanceTimersByTimeAsync(10);
	expect(store.doubts?.records).toBe('0'); // an answer with a record more belongs to another state
});

test('what takes long is asked for again until it is there, and says how far it is', async () => {
	const told = { revision: 1, records: '0', concrete: null, findings: [], stops: [], stages: [] };
	let free: (value: Response) => void = () => undefined;
	doubts.push(answer({ ...told, counting: 0.4 }), new Promise<Response>((done) => (free = done)));
	const store = await opened();
	await vi.advanceTimersByTimeAsync(10);
	expect([store.counting, store.doubts]).toEqual([0.4, null]);
	free(answer({ ...told, counting: null, concrete: { second_way_m3: 1 } }));
	await vi.advanceTimersByTimeAsync(10);
	expect([store.counting, store.doubts?.revision, store.kept?.figure.concrete?.second_way_m3]).toEqual([null, 1, 1]);
});

test('where a draft is slow the numbers come first, and the drawing when the hand rests', async () => {
	const store = await opened();
	const slow = new Promise<Response>((done) =>
		setTimeout(() => done(answer({ document: { n: 1 }, figure: { drawing: {} }, summary: '' })), 400)
	);
	replies.push(slow);
	const first = store.try([SIDE]);
	await vi.advanceTimersByTimeAsync(500);
	await first;
	replies.push(
		answer({ document: { n: 2 }, figure: { drawing: null }, summary: '' }),
		answer({ document: { n: 2 }, figure: { drawing: { strips: [] } }, summary: '' })
	);
	await store.try([SIDE]);
	expect(store.draft?.document).toEqual({ n: 2 }); // new numbers, over the drawing that was there
	expect(store.draft?.figure.drawing).toEqual({});
	await vi.advanceTimersByTimeAsync(100);
	expect(sent.slice(1).map((row) => row.body['numbers'])).toEqual([false, true, false]);
	expect(store.draft?.figure.drawing).toEqual({ strips: [] });
});

test('what is tried counts on top of what is kept, and not once more while it is on its way to be kept', async () => {
	replies = [answer(head(1))];
	const box = new Outbox(Promise.resolve(rows));
	const store = new JobStore('j', box);
	await store.load();
	store.trying = [{ op: 'set_fields', values: { name: 'two' } }];
	expect(store.onTop).toHaveLength(1);
	let done: (reply: Response) => void = () => undefined;
	replies = [new Promise<Response>((resolve) => (done = resolve))];
	const keeping = store.keep(store.trying);
	await vi.waitFor(() => expect(box.sending).toEqual(['j']));
	expect(store.onTop).toEqual([]);
	done(answer(head(2)));
	await keeping;
	expect([store.kept?.revision, store.onTop]).toEqual([2, []]);
});

test('doubts of the day follow the others, and what is open does not start anew for them', async () => {
	const told = { revision: 1, records: '0', counting: null, concrete: { second_way_m3: 1 }, findings: [], stops: [] };
	const gate = (words: string) => [{ id: 'gate', state: 'loop', words }];
	doubts.push(
		answer({ ...told, later: true, stages: gate('…') }),
		answer({ ...told, later: false, stages: gate('6:30 passes') })
	);
	const store = await opened();
	await vi.advanceTimersByTimeAsync(10);
	const before = store.kept;
	expect(store.doubts?.stages[0]?.words).toBe('…');
	await vi.advanceTimersByTimeAsync(600);
	expect(store.doubts?.stages[0]?.words).toBe('6:30 passes');
	expect(store.kept).toBe(before);
});

test('what somebody else changed is asked for; what is known, or was done on this page, is not', async () => {
	const store = await opened();
	store.told(1, '0', 'another-page');
	store.told(2, '0', TAB);
	expect(sent).toHaveLength(1);
	replies = [answer(head(2))];
	store.told(2, '0', 'another-page');
	await vi.waitFor(() => expect(store.kept?.revision).toBe(2));
	replies = [answer({ ...head(2), records: '1' })];
	store.told(2, '1', '');
	await vi.waitFor(() => expect(store.kept?.records).toBe('1'));
});

test('two versions stand against each other on the drawing until one is taken', async () => {
	const store = await opened();
	const ring = (x: number) => ({
		document: {
			outline: [
				[0, 0],
				[x, 0],
				[x, 4]
			]
		},
		figure: { findings: [] },
		summary: ''
	});
	replies = [problem(409, 'stale', { head: { ...head(2, 'Other'), ...ring(8) } })];
	await store.keep([SIDE]);
	replies = [answer(ring(6)), answer(ring(6))];
	await store.versions.look('theirs');
	expect([store.document?.outline?.[1], store.versions.versus[1]]).toEqual([
		[8, 0],
		[6, 0]
	]);
	await store.versions.look('mine');
	expect([store.document?.outline?.[1], store.versions.versus[1]]).toEqual([
		[6, 0],
		[8, 0]
	]);
	expect(sent.at(-1)?.body).toMatchObject({ revision: 1, edits: [SIDE] });
	replies = [new TypeError('gone')];
	await store.versions.look('theirs');
	expect(store.problemFor('clash')?.code).toBe('offline');
	await store.versions.takeTheirs();
	expect([store.versions.versus, store.draft, store.kept?.revision]).toEqual([[], null, 2]);
	await store.versions.look('mine'); // nothing stands against anything any more
	expect(store.draft).toBeNull();
});
