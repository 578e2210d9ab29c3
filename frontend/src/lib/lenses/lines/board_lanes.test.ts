import { expect, it } from 'vitest';
import type { CutPiece } from '../../api/schema';
import type { XY } from '../../drawing/viewport';
import { LANE, laid, sidesOf } from './board_lanes';

/** An L on the sheet (y down), anticlockwise on the plan: A bottom left, inside corner at index 3. */
const ell: XY[] = [
	[0, 300],
	[300, 300],
	[300, 150],
	[100, 150],
	[100, 0],
	[0, 0]
];
const piece = (side: number, course: number, at_mm: number, mm: number, key: string) =>
	({ key, side, course, at_mm, mm, text: '', where: `side ${side}`, runs_past_mm: 0, why: '' }) as CutPiece;
const boxOf = (one: ReturnType<typeof laid>[number]) => {
	const flat = Math.abs(one.turn) < 45;
	const [w, h] = flat ? [one.long, LANE] : [LANE, one.long];
	return [one.at[0] - w / 2, one.at[1] - h / 2, one.at[0] + w / 2, one.at[1] + h / 2] as const;
};

it('lies outside the slab, course by course outward', () => {
	const rows = laid(ell, [piece(0, 0, 0, 3000, 'A1'), piece(0, 1, 0, 3000, 'A2')], [], 0.1);
	expect(rows.map((row) => Math.round(row.at[1]))).toEqual([315, 337]);
	expect(rows[0]?.splice).toBeNull();
});

it('lets the side with fewer lanes give way at an inside corner, so that no two pieces meet', () => {
	const pieces = [piece(2, 0, 0, 2000, 'C1'), piece(2, 1, 0, 2000, 'C2'), piece(3, 0, 0, 1500, 'D1')];
	const rows = laid(ell, pieces, [], 0.1);
	const boxes = rows.map(boxOf);
	for (const [i, a] of boxes.entries())
		for (const b of boxes.slice(i + 1))
			expect(a[0] >= b[2] - 0.1 || b[0] >= a[2] - 0.1 || a[1] >= b[3] - 0.1 || b[1] >= a[3] - 0.1).toBe(true);
	expect(sidesOf(ell, (side) => (side === 2 ? 2 : 1))[3]?.cut[0]).toBeGreaterThan(2 * LANE);
});

it('puts a splice where one piece of a course meets the next', () => {
	const rows = laid(ell, [piece(0, 0, 0, 1600, 'A1'), piece(0, 0, 1600, 1400, 'A2')], [], 0.1);
	expect(rows[0]?.splice?.map(Math.round)).toEqual([160, 315]);
	expect(rows[1]?.splice).toBeNull();
});
