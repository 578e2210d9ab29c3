import { expect, test } from 'vitest';
import type { JobState } from '../api/schema';
import { Pick } from '../drawing/pick.svelte';
import { cornerId, cornerPlace, rowId, rowPlace } from './ids';

const plan = (corner_ids: string[], beams: string[]) =>
	({ corner_ids, beams: beams.map((id) => ({ id })) }) as unknown as JobState['document'];

test('ids and places of corners and rows, and nothing where something is gone', () => {
	const one = plan(['ca', 'cb', 'cc'], ['b1', 'b2']);
	expect([cornerId(one, 1), cornerId(one, 7), cornerId(one, null), cornerId(null, 0)]).toEqual(['cb', '', '', '']);
	expect([rowId(one, 'beams', 1), rowId(one, 'beams', 5)]).toEqual(['b2', '']);
	expect([cornerPlace(one, 'cc'), cornerPlace(one, 'x'), cornerPlace(one, '')]).toEqual([2, null, null]);
	expect([rowPlace(one, 'beams', 'b1'), rowPlace(one, 'beams', 'gone')]).toEqual([0, null]);
});

test('what is picked stays picked when corners come and go before it, and lets go when it is taken out', () => {
	let now = plan(['ca', 'cb', 'cc'], []);
	const pick = new Pick(() => now);
	pick.chooseSide(2);
	now = plan(['ca', 'new', 'cb', 'cc'], []);
	expect(pick.side).toBe(3);
	now = plan(['ca', 'new', 'cb'], []);
	expect(pick.side).toBeNull();
	pick.chooseCorner(1);
	pick.step(1, 3);
	expect([pick.corner, pick.side]).toEqual([null, 0]);
});
