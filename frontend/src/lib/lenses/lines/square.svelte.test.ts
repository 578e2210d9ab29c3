import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { JobState, SetOutSheet } from '../../api/schema';
import { LinesData } from './lines.svelte';
import { SquareBox } from './square.svelte';

const sides = ['A to B', 'B to C', 'C to D', 'D to A'].map((name, i) => ({ name, text: i % 2 ? '16′' : '24′' }));
const made = () =>
	({
		revision: 3,
		document: { units: 'ft-in', outline: [[0, 0]], corner_ids: ['ca', 'cb', 'cc', 'cd'], set_out: { hold_side: null } },
		figure: {
			outline: {
				sides,
				diagonals: [
					{ from: 0, to: 2, text: '28′-10 1/8″' },
					{ from: 1, to: 3, text: '28′-10 1/8″' }
				]
			}
		}
	}) as unknown as JobState;
let kept = made();
const sheet = {
	squares: [
		{
			diagonal_text: '28′-10 1/8″',
			ends: [
				{ from: 'A', to: 'C' },
				{ from: 'B', to: 'D' }
			],
			measures: [
				{ from: 0, to: 2 },
				{ from: 1, to: 3 }
			]
		}
	]
} as unknown as SetOutSheet;

let asked: { url: string; body: unknown }[] = [];
let reply: { status: number; body: unknown } = { status: 200, body: {} };

function box(): SquareBox {
	const data = new LinesData({ id: 'j', kept, load: () => Promise.resolve() } as never);
	data.setOut = sheet;
	const made = new SquareBox(data);
	made.fill();
	return made;
}
beforeEach(() => {
	kept = made();
	asked = [];
	vi.useFakeTimers();
	vi.stubGlobal('fetch', async (request: Request) => {
		asked.push({ url: request.url, body: request.body ? await request.json() : null });
		return new Response(JSON.stringify(reply.body), { status: reply.status, headers: { 'content-type': 'application/json' } });
	});
});
afterEach(() => {
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

test('the rows are the sides, then the diagonals that must agree, each with what it should be', () => {
	expect(box().rows.map((row) => row.should)).toEqual(['24′', '16′', '24′', '16′', '28′-10 1/8″', '28′-10 1/8″']);
});

test('adding a tape that is there already finds its row, also the other way round', () => {
	const one = box();
	expect(one.add(2, 0)).toBe(4);
	expect(one.add(1, { side: 3, at_mm: "4'" })).toBe(6);
	expect(one.nameOf({ side: 3, at_mm: "4'" })).toBe("mark 4' along D to A");
});

test('only filled rows are sent, as typed, and a problem comes back to its own row', async () => {
	const one = box();
	reply = { status: 422, body: { code: 'cannot-use', detail: '28 what?', path: 'measures[1].mm', choices: [] } };
	one.type(0, "24'");
	one.type(4, '28');
	await vi.advanceTimersByTimeAsync(300);
	expect(asked.at(-1)?.body).toEqual({
		values: {
			hold: ['ca', 'cb'],
			measures: [
				{ from: 'ca', to: 'cb', mm: "24'" },
				{ from: 'ca', to: 'cc', mm: '28' }
			]
		}
	});
	expect(one.problem).toEqual({ words: '28 what?', row: 4, choices: ["28'", '28"'] });
	expect(one.rows[4]?.typed).toBe('28');
});

test('results stand beside their rows, the suspect as left out', async () => {
	const one = box();
	const suspect = { kind: 'tape', from: 1, to: 2, mm: 5 };
	reply = {
		status: 200,
		body: { squared: { suspect, residuals: [{ text: 'agrees' }, { text: '1/8″ long' }] }, tolerance_text: '1/8″' }
	};
	for (const row of [0, 1, 4]) one.type(row, "10'");
	await vi.advanceTimersByTimeAsync(300);
	expect([0, 1, 2, 4].map((row) => one.resultOf(row))).toEqual(['agrees', 'left out', '', '1/8″ long']);
});

test('when the outline changes the readings stay, and those to corners that are gone go', async () => {
	const one = box();
	reply = { status: 200, body: { squared: { suspect: null, residuals: [] }, tolerance_text: '' } };
	one.type(0, "24'");
	one.rows[one.add(1, 3)]!.typed = "29'";
	one.data.store.kept!.figure.outline!.sides.pop();
	one.data.store.kept!.document.corner_ids = ['cb', 'ca', 'cc'];
	await one.refresh();
	expect(one.rows.filter((row) => row.typed).map(({ from, to, typed }) => ({ from, to, typed }))).toEqual([
		{ from: 0, to: 1, typed: "24'" }
	]);
	expect(one.hold).toEqual([1, 0]);
});

test('a round that is brought back fills its rows, offsets among them', async () => {
	const one = box();
	reply = { status: 200, body: { squared: { suspect: null, residuals: [] }, tolerance_text: '' } };
	one.load(
		{
			hold: [1, 2],
			measures: [
				{ from: 0, to: 1, mm: 1 },
				{ kind: 'offset', line: [1, 2], to: 3, off_mm: 2 }
			]
		},
		['24′', '1″']
	);
	await vi.advanceTimersByTimeAsync(10);
	expect(one.hold).toEqual([1, 2]);
	expect(one.rows[0]?.typed).toBe('24′');
	expect(one.rows.at(-1)).toMatchObject({ to: 3, typed: '1″', line: [1, 2] });
});

test('a round is said before anything is asked, so that leaving or a lost signal takes nothing; a refusal comes to its row', async () => {
	const one = box();
	const said = vi.fn().mockResolvedValue(null);
	one.data.record = said;
	await one.keep();
	expect(said).not.toHaveBeenCalled(); // nothing was taped
	one.type(0, "24'");
	vi.stubGlobal('fetch', () => new Promise(() => undefined)); // no answer ever comes
	void one.keep();
	expect(said).toHaveBeenCalledWith(
		'taped',
		{ hold: ['ca', 'cb'], measures: [{ from: 'ca', to: 'cb', mm: "24'" }] },
		expect.anything(),
		null
	);
	vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
	said.mockResolvedValue({ words: '24 what?', path: 'values.measures[0].mm' });
	one.type(0, '24');
	const kept = one.keep();
	await vi.advanceTimersByTimeAsync(30_000);
	await kept;
	expect(one.problem).toEqual({ words: '24 what?', row: 0, choices: ["24'", '24"'] });
	expect(one.rows[0]?.typed).toBe('24');
});
