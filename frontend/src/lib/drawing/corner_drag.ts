/** The preview of a corner being moved, until the server's answer comes: same rule as the core's move_corner. */
import type { XY } from './viewport';

export function movedCorner(ring: readonly XY[], corner: number, to: XY, square: boolean): XY[] {
	const next = ring.map((p): XY => [p[0], p[1]]);
	const old = ring[corner];
	if (!old) return next;
	next[corner] = to;
	if (square && ring.length > 3) {
		for (const other of [(corner + ring.length - 1) % ring.length, (corner + 1) % ring.length]) {
			const was = ring[other];
			if (!was) continue;
			if (Math.abs(was[0] - old[0]) < 0.01) next[other] = [to[0], was[1]];
			else if (Math.abs(was[1] - old[1]) < 0.01) next[other] = [was[0], to[1]];
		}
	}
	return next;
}

/** Outward direction on screen at a corner of an anticlockwise plan ring given in px. */
export function outward(before: XY, at: XY, after: XY): XY {
	const unit = (a: XY, b: XY): XY => {
		const d = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
		return [(b[0] - a[0]) / d, (b[1] - a[1]) / d];
	};
	const u = unit(before, at);
	const v = unit(at, after);
	const n: XY = [-u[1] - v[1], u[0] + v[0]];
	const size = Math.hypot(n[0], n[1]) || 1;
	return [n[0] / size, n[1] / size];
}
