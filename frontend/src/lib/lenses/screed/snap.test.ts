/** Where a dragged joint comes to lie. */
import { expect, test } from 'vitest';
import { aside, movedTo } from './snap';

test('a corner within reach wins over a whole step, the nearest of them', () => {
	const corners = [[1040, 0], [1080, 500], [9000, 9000]] as const; // prettier-ignore
	const by = (x: number) => aside([0, 0], [0, 3000], [0, 100], [x, 100], corners, 50, 60);
	expect(by(-1030)).toBe(1050);
	expect(aside([0, 0], [0, 3000], [0, 100], [1050, 100], corners, 50, 60)).toBe(-1040);
	expect(aside([0, 0], [0, 3000], [0, 100], [1075, 100], corners, 50, 60)).toBe(-1080);
	expect(aside([0, 0], [0, 3000], [0, 100], [523, 400], corners, 50, 60)).toBe(-500);
});
test('it goes through the middle, moved to its left', () => {
	expect(movedTo([0, 0], [0, 3000], 500)).toEqual([-500, 1500]);
	expect(movedTo([0, 0], [4000, 0], 250)).toEqual([2000, 250]);
});
