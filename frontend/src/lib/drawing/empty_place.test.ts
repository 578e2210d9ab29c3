import { expect, it } from 'vitest';
import { emptyPlace, inside } from './empty_place';
import type { XY } from './viewport';

const room = { width: 680, height: 620, top: 60, bottom: 50, side: 20 };
const square = (x: number, y: number, w: number, h: number): XY[] => [
	[x, y],
	[x + w, y],
	[x + w, y + h],
	[x, y + h]
];

it('lies in the empty quarter of an L', () => {
	const ell: XY[] = [
		[80, 260],
		[240, 260],
		[240, 380],
		[620, 380],
		[620, 560],
		[80, 560]
	];
	const at = emptyPlace(ell, [], [360, 120], room);
	expect(at).toEqual([300, 60]);
	expect(ell.some((p) => p[0] > at[0] && p[1] > at[1] && p[0] < at[0] + 360 && p[1] < at[1] + 120)).toBe(false);
});

it('goes below where the slab fills the top, and off letters where it can', () => {
	expect(emptyPlace(square(80, 60, 520, 300), [], [300, 120], room)[1]).toBeGreaterThan(350);
	const [x] = emptyPlace(square(200, 300, 300, 250), [[600, 100]], [300, 120], room);
	expect(x + 300).toBeLessThan(600);
});

it('says what lies within rings with holes', () => {
	const rings = [square(0, 0, 10, 10), square(4, 4, 2, 2)];
	expect([inside([1, 1], rings), inside([5, 5], rings), inside([11, 1], rings)]).toEqual([true, false, false]);
});
