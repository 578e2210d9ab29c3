import { describe, expect, it } from 'vitest';
import type { DayColumn, LaneTold, TaskTold, WalkRow } from '../../api/schema';
import { dayText, daysApart, plus, whenText } from '../../ui/days';
import { laidOn } from './laid';
import { lanesOf, spotsOf, wayOf } from './persons';
import { between, dayAt, dayX, knotted, parted, reduced, runs } from './strings';
import { kept, parts, shortBy, worst } from './walk';

const task = (key: string, day: number, waits: string[] = [], lane = 'crew') =>
	({ key, name: key, lane, day, last_day: day, waits, state: 'loop', finish: plus('2027-06-07', day) }) as unknown as TaskTold;

describe('the walk', () => {
	it('a place is as bad as its worst question', () => {
		expect(worst(['pass', 'open', 'mend'])).toBe('mend');
		expect(worst(['pass', 'second'])).toBe('second');
		expect(worst([])).toBe('pass');
	});
	it('what waits on this device stands already', () => {
		const row = { id: 'side/a/boards', state: 'open', by: '', note: '' } as unknown as WalkRow;
		expect(kept(row, [{ row: 'side/b/boards', verdict: 'mend' }]).state).toBe('open');
		const twice = [
			{ row: row.id, verdict: 'mend', by: 'Ann' },
			{ row: row.id, verdict: 'pass', by: 'Bo' }
		];
		expect(kept(row, twice)).toMatchObject({ state: 'pass', by: 'Bo' });
	});
	it('the least of several readings is judged, to what a tape is read to', () => {
		expect(shortBy([110, 90, null], 100)).toBe(10);
		expect(shortBy([99.5], 100)).toBe(0);
		expect(shortBy([null], 100)).toBeNull();
		expect(shortBy([90], null)).toBeNull();
		expect(parts(' 3 1/2, 3 3/8 ,')).toEqual(['3 1/2', '3 3/8']);
	});
});

describe('the string over days', () => {
	const board = { left: 100, top: 80, column: 20, lane: 50 };
	const lanes = [{ key: 'crew' }, { key: 'county' }] as unknown as LaneTold[];
	it('a point is a day, and the day its middle', () => {
		expect(dayAt(board, dayX(board, 3), 10)).toBe(3);
		expect([dayAt(board, 0, 10), dayAt(board, 9999, 10)]).toEqual([0, 9]);
	});
	it('two tasks of one lane and day do not lie on one another', () => {
		const [a, b] = knotted(board, lanes, [task('stone', 2), task('foam', 2)]);
		expect(a!.y).not.toBe(b!.y);
		expect(a!.name).not.toEqual(b!.name);
	});
	it('a line that drives is straight, one with days to spare sags the deeper', () => {
		const [from, to] = [
			{ x: 0, y: 0 },
			{ x: 100, y: 0 }
		];
		expect(between(from, to, true, 0)).not.toContain('Q');
		const sag = (spare: number) => Number(/Q50 ([\d.]+)/.exec(between(from, to, false, spare))?.[1]);
		expect(sag(3)).toBeGreaterThan(sag(1));
	});
	it('leaves out waits that others stand for', () => {
		const rows = [task('dig', 0), task('forms', 1, ['dig']), task('visit', 2, ['dig', 'forms'])];
		expect(reduced(rows).get('visit')).toEqual(['forms']);
	});
	it('parts a name where the halves are most alike', () => {
		expect(parted('Tansy Hollow honey house')).toEqual(['Tansy Hollow', 'honey house']);
		expect(parted('Shed')).toEqual(['Shed', '']);
	});
	it('finds runs of days', () => {
		const days = [1, 1, 0, 1].map((rain_mm) => ({ rain_mm })) as unknown as DayColumn[];
		expect(runs(days, (day) => day.rain_mm > 0)).toEqual([
			[0, 1],
			[3, 3]
		]);
	});
	it('knows what lies there on a day', () => {
		const rows = [task('stone', 1), task('barrier', 3)];
		expect(laidOn(rows, '2027-06-08').map((one) => one.there)).toEqual([true, false]);
	});
});

describe('people through a week', () => {
	const stops = [
		{ job: 'a', day: 0, people: ['Ann', 'Bo'], short: 0 },
		{ job: 'b', day: 1, people: ['Ann'], short: 2 },
		{ job: 'a', day: 1, people: ['Ann'], short: 0 }
	] as unknown as Parameters<typeof lanesOf>[1];
	const lanes = lanesOf([{ id: 'a' }, { id: 'b' }] as unknown as Parameters<typeof lanesOf>[0], stops, 40);
	const people = [
		{ name: 'Ann', letter: 'A', twice: [1] },
		{ name: 'Bo', letter: 'B', twice: [] }
	] as unknown as Parameters<typeof spotsOf>[2];
	it('a lane is as high as its fullest day, hands that are missing among them', () => {
		expect(lanes[1]!.y).toBe(lanes[0]!.y + lanes[0]!.high);
		expect(lanes[1]!.high).toBeGreaterThan(lanes[0]!.high);
	});
	it('a person in two places forks', () => {
		const spots = spotsOf(lanes, stops, people, (day) => day * 100);
		const ann = spots.filter((one) => one.name === 'Ann');
		expect(ann.map((one) => one.twice)).toEqual([false, true, true]);
		expect(wayOf(ann).match(/M/g)).toHaveLength(2);
		expect(wayOf(spots.filter((one) => one.name === 'Bo'))).toBe('');
	});
});

describe('days', () => {
	it('no clock change moves one', () => {
		expect(plus('2027-03-13', 2)).toBe('2027-03-15');
		expect(daysApart('2027-10-30', '2027-11-08')).toBe(9);
		expect([dayText('2027-06-17'), whenText('2027-06-17T06:30')]).toEqual(['Thu 17 Jun', 'Thu 17 Jun 6:30']);
	});
});
