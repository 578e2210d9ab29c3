import { expect, test } from 'vitest';
import type { XY } from '../../drawing/viewport';
import { inchOf, marksOf, nextSpot, spanOf } from './two_press';

/** 4' 10 1/4 should be read; a quarter inch each way is inside */
const inside = [58 * 25.4, 58.5 * 25.4];

test('before the second press every eighth says what it would mean', () => {
	expect(marksOf(4, 10, inside).join(' ')).toBe('inside inside inside inside inside low low low');
	expect(marksOf(4, 9, inside)).toEqual(Array(8).fill('high'));
	expect(marksOf(5, 0, inside)).toEqual(Array(8).fill('low'));
	expect(marksOf(4, 10, null)).toEqual([]);
	expect(spanOf(marksOf(4, 10, inside))).toEqual({ inside: '0 to 1/2', less: false, more: true });
	expect(spanOf(marksOf(4, 10, [58.25 * 25.4, 58.25 * 25.4]))).toEqual({ inside: '1/4', less: true, more: true });
	expect(spanOf(marksOf(4, 9, inside)).inside).toBe('');
});

test('the foot and inch of what should be read', () => {
	expect(inchOf(58.25 * 25.4)).toEqual({ feet: 4, inches: 10 });
	expect(inchOf(11.99 * 25.4)).toEqual({ feet: 1, inches: 0 });
});

test('the rod goes on to the gap, then to the worst spot, and never stays', () => {
	const rakes = [{ at: [0, 0] as XY }, { at: [5000, 0] as XY }];
	const next = (enough: boolean, next_at: XY | null, held: XY | null) => nextSpot({ rakes, enough: { enough, next_at } }, held);
	expect(next(false, [9000, 0], null)).toEqual([9000, 0]);
	expect(next(true, [9000, 0], [0, 100])).toEqual([5000, 0]);
	expect(next(false, [0, 100], [0, 0])).toEqual([5000, 0]);
	expect(nextSpot({ rakes: [], enough: { enough: true, next_at: null } }, null)).toBeNull();
});
