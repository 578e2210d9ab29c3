/** Where a bolt may stand by all three rules, and what is set once what waits here is kept. */
import { describe, expect, test } from 'vitest';
import type { BoltTold, ItemTold, WallTold } from '../../api/schema';
import { withWaiting } from './embeds.svelte';
import { clearOf, nearest, roomsOf, stationText, without } from './room';

const wall = { studs_mm: [400, 800], stud_clear_mm: 50, blocked: [[600, 620]] } as unknown as WallTold;
const bolt = (ends: number[] | null, spacing: number[] | null) => ({ ends, spacing }) as unknown as BoltTold;

describe('rooms', () => {
	test('what studs and bars leave of a part', () => {
		expect(without([0, 10], [[2, 3], [9, 20]])).toEqual([[0, 2], [3, 9]]); // prettier-ignore
		expect(clearOf(wall, [300, 900])).toEqual([[300, 350], [450, 600], [620, 750], [850, 900]]); // prettier-ignore
	});
	test('all three rules together; none where one leaves nothing', () => {
		expect(roomsOf(wall, bolt([0, 700], [320, 2000]))).toEqual([[320, 350], [450, 600], [620, 700]]); // prettier-ignore
		expect(roomsOf(wall, bolt([0, 300], [320, 2000]))).toEqual([]);
		expect(roomsOf(wall, bolt(null, [0, 1]))).toEqual([]);
	});
	test('the nearest station on the grid, none where no step of it is free', () => {
		expect(nearest([[0, 7], [20, 33]], 14, 5)).toBe(20); // prettier-ignore
		expect(nearest([[0, 7]], 400, 5)).toBe(5);
		expect(nearest([[1, 4]], 2, 5)).toBeNull();
	});
	test('stations are said as a tape is read', () => {
		expect(stationText(22 * 304.8 + 7.5 * 25.4 + 0.3, 'ft-in')).toBe('22′-7 1/2″');
		expect([stationText(12 * 25.4, 'ft-in'), stationText(1234.4, 'mm')]).toEqual(['12″', '1234']);
	});
});

test('what waits on this device counts as set here; the newest word of a thing counts', () => {
	const item = (key: string, of: string, at_mm: number | null) => ({ key, of, at_mm, state: 'open', why: '' }) as ItemTold;
	const items = [item('a', 'w', 100), item('b', 'w', 500), item('g', 'g', null)];
	const told = withWaiting(items, [
		{ of: 'w', at_mm: 101, is_set: true },
		{ of: 'w', at_mm: 500, is_set: true },
		{ of: 'w', at_mm: 500, is_set: false, why: 'stiff' },
		{ of: 'g', at_mm: null, is_set: true }
	]);
	expect(told.map((row) => [row.state, row.why])).toEqual([['set', ''], ['cannot', 'stiff'], ['set', '']]); // prettier-ignore
	expect(withWaiting(items, [{ of: 'w', at_mm: 300, is_set: true }]).every((row) => row.state === 'open')).toBe(true);
});
