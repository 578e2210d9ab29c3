import { expect, test } from 'vitest';
import type { WeighedTold } from '../../api/schema';
import { dollars, rowOf, rowsAbout, scaleOf, shortOf, slipCents } from './board';
import { today } from './order.svelte';

const row = (order_m3: number, short_cents = 0, long_cents = 0) => ({ order_m3, short_cents, long_cents }) as WeighedTold;
const rows = [1, 2, 3, 4, 5, 6, 7, 8].map((n) => row(n, n < 5 ? 20000 * (5 - n) : 0, 5000 * n));

test('pours over the board are counted, one that is just full is not', () => {
	expect(shortOf([1, 2, 3, 3 + 1e-12, 4], 3)).toBe(1);
});
test('five rows stand about the cheapest, and the order that is looked at is always one of them', () => {
	const told = { rows, best: row(5), called: row(4) };
	expect(rowsAbout(told, 4).map((one) => one.order_m3)).toEqual([3, 4, 5, 6, 7]);
	expect(rowsAbout(told, 1).map((one) => one.order_m3)).toEqual([1, 3, 4, 5, 6]);
	expect(rowsAbout(told, 8).map((one) => one.order_m3)).toEqual([4, 5, 6, 7, 8]);
	expect(rowOf(told, 2.2).order_m3).toBe(2);
});
test('the drawing reaches a step beyond every pour and order', () => {
	expect(scaleOf([3.2, 4.4], [5], 0.5)).toMatchObject({ low: 2.5, high: 5.5 });
	expect(scaleOf([0.1], [0.5], 0.5).steps).toEqual([0, 0.5, 1]);
});
test('a slip is as much as the cheaper rows bear, money is said whole', () => {
	expect(slipCents(rows)).toBe(2500);
	expect([dollars(123456), dollars(49)]).toEqual(['$1,235', '$0']);
	expect(today(new Date(2027, 5, 3))).toBe('2027-06-03');
});
