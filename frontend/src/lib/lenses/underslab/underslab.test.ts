import { describe, expect, it } from 'vitest';
import type { Run } from '../../api/schema';
import { profileView, spread } from './profile_view';
import { besideLegs, chevrons, placed } from './runs';

const run = {
	start_mm: -190,
	end_mm: -330,
	outside_mm: 60,
	length_mm: 6700,
	fall: 140 / 6700,
	stretches: [{ top0_mm: 0, top1_mm: 0, under0_mm: -100, under1_mm: -100 }],
	others: []
} as unknown as Run;

describe('a run on the plan', () => {
	it('points the way it falls, on every leg that has room', () => {
		const marks = chevrons([
			[0, 0],
			[100, 0],
			[100, 20]
		]);
		expect(marks).toHaveLength(2);
		expect(marks[0]).toBe('M22.5 -2.8L27.5 0.0L22.5 2.8'); // the point lies east, where the leg goes
	});
	it('is named beside its longest leg, and never on another name', () => {
		const path = [
			[100, 0],
			[140, 0],
			[140, 300]
		] as [number, number][];
		expect(besideLegs(path)[0]).toEqual([106, 150]);
		const rows = ['a', 'b'].map((id) => ({ id, text: 'D2 2', spots: besideLegs(path), must: false }));
		const found = placed(rows, []);
		expect(found.get('a')).toEqual([106, 150]);
		expect(found.get('b')).toEqual([174, 150]);
		const edge = placed([{ id: 'c', text: 'D2 2', spots: [[6, 150], [74, 150]], must: false }], []); // prettier-ignore
		expect(edge.get('c')).toEqual([74, 150]);
	});
	it('leaves a name out where there is no room, but not that of what is held', () => {
		const everywhere = [[-1e4, -1e4, 1e4, 1e4]] as const;
		const row = { id: 'a', text: 'D2', spots: [[5, 5]] as [number, number][], must: false };
		expect(placed([row], [...everywhere]).size).toBe(0);
		expect(placed([{ ...row, must: true }], [...everywhere]).get('a')).toEqual([5, 5]);
	});
});

describe('a run along its length', () => {
	it('draws depths larger by a half step that it can say', () => {
		const view = profileView(run, 520);
		expect(view.times * 2).toBe(Math.round(view.times * 2));
		expect(view.x(0)).toBe(4);
		expect(view.x(6700)).toBeCloseTo(516);
		expect(view.y(0)).toBe(8);
		expect(view.y(-100) - view.y(0)).toBeCloseTo(100 * view.scale * view.times);
	});
	it('keeps its first and last place, and those between that have room', () => {
		const rows = [0, 10, 60, 95, 100].map((s_mm) => ({ s_mm }));
		expect(spread(rows, (s) => s, 40).map((row) => row.s_mm)).toEqual([0, 60, 100]);
		expect(spread([{ s_mm: 3 }], (s) => s, 40)).toHaveLength(1);
	});
});
