/** Where the flags of those who look at a slab stand on its plan. */
import type { XY } from '../drawing/viewport';

export interface Flag {
	device: string;
	at: XY;
}
const APART_X = 92;
const APART_Y = 48;
/** Places in px: at the part each has open, in the middle where none is; moved aside where two would lie on each other. */
export function flagPlaces(rows: readonly { device: string; spot: XY | null }[], middle: XY): Flag[] {
	const placed: Flag[] = [];
	for (const { device, spot } of rows) {
		const at: XY = [...(spot ?? middle)];
		const [x, y] = at;
		for (let turn = 1; turn < 24; turn++) {
			if (!placed.some((one) => Math.abs(one.at[0] - at[0]) < APART_X && Math.abs(one.at[1] - at[1]) < APART_Y)) break;
			at[0] = x + (turn % 2 ? 1 : -1) * Math.ceil((turn % 6) / 2) * APART_X; // beside it, then in the row below
			at[1] = y + Math.floor(turn / 6) * APART_Y;
		}
		placed.push({ device, at });
	}
	return placed;
}
