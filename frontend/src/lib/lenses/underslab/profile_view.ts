/** How a run is laid on the screen along its length: depths drawn larger than lengths, by a whole or half number. */
import type { Run } from '../../api/schema';

const TALL = 148;
const EDGE = 4;
const UNDER_MM = 120;

export interface ProfileView {
	scale: number;
	times: number;
	height: number;
	x: (s: number) => number;
	y: (z: number) => number;
}
export function profileView(run: Run, width: number): ProfileView {
	const ends = [run.start_mm, run.end_mm];
	const tops = run.stretches.flatMap((row) => [row.top0_mm, row.top1_mm]);
	const high = Math.max(0, ...tops, ...ends.map((z) => z + run.outside_mm));
	const deep = [...ends.map((z) => z - UNDER_MM), ...run.stretches.flatMap((row) => [row.under0_mm, row.under1_mm])];
	const low = Math.min(...deep, ...run.others.map((one) => one.bottom_mm));
	const scale = (width - 2 * EDGE) / Math.max(1, run.length_mm);
	const times = Math.max(1, Math.floor((2 * TALL) / ((high - low) * scale)) / 2);
	return {
		scale,
		times,
		height: 12 + (high - low) * scale * times,
		x: (s) => EDGE + s * scale,
		y: (z) => 8 + (high - z) * scale * times
	};
}

/** The places that have room: the first and the last, and between them those far enough apart. */
export function spread<T extends { s_mm: number }>(rows: readonly T[], x: (s: number) => number, apart: number): T[] {
	const last = rows.at(-1);
	const kept: T[] = [];
	for (const row of rows) {
		const before = kept.at(-1);
		if (row === last) continue;
		if (!before || (x(row.s_mm) - x(before.s_mm) >= apart && (!last || x(last.s_mm) - x(row.s_mm) >= apart))) kept.push(row);
	}
	return last ? [...kept, last] : kept;
}
