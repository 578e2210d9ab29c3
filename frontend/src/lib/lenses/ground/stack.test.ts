import { describe, expect, it } from 'vitest';
import { readRough, toKeep, usualPlace } from './stack';

describe('a build-up while it is typed', () => {
	it('keeps nothing that its kind has no field for', () => {
		const was = { id: 'l1', thickness: '4"', strength: '25 psi', stone: 'clean 3/4' };
		const [barrier, foam, stone] = toKeep([
			{ kind: 'barrier', ...was },
			{ kind: 'foam', ...was },
			{ kind: 'stone', ...was }
		]);
		expect(barrier).toEqual({ id: 'l1', kind: 'barrier', thickness_mm: null, strength_kpa: null, stone: null });
		expect(foam).toEqual({ id: 'l1', kind: 'foam', thickness_mm: '4"', strength_kpa: '25 psi', stone: null });
		expect(stone).toEqual({ id: 'l1', kind: 'stone', thickness_mm: '4"', strength_kpa: null, stone: 'clean 3/4' });
	});
	it('reads a thickness roughly for the drawing', () => {
		expect(readRough('1 1/2"', 'ft-in')).toBeCloseTo(38.1);
		expect(readRough('75 mm', 'ft-in')).toBe(75);
		expect(readRough('x', 'mm')).toBe(0);
	});
});

it('puts a layer where it lies as a rule, over a slab or under it', () => {
	const kinds = ['screed', 'foam', 'slab', 'graded', 'native'] as const;
	expect((['finish', 'barrier', 'foam', 'blinding', 'fill', 'screed'] as const).map((one) => usualPlace(kinds, one))).toEqual([
		0, 3, 3, 3, 4, 1
	]);
});
