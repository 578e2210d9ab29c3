import { expect, test } from 'vitest';
import type { Section } from '../../api/schema';
import { SectionView, stretchesOf } from './section_view';

test('a plain stretch is drawn short where it is long, and true where it is not', () => {
	expect(stretchesOf([0, 660, 9000, 9300, 660])).toEqual([
		{ from: 0, to: 660, drawn: 260 },
		{ from: 660, to: 9000, drawn: 260 },
		{ from: 9000, to: 9300, drawn: 300 }
	]);
	expect(stretchesOf([0, 2000, 2300])[0]?.drawn).toBe(2000);
	expect(stretchesOf([5])).toEqual([]);
});

const flat = (from: number, to: number, deep = -100): number[][] => [
	[from, 0],
	[to, 0],
	[to, deep],
	[from, deep]
];
const section = (rings: number[][][], ends: object[] = []) =>
	({ rings, ends, layers: [], blocks: [], sizes: [], slopes: [], zones: [[500, 0, 'Slab']] }) as unknown as Section;
const open = { outward: -1, ground_mm: -50, frost_mm: -800, s_mm: 0 };

test('one scale both ways, inside the width, and the frost line in sight where it does not shrink the concrete', () => {
	const view = SectionView.fit(section([flat(0, 1200, -450)], [open]), 640, 330);
	expect(view.x(1000) - view.x(0)).toBeCloseTo(1000 * view.scale);
	expect(view.y(-450) - view.y(0)).toBeCloseTo(450 * view.scale);
	expect(view.x(1200)).toBeLessThan(640);
	expect(view.y(-800)).toBeLessThan(330);
	const deep = SectionView.fit(section([flat(0, 1200, -450)], [{ ...open, frost_mm: -9000 }]), 640, 330);
	expect(deep.scale).toBeGreaterThan(view.scale * 0.9);
});

test('a long section is broken, still runs forward, and says so', () => {
	const view = SectionView.fit(
		section([
			[
				[0, 0],
				[500, 0],
				[9000, 0],
				[9500, 0],
				[9500, -450],
				[9000, -450],
				[9000, -100],
				[500, -100],
				[500, -450],
				[0, -450]
			]
		]),
		640,
		330
	);
	const xs = [0, 250, 500, 3000, 8000, 9000, 9500].map((s) => view.x(s));
	expect([...xs].sort((a, b) => a - b)).toEqual(xs);
	expect(view.broken).toBe(true);
	expect(view.breaks.length).toBe(3);
	expect(view.x(500) - view.x(0)).toBeCloseTo(500 * view.scale);
	expect(SectionView.fit(section([flat(0, 1500)]), 640, 330).broken).toBe(false);
});

test('a section that stops inside concrete is drawn broken there, one that ends at a face is not', () => {
	const ends = (rows: object[]) => SectionView.fit(section([flat(0, 1500)], rows), 640, 330).breaks.length;
	expect([ends([]), ends([open]), ends([open, { ...open, outward: 1, s_mm: 1500 }])]).toEqual([2, 1, 0]);
});
