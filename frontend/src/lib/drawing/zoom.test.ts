import { expect, test } from 'vitest';
import { Viewport, type XY } from './viewport';
import { Zoom } from './zoom.svelte';

const fitted = new Viewport(0.05, 80, 500);
const made = () => new Zoom(() => ({ width: 700, height: 600 }));

test('the point under the hand stays where it is, however near it is looked at', () => {
	const zoom = made();
	const spot: XY = [310, 220];
	const under = fitted.mm(...spot);
	for (const factor of [1.4, 2, 0.7]) {
		zoom.about(factor, spot);
		const [x, y] = fitted.nearer(zoom).px(under);
		expect([x, y].map((v) => Math.round(v * 100) / 100)).toEqual(spot);
	}
});

test('never farther than the whole sheet, never off it', () => {
	const zoom = made();
	zoom.about(0.2, [100, 100]);
	expect([zoom.by, zoom.x, zoom.y]).toEqual([1, 0, 0]);
	zoom.about(3, [0, 0]);
	zoom.move(500, 500);
	expect([zoom.x, zoom.y]).toEqual([0, 0]);
	zoom.move(-9000, -9000);
	expect([zoom.x, zoom.y]).toEqual([-1400, -1200]);
	expect([zoom.key('-', [0, 0]), zoom.key('x', [0, 0])]).toEqual([true, false]);
	zoom.about(100, [0, 0]);
	expect(zoom.by).toBe(16);
	zoom.key('0', [0, 0]);
	expect(zoom.whole).toBe(true);
});
