import { describe, expect, it } from 'vitest';
import { packed } from './bundle';
import { taped } from './tape';

describe('a bundle end on', () => {
	it('holds every bar once, none on another, the middle first', () => {
		for (const count of [1, 7, 19, 48]) {
			const { spots, r } = packed(count, 10);
			expect(spots).toHaveLength(count);
			for (let i = 0; i < count; i++)
				for (let k = 0; k < i; k++) {
					const [[ax = 0, ay = 0], [bx = 0, by = 0]] = [spots[i] ?? [], spots[k] ?? []];
					expect(Math.hypot(ax - bx, ay - by)).toBeGreaterThan(9.99);
				}
			expect(spots[0]).toEqual([0, 0]);
			expect(Math.max(...spots.map((p) => Math.hypot(...p)))).toBeLessThanOrEqual(r);
		}
		expect(packed(7, 10).r).toBeCloseTo(15);
	});
});

describe('a tape', () => {
	it('reads what is drawn, and leaves the rest to the program', () => {
		expect(taped('27', 'ft-in')).toBeCloseTo(685.8);
		expect(taped("2' 3 1/2", 'ft-in')).toBeCloseTo(698.5);
		expect(taped('2′-3 1⁄2″', 'ft-in')).toBeCloseTo(698.5);
		expect(taped('1/2', 'ft-in')).toBeCloseTo(12.7);
		expect(taped('680', 'mm')).toBe(680);
		expect(taped('68 cm', 'ft-in')).toBe(680);
		expect(taped('long', 'mm')).toBeNull();
		expect(taped('', 'ft-in')).toBeNull();
	});
});
