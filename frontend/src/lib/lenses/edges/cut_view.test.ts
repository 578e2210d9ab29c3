import { expect, test } from 'vitest';
import { stretchesOf } from './cut_view';

test('a plain stretch is drawn short where it is long, and true where it is not', () => {
	expect(stretchesOf([0, 660, 9000, 9300, 660])).toEqual([
		{ from: 0, to: 660, drawn: 260 },
		{ from: 660, to: 9000, drawn: 260 },
		{ from: 9000, to: 9300, drawn: 300 }
	]);
	expect(stretchesOf([0, 2000, 2300])[0]?.drawn).toBe(2000);
	expect(stretchesOf([5])).toEqual([]);
});
