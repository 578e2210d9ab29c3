import { expect, test } from 'vitest';
import { middle, ribbon, spread, teeth } from './ribbon';
import { clock, countOf, hourAt, ticks, typedHour, xOf } from './tape';

test('hours stand along the tape and are read back; as many are written as have room', () => {
	const tape = { from: 6, to: 22, width: 480 };
	expect(xOf(tape, 14)).toBe(240);
	expect(hourAt(tape, xOf(tape, 9.5))).toBeCloseTo(9.5);
	expect(ticks(tape)).toEqual([6, 9, 12, 15, 18, 21]);
	expect(ticks({ ...tape, width: 1200 })).toHaveLength(17);
	expect([clock(6.5), clock(27.66), clock(-1), clock(9.999)]).toEqual(['6:30', '3:40', '23:00', '10:00']);
});

test('an hour is read as people write it; start before it says when to begin', () => {
	expect(typedHour('9:20')).toEqual({ hour: 9 + 20 / 60, start: false });
	expect(typedHour('start 6')).toEqual({ hour: 6, start: true });
	expect(typedHour('630')).toEqual({ hour: 6.5, start: false });
	expect(typedHour('6.30 pm')?.hour).toBe(18.5);
	expect([typedHour('noon'), typedHour('25'), typedHour('9:75'), typedHour('')]).toEqual([null, null, null, null]);
});

test('a ribbon waves while it is wet and is straight once it has set', () => {
	expect(middle(100, 0, 90, 8)).toBe(0);
	expect(Math.abs(middle(11.5, 0, 900, 8))).toBeGreaterThan(7);
	expect(Math.abs(middle(850, 0, 900, 8))).toBeLessThan(1.5);
	expect(ribbon(0, 30, 60, 20, 8, 6)).toMatch(/^M0\.0 17\.0.*L60\.0 17\.0L60\.0 23\.0L30\.0 23\.0.*Z$/);
	expect(ribbon(10, 5, 40, 20, 8, 6)).toBe('M10.0 17.0L40.0 17.0L40.0 23.0L10.0 23.0Z');
	expect(teeth(0, 20, 5, 5).split('L')).toHaveLength(9);
	expect(teeth(10, 10, 5, 5)).toBe('');
});

test('texts that would stand on one another move apart, and the last that finds no room is left out', () => {
	const rows = [
		{ x: 20, width: 40 },
		{ x: 30, width: 40 },
		{ x: 200, width: 40 },
		{ x: 205, width: 40 }
	];
	expect(spread(rows, 4, 260)).toEqual([0, 44, 180, null]);
});

test('on the day of a clock change the wall is ahead of the count from its hour on, and back again', () => {
	const spring = [
		[0, 0],
		[2, 1]
	];
	expect([clock(1.5, spring), clock(2, spring), clock(6, spring)]).toEqual(['1:30', '3:00', '7:00']);
	expect([countOf(spring, 7), countOf(spring, 1), countOf([], 7)]).toEqual([6, 1, 7]);
});
