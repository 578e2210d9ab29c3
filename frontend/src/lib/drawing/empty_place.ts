/** Where a box lies on a sheet without lying on what is drawn: the empty quarter, or the place that hides least. */
import type { XY } from './viewport';

export interface Room {
	width: number;
	height: number;
	/** kept free of the box: the title above, the scale bar below, a hand's breadth at the sides */
	top: number;
	bottom: number;
	side: number;
}

/** Whether a spot lies within rings, by crossing numbers (holes count out). */
export function inside([x, y]: readonly number[], rings: readonly (readonly (readonly number[])[])[]): boolean {
	let within = false;
	for (const ring of rings)
		ring.forEach((p, i) => {
			const q = ring[(i + 1) % ring.length] ?? p;
			const [px, py, qx, qy] = [p[0] ?? 0, p[1] ?? 0, q[0] ?? 0, q[1] ?? 0];
			if (py > (y ?? 0) !== qy > (y ?? 0) && (x ?? 0) < ((qx - px) * ((y ?? 0) - py)) / (qy - py) + px) within = !within;
		});
	return within;
}

/** Left top corner of a box of `size` where it covers least of `taken` (rings in px) and of `spots` (letters, sizes). */
export function emptyPlace(taken: readonly XY[], spots: readonly XY[], size: XY, room: Room): XY {
	const [right, low] = [room.width - room.side - size[0], room.height - room.bottom - size[1]];
	const steps = 14;
	let best: XY = [Math.max(room.side, right), room.top];
	let least = Infinity;
	for (let j = 0; j <= steps; j += 1)
		for (let i = steps; i >= 0; i -= 1) {
			const at: XY = [
				room.side + (Math.max(0, right - room.side) * i) / steps,
				room.top + (Math.max(0, low - room.top) * j) / steps
			];
			const hidden = covers(taken, at, size) + 0.2 * spots.filter((spot) => holds(at, size, spot)).length;
			if (hidden < least - 1e-6) [best, least] = [at, hidden];
		}
	return best;
}

const holds = (at: XY, size: XY, [x, y]: XY) =>
	x > at[0] - 14 && x < at[0] + size[0] + 14 && y > at[1] - 12 && y < at[1] + size[1] + 12;

/** Share of a grid of spots in the box that lies on the slab. */
function covers(ring: readonly XY[], at: XY, size: XY): number {
	const grid = 7;
	let hit = 0;
	for (let i = 0; i <= grid; i += 1)
		for (let j = 0; j <= grid; j += 1) if (inside([at[0] + (size[0] * i) / grid, at[1] + (size[1] * j) / grid], [ring])) hit += 1;
	return hit / (grid + 1) ** 2;
}
