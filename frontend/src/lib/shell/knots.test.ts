import { expect, test } from 'vitest';
import { knots } from './knots';

test('a knot a stage in the order of the work, as the program says it stands', () => {
	const told = knots([
		{ id: 'order', state: 'flagged', words: '2 stops' },
		{ id: 'lines', state: 'tight', words: 'square' }
	]);
	expect(told.map((knot) => [knot.key, knot.id, knot.state, knot.says])).toEqual([
		['1', 'lines', 'tight', 'square'],
		['2', 'ground', 'loop', ''],
		['3', 'edges', 'loop', ''],
		['8', 'order', 'flagged', '2 stops']
	]);
	expect(knots(null).every((knot) => knot.state === 'loop' && knot.name)).toBe(true);
});
