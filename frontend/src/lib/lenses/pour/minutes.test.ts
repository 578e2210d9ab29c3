/** Times keep the offset they were written in; sizes read as a ticket says them. */
import { expect, it } from 'vitest';
import { afterWord, clockOf, later, saidHere, sameDay, sizes, typedSize, wall } from './minutes';

it('steps minutes on the wall, over midnight, and keeps the offset', () => {
	expect(later('2027-06-17T06:30-04:00', 34)).toBe('2027-06-17T07:04-04:00');
	expect(later('2027-06-17T23:58:10-04:00', 5)).toBe('2027-06-18T00:03:10-04:00');
	expect(later('2027-06-17T06:30', -40)).toBe('2027-06-17T05:50');
	expect(clockOf('2027-06-17T07:04-04:00')).toBe('7:04');
});
it('gives every word a second of its own', () => {
	expect(afterWord('2027-06-17T06:30-04:00', '')).toBe('2027-06-17T06:30-04:00');
	expect(afterWord('2027-06-17T06:30-04:00', '2027-06-17T06:30-04:00')).toBe('2027-06-17T06:30:01-04:00');
	expect(afterWord('2027-06-17T06:30:09-04:00', '2027-06-17T06:30:59-04:00')).toBe('2027-06-17T06:31:00-04:00');
	expect(afterWord('2027-06-17T06:31-04:00', '2027-06-17T06:30:01-04:00')).toBe('2027-06-17T06:31-04:00');
});
it('writes a time that reads back as the same moment', () => {
	const now = new Date(2027, 5, 17, 7, 4, 9);
	expect(new Date(wall(now)).getTime()).toBe(now.getTime());
	expect(sameDay(now, '2027-06-17T06:30')).toBe(true);
	expect(sameDay(now, '2027-06-18T06:30')).toBe(false);
});
it('offers what a ticket may say about what was ordered', () => {
	const yard = 0.764554857984;
	expect(sizes(9 * yard, yard / 2).map((one) => typedSize(one, 'ft-in'))).toEqual(['8 1/2', '9', '9 1/2']);
	expect(sizes(0.25 * yard, yard / 2)).toHaveLength(2);
	expect([typedSize(yard / 2, 'ft-in'), typedSize(6.5, 'mm'), typedSize(0, 'ft-in')]).toEqual(['1/2', '6.5', '0']);
});
it('knows which acts words that wait here have answered', () => {
	const waiting = [
		{ kind: 'act_done', values: { act: 'float/z1', how: 'done' } },
		{ kind: 'front', values: { strip: 's1' } },
		{ kind: 'front', values: { edges: true } },
		{ kind: 'front', values: { spot: [1, 2] } },
		{ kind: 'load_called', values: { m3: 5, answer: 'refused' } },
		{ kind: 'ticket', values: { load: 'a' } }
	];
	expect([...saidHere(waiting)]).toEqual(['float/z1', 'strike/s1', 'edges/fill']);
	expect([...saidHere([{ kind: 'load_called', values: { m3: 5, answer: 'held' } }])]).toEqual(['say']);
});
