import { describe, expect, test } from 'vitest';
import type { PadTold, StripTold } from '../../api/schema';
import { boardsOf, boardsText } from '../../ways/boards';
import { filled } from './fill';
import { moved, pulledAt, withStruck } from './strips.svelte';

const ids = ['a', 'b', 'c'];
const steps = [
	{ reading_mm: 10, text: '10 mm', words: 'a hair high', right: true },
	{ reading_mm: 14, text: '14 mm', words: '4 mm low, add', right: false }
];
const pad = (at_mm: number) => ({ of: 'l', at_mm, state: 'open', steps, read_text: '', off_text: '' }) as unknown as PadTold;

describe('the order', () => {
	test.each([
		['a', 1, ['b', 'a', 'c']],
		['c', -2, ['c', 'a', 'b']],
		['a', -1, null],
		['c', 1, null],
		['x', 1, null],
		['b', 0, null]
	])('%s by %i', (id, by, row) => expect(moved(ids, id, by)).toEqual(row));
	test('a time is of one strip, and of none when all are done', () => {
		const strips = [
			{ start_min: 0, end_min: 10 },
			{ start_min: 10, end_min: 30 }
		] as StripTold[];
		expect(pulledAt(strips, 15)).toEqual({ strip: strips[1], share: 0.25 });
		expect(pulledAt(strips, 10)?.share).toBe(0);
		expect(pulledAt(strips, 30)).toBeNull();
	});
	test('a strip fills from its start along the pull', () => {
		const ring = [[0, 0], [10, 0], [10, 4], [0, 4]] as const; // prettier-ignore
		expect(filled(ring, [1, 0], 0.5)).toEqual([[0, 0], [5, 0], [5, 4], [0, 4]]); // prettier-ignore
		expect(filled(ring, [-1, 0], 1)).toHaveLength(4);
	});
});

describe('pads that wait on this device', () => {
	test('count as struck, by the mark that was said, and not for another', () => {
		const said = { of: 'l', at_mm: 1010, reading_mm: 14 };
		const rows = withStruck([pad(1000), pad(2000)], [{ of: 'l', at_mm: 1000, reading_mm: 10 }, said]);
		expect(rows.map((row) => row.state)).toEqual(['off', 'open']);
		expect(rows[0]?.off_text).toBe('4 mm low, add');
		expect(withStruck([pad(1000)], [{ of: 'l', at_mm: 1000, reading_mm: null }])[0]?.state).toBe('set');
	});
});

test('boards are a line of lengths, a bare number feet', () => {
	expect(boardsText([2133.6, 3600, 4267.2])).toBe("7', 3.6 m, 14'");
	expect(boardsOf('7, 3.6 m; 14′,')).toEqual(["7'", '3.6 m', "14'"]);
});
