import { describe, expect, it } from 'vitest';
import { exaggeration } from './exaggerate';

const racked = (mm: number) => ({ moves: [{ distance_mm: mm }] }) as Parameters<typeof exaggeration>[0];

describe('exaggeration', () => {
	it('brings the worst corner near 34 px, in a round number of times', () => {
		expect(exaggeration(racked(6.35), 0.05)).toBe(100);
		expect(exaggeration(racked(47.6), 0.05)).toBe(10);
	});
	it('leaves a square frame and a frame far out as they are', () => {
		expect(exaggeration(racked(0.1), 0.05)).toBe(1);
		expect(exaggeration(racked(5000), 0.05)).toBe(1);
	});
});
