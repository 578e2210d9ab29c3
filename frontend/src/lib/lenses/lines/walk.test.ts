/** The call-out box: what counts as ready, which edit a walk becomes, and that only the newest hearing is shown. */
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { WalkBox } from './walk.svelte';

let heard: (object | Promise<object>)[] = [];
let kept: object[] = [];
const told = (body: unknown) =>
	new Response(JSON.stringify(body), { status: 200, headers: { 'content-type': 'application/json' } });
const walked = (closed: boolean, problem = '', lands = '') => ({
	walked: { closed, points: [[0, 0]], heard: { problem } },
	start: [0, 0],
	lands
});
function box(walk: object | null = null, outline: unknown = [[0, 0]]) {
	const document = { walk, outline };
	const figure = { outline: { sides: [{ call: "24' e" }, { call: "16' n" }] } };
	const keep = (edits: object[]) => (kept.push(...edits), Promise.resolve(true));
	return new WalkBox({ id: 'j', kept: { document, figure }, busy: false, keep, clearProblem: () => undefined } as never);
}
beforeEach(() => {
	vi.useFakeTimers();
	[heard, kept] = [[], []];
	vi.stubGlobal('fetch', async () => told(await (heard.shift() ?? walked(false))));
});
afterEach(() => {
	vi.unstubAllGlobals();
	vi.useRealTimers();
});

test('a walk that was left typed is there again, and is heard', async () => {
	heard.push(walked(true));
	const one = box({ text: "10' e", kind: 'opening' });
	await vi.advanceTimersByTimeAsync(1);
	expect([one.kind, one.text, one.ready]).toEqual(['opening', "10' e", true]);
});

test('an outline begins as it stands, so that one call can be changed; other walks begin empty', () => {
	const one = box();
	expect([one.kind, one.text]).toEqual(['zone', '']);
	one.choose('outline');
	expect(one.text).toBe("24' e  16' n");
	one.choose('opening');
	expect(one.text).toBe('');
});

test.each([
	['outline', walked(true), true],
	['outline', walked(false, '', 'on A to B'), false],
	['zone', walked(false, '', 'on A to B'), true],
	['zone', walked(false), false],
	['opening', walked(true, 'The second call says nothing.'), false]
] as const)('whether a %s may be kept', async (kind, answer, ready) => {
	const one = box();
	one.kind = kind;
	heard.push(answer);
	one.type("5' e");
	await vi.advanceTimersByTimeAsync(1);
	expect(one.ready).toBe(ready);
});

test('each kind becomes its own edit, and the box is empty after it', async () => {
	for (const kind of ['outline', 'opening', 'zone'] as const) {
		const one = box();
		[one.kind, one.text, one.zoneName] = [kind, "5' e", 'Apron'];
		await one.keep();
		expect([one.text, one.zoneName]).toEqual(['', '']);
	}
	expect(kept).toEqual([
		{ op: 'keep_outline', text: "5' e" },
		{ op: 'add_opening', text: "5' e" },
		{ op: 'walk_zone', text: "5' e", name: 'Apron', drop: 0 }
	]);
});

test('a late hearing of what was typed before is not shown, and a rest keeps the walk as typed', async () => {
	const one = box();
	let free: (value: object) => void = () => undefined;
	heard.push(new Promise<object>((done) => (free = done)), walked(true));
	one.type("5' e");
	one.type("5' e 4' n");
	await vi.advanceTimersByTimeAsync(1);
	free(walked(false));
	await vi.advanceTimersByTimeAsync(1000);
	expect([one.heard?.walked.closed, kept]).toEqual([true, [{ op: 'set_walk', kind: 'zone', text: "5' e 4' n" }]]);
});
