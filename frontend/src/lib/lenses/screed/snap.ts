/** Where a dragged joint comes to lie: on a corner that is near, else at a whole step from where it was. */
export type XY = readonly [number, number];

/** How far a joint through `start` and `end` is moved aside (mm, to its left), snapped to corners within reach, else to whole steps. */
export function aside(start: XY, end: XY, from: XY, to: XY, corners: readonly XY[], step: number, reach: number): number {
	const size = Math.hypot(end[0] - start[0], end[1] - start[1]) || 1;
	const [nx, ny] = [-(end[1] - start[1]) / size, (end[0] - start[0]) / size];
	const off = (to[0] - from[0]) * nx + (to[1] - from[1]) * ny;
	let best: number | null = null;
	for (const corner of corners) {
		const far = (corner[0] - start[0]) * nx + (corner[1] - start[1]) * ny;
		if (Math.abs(far - off) <= reach && (best === null || Math.abs(far - off) < Math.abs(best - off))) best = far;
	}
	return best ?? Math.round(off / step) * step;
}
/** A spot that a joint moved aside by so much goes through. */
export function movedTo(start: XY, end: XY, by: number): [number, number] {
	const size = Math.hypot(end[0] - start[0], end[1] - start[1]) || 1;
	return [
		(start[0] + end[0]) / 2 - ((end[1] - start[1]) / size) * by,
		(start[1] + end[1]) / 2 + ((end[0] - start[0]) / size) * by
	];
}
