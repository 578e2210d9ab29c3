import { expect, test } from 'vitest';
import { nextInColumn } from './rows_by_key';

test('up and down keep their column, pass rows with nothing to press and stop at the ends', () => {
	const rows = [['a', 'b', 'c'], [], ['d', 'e'], ['f', 'g', 'h']];
	expect(nextInColumn(rows, 0, 1, 1)).toEqual([2, 1]);
	expect(nextInColumn(rows, 0, 2, 1)).toEqual([2, 1]); // a shorter row: its last
	expect(nextInColumn(rows, 3, 0, -1)).toEqual([2, 0]);
	expect(nextInColumn(rows, 0, 0, -1)).toBeNull();
	expect(nextInColumn(rows, 3, 0, 1)).toBeNull();
});
