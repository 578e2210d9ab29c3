/** What is said when answers fail, come late, never come, or say no: it leaves only when the program has it. */
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { JobState } from '../api/schema';
import { Outbox, type Outcome } from './outbox.svelte';
import { openRows, type Row, type Said } from './rows';

const state = (revision: number) => ({ id: 'j', revision, figure: {}, document: {} }) as unknown as JobState;
const answer = (body: unknown, status = 200) =>
	new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
const no = (status: number, code = 'x', head: unknown = null) =>
	answer({ type: '', code, title: '', status, detail: `said ${status}`, path: '', choices: [], head }, status);
const edit = (name: string): Said => ({ kind: 'edit', edits: [{ op: 'set_fields', values: { name } }] });
const record = (note: string): Said => ({
	kind: 'record',
	record: { kind: 'soft-spot', values: { note }, who: 'Fern', at_device: `${note}${Math.random()}`, supersedes: null }
});
interface Body {
	revision: number;
	edit_id?: string;
	id?: string;
	edits?: { values: { name: string } }[];
	values?: { note: string };
}
/** a small program that keeps what it is sent, once each */
class Program {
	revision = 1;
	kept = new Map<string, string>();
	/** answers instead of its own, in turn; null is an answer that is lost after the act, 'cut' one before it */
	instead: (Response | null | 'cut')[] = [];
	asked: string[] = [];
	fetch = async (ask: Request): Promise<Response> => {
		const body = (await ask.json()) as Body;
		const id = body.edit_id ?? body.id ?? '';
		const says = body.edits?.[0]?.values.name ?? body.values?.note ?? '';
		this.asked.push(says);
		const given = this.instead.shift();
		if (given === 'cut') throw new TypeError('gone');
		if (given) return given;
		if (!this.kept.has(id)) {
			if (body.edit_id && body.revision !== this.revision) return no(409, 'stale', state(this.revision));
			this.kept.set(id, says);
			if (body.edit_id) this.revision += 1;
		}
		if (given === null) throw new TypeError('lost on the way back');
		return answer(body.edit_id ? state(this.revision) : { id });
	};
	get says() {
		return [...this.kept.values()];
	}
}

let program: Program;
const session = new Map<string, string>();
beforeEach(() => {
	globalThis.indexedDB = new IDBFactory();
	session.clear();
	program = new Program();
	vi.stubGlobal('fetch', program.fetch);
	vi.stubGlobal('sessionStorage', {
		getItem: (k: string) => session.get(k) ?? null,
		setItem: (k: string, v: string) => session.set(k, v),
		removeItem: (k: string) => session.delete(k)
	});
});
afterEach(() => vi.unstubAllGlobals());

const opened = async () => {
	const box = new Outbox(openRows());
	await box.start();
	return box;
};
const say = (box: Outbox, said: Said, base = 1, job = 'j'): Promise<Outcome> =>
	box.say({ job, name: 'Pad', base, author: 'Fern', said });
const quiet = (box: Outbox) => vi.waitFor(() => expect(box.sending).toEqual([]));
const named = (edit: unknown) => (edit as { values: { name: string } }).values.name;
const waits = (box: Outbox) =>
	box.rows.map(
		(row: Row) => `${row.state}: ${row.said.kind === 'edit' ? named(row.said.edits[0]) : String(row.said.record.values['note'])}`
	);

describe('it leaves only when it is kept', () => {
	test.each([500, 503, 507])('not on %i, and it goes out when the program can again', async (status) => {
		const box = await opened();
		program.instead = [no(status)];
		expect((await say(box, edit('one'))).is).toBe('held');
		expect([waits(box), box.rows[0]?.words]).toEqual([['waiting: one'], `said ${status}`]);
		box.flush();
		await vi.waitFor(() => expect(box.rows).toEqual([]));
		expect(program.says).toEqual(['one']);
	});
	test('not on 413, which no waiting mends: it stays in sight until it is let go', async () => {
		const box = await opened();
		program.instead = [no(413)];
		expect((await say(box, edit('huge'))).is).toBe('refused');
		expect(waits(box)).toEqual(['refused: huge']);
		const again = await opened();
		expect(waits(again)).toEqual(['refused: huge']);
		await again.letGo(again.rows[0]!.id);
		expect(await opened().then(waits)).toEqual([]);
	});
	test('what is refused at once stands beside its control; what is refused later stays in sight', async () => {
		const box = await opened();
		program.instead = [no(422)];
		expect(await say(box, edit('wrong'))).toMatchObject({ is: 'refused', problem: { detail: 'said 422' } });
		expect(box.rows).toEqual([]);
		program.instead = ['cut', no(422)];
		expect((await say(box, record('late'))).is).toBe('held');
		box.flush();
		await vi.waitFor(() => expect(waits(box)).toEqual(['refused: late']));
		expect(box.rows[0]?.words).toBe('said 422');
	});
});

test('what is said while the answer to the edit before it is read goes on top of it, never against it', async () => {
	const box = await opened();
	let second: Promise<Outcome> | undefined;
	box.listen('j', (_row, outcome) => {
		if (outcome.is === 'kept') second ??= say(box, edit('two'), 1); // the screen still shows the first revision
	});
	expect((await say(box, edit('one'), 1)).is).toBe('kept');
	expect((await second)?.is).toBe('kept');
	expect(program.says).toEqual(['one', 'two']);
});

