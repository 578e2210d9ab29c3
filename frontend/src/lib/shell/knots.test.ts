import { expect, test } from 'vitest';
import type { LensId } from '../lenses/lens';
import { type Knot, knots, seen } from './knots';

test('a knot a stage in the order of the work, as the program says it stands', () => {
	const told = knots([
		{ id: 'order', state: 'flagged', words: '2 stops' },
		{ id: 'lines', state: 'tight', words: 'square' }
	]);
	expect(told.map((knot) => [knot.key, knot.id, knot.state, knot.says])).toEqual([
		['1', 'lines', 'tight', 'square'],
		['2', 'ground', 'loop', ''],
		['3', 'edges', 'loop', ''],
		['4', 'underslab', 'loop', ''],
		['5', 'steel', 'loop', ''],
		['6', 'embeds', 'loop', ''],
		['7', 'screed', 'loop', ''],
		['8', 'order', 'flagged', '2 stops'],
		['9', 'gate', 'loop', ''],
		['0', 'pour', 'loop', ''],
		['-', 'cure', 'loop', '']
	]);
	expect(knots(null).every((knot) => knot.state === 'loop' && knot.name)).toBe(true);
});

test('eleven on a laptop; on a phone the open one, its neighbours, and the first that is stuck', () => {
	const NAMES = ['lines', 'ground', 'edges', 'under', 'steel', 'embeds', 'screed', 'order', 'gate', 'pour', 'cure'] as LensId[];
	const rows = (stuck: string): Knot[] =>
		NAMES.map((id) => ({ id, name: id, key: '', says: '', state: id === stuck ? 'flagged' : 'loop' }));
	const ids = (stuck: string, here: string, width: number) =>
		seen(rows(stuck), here as LensId, width).map((one) => (one.pinned ? `${one.knot.id}!` : one.knot.id));
	expect(ids('steel', 'pour', 1080)).toHaveLength(11);
	expect(ids('steel', 'pour', 298)).toEqual(['steel!', 'gate', 'pour', 'cure']);
	expect(ids('gate', 'pour', 298)).toEqual(['gate', 'pour', 'cure']);
	expect(ids('', 'lines', 298)).toEqual(['lines', 'ground', 'edges']);
	expect(ids('lines', 'cure', 298)).toEqual(['lines!', 'gate', 'pour', 'cure']);
	expect(seen(rows('').slice(0, 4), 'order', 298)).toHaveLength(4);
});
