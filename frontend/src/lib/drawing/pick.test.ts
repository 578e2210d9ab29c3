import { expect, test } from 'vitest';
import { cornerName, Pick } from './pick.svelte';
import { boundsOf, Viewport } from './viewport';

const plan = { corner_ids: ['ca', 'cb', 'cc', 'cd'], edges: [{ id: 'e1' }, { id: 'e2' }] };
const picking = () => {
	const now = { plan };
	return { now, pick: new Pick(() => now.plan as never) };
};

test('what is picked stays the same thing when corners come and go before it, and is let go when it goes', () => {
	const { now, pick } = picking();
	pick.chooseSide(2);
	now.plan = { ...plan, corner_ids: ['cx', 'ca', 'cb', 'cc', 'cd'] };
	expect(pick.side).toBe(3);
	now.plan = { ...plan, corner_ids: ['ca', 'cb', 'cd'] };
	expect(pick.side).toBeNull();
	pick.chooseRow(1);
	now.plan = { ...plan, edges: [{ id: 'e2' }] };
	expect([pick.side, pick.corner, pick.row]).toEqual([null, null, 0]);
});

test('arrows go round the sides both ways, and from nothing to the first or the last', () => {
	const { pick } = picking();
	const walked = [1, 1, -1, -1].map((by) => (pick.step(by, 4), pick.side));
	expect(walked).toEqual([0, 1, 0, 3]);
	pick.none();
	pick.step(-1, 4);
	expect(pick.side).toBe(3);
	pick.step(1, 0);
	expect(pick.side).toBe(3);
});

test('corners are lettered on past Z as in a table', () => {
	expect([0, 25, 26, 51, 52, 701, 702].map(cornerName)).toEqual(['A', 'Z', 'AA', 'AZ', 'BA', 'ZZ', 'AAA']);
});

test('a plan is fitted inside its margins at one scale, whatever its shape', () => {
	for (const [wide, high] of [
		[9000, 3000],
		[300, 12000],
		[0, 0]
	] as const) {
		const box = boundsOf([
			[500, -700],
			[500 + wide, high - 700]
		]);
		const view = Viewport.fit(box, 640, 400, { x: 40, top: 30, bottom: 20 });
		const [left, top] = view.px([box.x0, box.y1]);
		const [right, bottom] = view.px([box.x1, box.y0]);
		expect(left).toBeGreaterThanOrEqual(39.99);
		expect(right).toBeLessThanOrEqual(600.01);
		expect(top).toBeGreaterThanOrEqual(29.99);
		expect(bottom).toBeLessThanOrEqual(380.01);
		expect(view.mm(...view.px([123, 456])).map(Math.round)).toEqual([123, 456]);
	}
});