describe('answers that are lost', () => {
	test.each([edit('one'), record('one')])('an answer that is cut off and pressed again counts once', async (said) => {
		const box = await opened();
		program.instead = [null, null];
		expect((await say(box, said)).is).toBe('held');
		expect((await say(box, said)).is).toBe('held');
		expect(box.rows.length).toBe(1);
		box.flush();
		await vi.waitFor(() => expect(box.rows).toEqual([]));
		expect(program.says).toEqual(['one']);
	});
	test('also after a reload, when it went out by itself and its form still holds it', async () => {
		const box = await opened();
		program.instead = ['cut'];
		await say(box, record('one'));
		const again = await opened();
		await vi.waitFor(() => expect(again.rows).toEqual([]));
		expect((await say(again, record('one'))).is).toBe('kept');
		expect(program.says).toEqual(['one']);
		expect((await say(again, record('one'))).is).toBe('kept'); // its form knew: the same again is another
		expect(program.says).toEqual(['one', 'one']);
	});
	test('the same said after something else is another, though its form never heard of the first', async () => {
		const box = await opened();
		program.instead = ['cut'];
		await say(box, edit("16'"));
		const again = await opened();
		await vi.waitFor(() => expect(again.rows).toEqual([]));
		await say(again, edit("18'"), 2);
		await say(again, edit("16'"), 3);
		expect(program.says).toEqual(["16'", "18'", "16'"]);
	});
});

describe('several wait', () => {
	test('and go in their order, over a reload, each on top of the one before', async () => {
		const box = await opened();
		program.instead = ['cut', 'cut', 'cut'];
		for (const said of [edit('a'), record('b'), edit('c')]) await say(box, said);
		expect(waits(box)).toEqual(['waiting: a', 'waiting: b', 'waiting: c']);
		const again = await opened();
		await vi.waitFor(() => expect(again.rows).toEqual([]));
		expect([program.says, program.revision]).toEqual([['a', 'b', 'c'], 3]);
	});
	test('a clash asks, over a reload too; mine on top keeps the order, records do not wait for it', async () => {
		const box = await opened();
		program.instead = ['cut', 'cut', 'cut'];
		for (const said of [edit('a'), edit('b'), record('c')]) await say(box, said);
		program.revision = 5;
		box.flush();
		await vi.waitFor(() => expect(waits(box)).toEqual(['clash: a', 'waiting: b']));
		await quiet(box);
		const again = await opened();
		again.flush();
		await quiet(again);
		expect([waits(again), program.says]).toEqual([['clash: a', 'waiting: b'], ['c']]);
		await again.onTop('j', 5);
		expect([again.rows, program.says, program.revision]).toEqual([[], ['c', 'a', 'b'], 7]);
	});
	test('one let go in a clash leaves the others, on top of what is there', async () => {
		const box = await opened();
		program.instead = ['cut', 'cut'];
		for (const said of [edit('a'), edit('b')]) await say(box, said);
		program.revision = 5;
		box.flush();
		await vi.waitFor(() => expect(waits(box)).toEqual(['clash: a', 'waiting: b']));
		await quiet(box);
		await box.letGo(box.rows[0]!.id);
		expect([box.rows, program.says]).toEqual([[], ['b']]);
	});
	test('while one is on its way, another is said: both go', async () => {
		const box = await opened();
		const both = await Promise.all([say(box, edit('a')), say(box, edit('b')), say(box, record('c'))]);
		expect(both.map((one) => one.is)).toEqual(['kept', 'kept', 'kept']);
		expect(program.says).toEqual(['a', 'b', 'c']);
	});
});

test('an answer that never comes does not hold the hand: after a while it waits', async () => {
	const box = await opened();
	vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
	vi.stubGlobal('fetch', () => new Promise(() => undefined));
	const said = say(box, record('one'), 1, 'other');
	await vi.waitFor(() => expect(box.sending).toEqual(['other']), { interval: 1 });
	await vi.advanceTimersByTimeAsync(8000);
	expect([(await said).is, waits(box)]).toEqual(['held', ['waiting: one']]);
	vi.useRealTimers();
});

test('without a database of its own it says that rows last as long as the page', async () => {
	vi.stubGlobal('indexedDB', undefined);
	const box = await opened();
	program.instead = ['cut'];
	expect([(await say(box, edit('a'))).is, box.lasting, waits(box)]).toEqual(['held', false, ['waiting: a']]);
});

test('who is thrown out keeps what it said until it is in again', async () => {
	const box = await opened();
	program.instead = [no(401, 'not-in')];
	expect((await say(box, record('seen by Fern'))).is).toBe('held');
	expect(box.rows.map((row) => [row.state, row.words])).toEqual([['waiting', 'said 401']]);
	box.flush();
	await vi.waitFor(() => expect(box.rows).toEqual([]));
	expect(program.says).toEqual(['seen by Fern']);
});

test('a record that was made on a state of the plan that is lost counts on the newest, once', async () => {
	const box = await opened();
	const lost = {
		type: '',
		code: 'cannot-use',
		title: '',
		status: 422,
		detail: 'no revision 7',
		path: 'revision',
		choices: [],
		head: null
	};
	program.instead = [answer(lost, 422), answer({ ...state(3) })];
	const sent: number[] = [];
	const own = program.fetch;
	vi.stubGlobal('fetch', async (ask: Request) => {
		if (ask.method === 'POST') sent.push(((await ask.clone().json()) as Body).revision);
		else return program.instead.shift();
		return own(ask);
	});
	expect((await say(box, record('of today'), 7)).is).toBe('kept');
	expect([sent, program.says, box.rows]).toEqual([[7, 3], ['of today'], []]);
});
