import { expect, test } from 'vitest';
import { movedCorner, outward } from './corner_drag';

test('a square corner takes its neighbours along', () => {
	const ring: [number, number][] = [
		[0, 0],
		[10, 0],
		[10, 5],
		[0, 5]
	];
	expect(movedCorner(ring, 2, [12, 6], true)).toEqual([
		[0, 0],
		[12, 0],
		[12, 6],
		[0, 6]
	]);
	expect(movedCorner(ring, 2, [12, 6], false)).toEqual([
		[0, 0],
		[10, 0],
		[12, 6],
		[0, 5]
	]);
});

test('letters stand outside', () => {
	const [x, y] = outward([0, 0], [0, 10], [10, 10]);
	expect(x).toBeLessThan(0);
	expect(y).toBeGreaterThan(0);
});
