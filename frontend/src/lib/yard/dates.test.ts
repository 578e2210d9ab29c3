import { describe, expect, it } from 'vitest';
import type { YardJob } from '../api/schema';
import { byPour, firstDay, middleOf, SHOWN, together, weekOf, xOfDay } from './dates';

const job = (id: string, pour_at: string | null, days: string[] = []) =>
	({
		id,
		pour_at,
		order_m3: 7,
		days: days.map((on) => ({ key: 'steel', name: 'steel', on, done: false }))
	}) as unknown as YardJob;

describe('the days of the yard', () => {
	it('begins on the Monday of today, or of the first pour ahead where nothing is near', () => {
		expect(firstDay([job('a', '2027-06-17T06:30')], '2027-06-16')).toBe('2027-06-14');
		expect(firstDay([job('a', '2027-06-17T06:30'), job('b', '2027-08-02T07:00')], '2027-02-03')).toBe('2027-06-14');
		expect(firstDay([job('a', null, ['2027-02-05'])], '2027-02-03')).toBe('2027-02-01');
		expect(firstDay([], '2027-02-03')).toBe('2027-02-01');
	});
	it('draws this week three times as wide as a later one, to the very end', () => {
		expect(xOfDay(7, 700)).toBeCloseTo(3 * (xOfDay(14, 700) - xOfDay(7, 700)));
		expect(xOfDay(SHOWN, 700)).toBeCloseTo(700);
		expect(middleOf(0, 700)).toBeGreaterThan(xOfDay(0, 700));
	});
	it('sorts by pour, then what has no day, then what has gone by', () => {
		const rows = [
			job('gone', '2027-01-01T07:00'),
			job('none', null),
			job('late', '2027-07-01T07:00'),
			job('soon', '2027-06-17T06:30')
		];
		expect(byPour(rows, '2027-06-15').map((one) => one.id)).toEqual(['soon', 'late', 'none', 'gone']);
	});
	it('finds pours of one morning and those of a week', () => {
		const rows = [
			job('a', '2027-06-17T06:30'),
			job('b', '2027-06-17T07:00'),
			job('c', '2027-06-17T09:00'),
			job('d', '2027-06-21T07:00')
		];
		expect([...together(rows)]).toEqual(['a', 'b']);
		expect(weekOf(rows, '2027-06-14').map((one) => one.id)).toEqual(['a', 'b', 'c']);
	});
});
