import { expect, test } from 'vitest';
import type { DeliveryTold, PartTold, TruckTold } from '../../api/schema';
import { between, minuteOf, placedOf, shareOf, unloadedOf } from './play';

const trucks = [
	{ n: 1, m3: 6, unload_min: 3, end_min: 33 },
	{ n: 2, m3: 4, unload_min: 50, end_min: 70 }
] as TruckTold[];
const told = { trucks, done_min: 70 } as DeliveryTold;

test('a part fills straight between what is known, and waits while no truck stands there', () => {
	const steps = [
		[10, 0],
		[33, 0.6],
		[50, 0.6],
		[60, 1]
	];
	const part = { steps } as unknown as PartTold;
	expect([0, 10, 21.5, 40, 55, 99].map((at) => shareOf(part, at))).toEqual([0, 0, 0.3, 0.6, 0.8, 1]);
	expect(between([], 5)).toBe(0);
});
test('what is in the forms is what the trucks gave, and the minute of a volume is where it was', () => {
	expect([0, 18, 40, 60, 99].map((at) => placedOf(told, at))).toEqual([0, 3, 6, 8, 10]);
	expect([3, 6, 8, 10, 12].map((m3) => minuteOf(told, m3))).toEqual([18, 33, 60, 70, 70]);
	expect(unloadedOf(trucks[1] as TruckTold, 60)).toBe(2);
});
