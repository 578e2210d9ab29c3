import { expect, test } from 'vitest';
import { scaleBar, sizeLine, snapped, snapStep } from './marks';
import { boundsOf, Viewport } from './viewport';

test('the viewport turns y up and goes both ways', () => {
	const view = Viewport.fit(
		boundsOf([
			[0, 0],
			[10000, 5000]
		]),
		600,
		400,
		{ x: 50, top: 40, bottom: 40 }
	);
	const [x, y] = view.px([10000, 5000]);
	expect(view.mm(x, y)[0]).toBeCloseTo(10000);
	expect(view.mm(x, y)[1]).toBeCloseTo(5000);
	expect(view.px([0, 0])[1]).toBeGreaterThan(y);
});

test('a drag snaps to the coarsest step of 4 px or more, Alt to the finest', () => {
	expect(snapStep('ft-in', 0.05, false)).toBeCloseTo(152.4);
	expect(snapStep('ft-in', 0.2, false)).toBeCloseTo(25.4);
	expect(snapStep('mm', 0.05, true)).toBe(1);
	expect(snapStep('mm', 0.001, false)).toBe(50);
	expect(snapped(103, 50)).toBe(100);
});

test('a size stands beside its side and reads upright', () => {
	const line = sizeLine([100, 300], [300, 300], 30);
	expect(line.middle).toEqual([200, 330]);
	expect(line.angle).toBe(0);
	expect(sizeLine([300, 300], [100, 300], 30).angle).toBeCloseTo(0, 5);
});

test('a bar of 12 feet where it fits', () => {
	expect(scaleBar('ft-in', 0.05).text).toBe('12′');
	expect(scaleBar('mm', 0.2).text).toBe('0.5 m');
});
